'use client';
/** Bench sums: each computation by itself, with a small drawing, filled in from a job when it is started from one. */
import { useEffect, useMemo, useState } from 'react';
import type { JobView } from '@/contract/views';
import { sumScene } from '@/core/drawing/sums';
import type { Issue } from '@/core/issue';
import type { Unit } from '@/core/units/length';
import { workingText } from '@/core/working';
import { FractionText } from '@/ui/figures';
import { SceneSvg, useBox } from '@/ui/scene-svg';
import { Note, Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { cautionName } from '@/words/issues';
import { sumFigureName } from '@/words/sums';
import { BENCH_SUMS, type BenchSum, type Values } from './bench-sums';
import { type Done, benchSum, figuresOf, firstValues } from './work-sum';
import styles from './sums.module.css';

/** A figure in words: sizes as w × h, lists with commas, yes and no. */
function said(value: unknown): string {
  if (value === null) return 'none in stock';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.map(said).join(', ');
  if (typeof value !== 'object') return String(value);
  const { w, h } = value as { w: string; h: string };
  return `${w} × ${h}`;
}
const isPlain = (value: unknown): boolean =>
  value === null ||
  typeof value !== 'object' ||
  (Array.isArray(value)
    ? value.every((one) => typeof one !== 'object')
    : typeof (value as { w?: unknown }).w === 'string');

/** An answer as rows of a name and a figure; what is nested says where it belongs. */
function rowsOf(value: object, above = ''): [string, string][] {
  return Object.entries(value).flatMap(([key, one]): [string, string][] => {
    const own = Array.isArray(value) ? String(Number(key) + 1) : sumFigureName(key);
    if (own === undefined || (own === '' && above === '')) return [];
    const name = [above, own].filter(Boolean).join(Array.isArray(value) ? ' ' : ', ');
    return isPlain(one) ? [[name, said(one)]] : rowsOf(one as object, name);
  });
}

function Answer({ done, stale, unit }: { done: Done; stale: boolean; unit: Unit }) {
  const { answer, workings } = done;
  const fires = (answer.fires ?? []) as readonly string[];
  return (
    <section className={styles.answer} data-stale={stale} aria-label="Answer">
      {fires.map((code) => (
        <Note key={code} tone="warn">
          {cautionName(code).replace(/^./, (first) => first.toUpperCase())}
        </Note>
      ))}
      <ul>
        {rowsOf(answer).map(([name, figure]) => (
          <li key={name}>
            <span>{name}</span>
            <span>
              <FractionText text={figure} />
            </span>
          </li>
        ))}
      </ul>
      {Object.keys(workings).length > 0 && (
        <details className={styles.why}>
          <summary>How the figures came about</summary>
          {Object.entries(workings).map(([path, working]) => (
            <p key={path}>
              <b>{working.label}: </b>
              <FractionText text={workingText(working, unit)} />
            </p>
          ))}
        </details>
      )}
    </section>
  );
}

function Drawing({ of: benchSum, done, unit }: { of: BenchSum; done: Done | undefined; unit: Unit }) {
  const [ref, box] = useBox<HTMLDivElement>();
  const scene = useMemo(() => {
    if (!done) return undefined;
    const figures = figuresOf(done.answer, unit, figuresOf(done.body, unit));
    const parts = (done.body.parts ?? []) as readonly { material: string }[];
    return sumScene(
      benchSum.scene,
      (key) => figures.get(key) ?? 0,
      parts.map((part) => part.material),
    );
  }, [benchSum, done, unit]);
  return (
    <div ref={ref} className={styles.drawing}>
      {scene && box.width > 0 && (
        <SceneSvg
          scene={scene}
          width={box.width - 28}
          height={box.height - 28}
          label={benchSum.name}
          letters={15}
          ground="var(--wall)"
        />
      )}
    </div>
  );
}

function Fields({
  of: benchSum,
  values,
  issues,
  onType,
}: {
  of: BenchSum;
  values: Values;
  issues: readonly Issue[];
  onType: (path: string, text: string) => void;
}) {
  return (
    <div className={styles.fields} data-fields>
      {benchSum.fields.map(({ path, label, kind }) => (
        <div key={path} className={styles.field} data-wrong={issues.some((issue) => issue.path === path)}>
          <label>
            {label}
            {typeof kind === 'object' ? (
              <select value={values[path] ?? ''} onChange={(event) => onType(path, event.target.value)}>
                {kind.of.map((text) => (
                  <option key={text}>{text}</option>
                ))}
              </select>
            ) : (
              <input
                name={path}
                value={values[path] ?? ''}
                autoComplete="off"
                maxLength={120}
                onFocus={(event) => event.target.select()}
                onChange={(event) => onType(path, event.target.value)}
              />
            )}
          </label>
        </div>
      ))}
    </div>
  );
}

const KEPT = 'lopren.sums';
type AllValues = Readonly<Record<string, Values>>;
function keptValues(): AllValues {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? '{}') as AllValues;
  } catch {
    return {};
  }
}

export function Sums({ job, first }: { job: JobView | null; first: string | undefined }) {
  const { unit } = useUnit();
  const [key, setKey] = useState(BENCH_SUMS.some((benchSum) => benchSum.key === first) ? first! : BENCH_SUMS[0]!.key);
  const of = BENCH_SUMS.find((benchSum) => benchSum.key === key)!;
  const [all, setAll] = useState<AllValues>(() => {
    if (!job) return keptValues();
    const filled = BENCH_SUMS.flatMap((benchSum) => {
      const values = benchSum.from(job.worked, unit);
      return values ? [[benchSum.key, { ...firstValues(benchSum, unit), ...values }]] : [];
    });
    return Object.fromEntries(filled) as AllValues;
  });
  useEffect(() => {
    if (!job) localStorage.setItem(KEPT, JSON.stringify(all));
  }, [all, job]);
  const values = useMemo(() => all[key] ?? firstValues(of, unit), [all, key, of, unit]);
  const result = useMemo(() => benchSum(of, values, unit), [of, values, unit]);
  const [last, setLast] = useState<{ key: string; done: Done } | undefined>(undefined);
  if (result.ok && last?.done !== result.value) setLast({ key, done: result.value });
  const done = result.ok ? result.value : last?.key === key ? last.done : undefined;
  const issues = result.ok ? [] : result.issues;
  return (
    <main className={styles.sums}>
      <nav className={styles.list} aria-label="Bench sums">
        <h1>Bench sums</h1>
        {BENCH_SUMS.map((benchSum) => (
          <button
            key={benchSum.key}
            type="button"
            aria-current={benchSum.key === key}
            onClick={() => setKey(benchSum.key)}
          >
            {benchSum.name}
          </button>
        ))}
        {job ? (
          <p>
            Figures of {job.ticket} where it has them. <a href={`/bench/${job.ticket}`}>Back to the bench</a>
          </p>
        ) : (
          <p>
            Open one from a job at the bench, and its figures are filled in. <a href="/interface">For a spreadsheet</a>
          </p>
        )}
      </nav>
      <section className={styles.form} aria-label="What is given">
        <h2>{of.name}</h2>
        <p className={styles.says}>{of.says}</p>
        <Fields
          of={of}
          values={values}
          issues={issues}
          onType={(path, text) => setAll((before) => ({ ...before, [key]: { ...values, [path]: text } }))}
        />
        <Trouble issues={issues} />
      </section>
      <div className={styles.right}>
        <Drawing of={of} done={done} unit={unit} />
        {done && <Answer done={done} stale={!result.ok} unit={unit} />}
      </div>
    </main>
  );
}
