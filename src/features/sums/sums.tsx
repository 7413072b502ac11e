'use client';
/** Bench sums: each computation by itself, with a small drawing, filled in from a job when it is started from one. */
import ButtonBase from '@mui/material/ButtonBase';
import { useEffect, useMemo, useState } from 'react';
import type { JobView } from '@/contract/views';
import type { Scene } from '@/core/drawing/scene';
import type { Issue, Outcome } from '@/core/issue';
import type { Unit } from '@/core/units/length';
import { Choose } from '@/ui/choose';
import { PlainField } from '@/ui/plain-field';
import { Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { SUMS } from '@/words/sums';
import { Answer, Drawing } from './answer';
import { BENCH_SUMS, type BenchSum, type Values, firstValues } from './bench-sums';
import styles from './sums.module.css';
import type { Done } from './work-sum';

type AllValues = Readonly<Record<string, Values>>;
type Works = typeof import('./work-sum');
/** The sum the page opens with, worked out by the server; the others are worked out here once one is touched. */
export interface FirstSum {
  readonly key: string;
  readonly unit: Unit;
  readonly result: Outcome<Done>;
  /** Its drawing. */
  readonly scene: Scene | undefined;
  /** What the job it was opened from fills in, sum by sum. */
  readonly filled: AllValues;
}

function Fields({
  of: sum,
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
      {sum.fields.map(({ path, label, kind }) => {
        const wrong = issues.find((one) => one.path === path);
        return typeof kind === 'object' ? (
          <Choose
            key={path}
            label={label}
            name={path}
            value={values[path] ?? ''}
            options={kind.of.map((text) => ({ code: text, name: text }))}
            onChange={(text) => onType(path, text)}
          />
        ) : (
          <PlainField
            key={path}
            label={label}
            name={path}
            value={values[path] ?? ''}
            most={120}
            wrong={wrong}
            onChange={(text) => onType(path, text)}
          />
        );
      })}
    </div>
  );
}

const KEPT = 'lopren.sums';
function keptValues(): AllValues {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? '{}') as AllValues;
  } catch {
    return {};
  }
}

/** What was typed, sum by sum: of a job for as long as the page stands, else kept in this browser. */
function useValues(job: JobView | null, filled: AllValues) {
  const [all, setAll] = useState<AllValues>(filled);
  const [read, setRead] = useState(false);
  useEffect(() => {
    if (job || read) return;
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the browser's store cannot be read while drawing
    setAll(keptValues());
    setRead(true);
  }, [job, read]);
  useEffect(() => {
    if (!job && read) localStorage.setItem(KEPT, JSON.stringify(all));
  }, [all, job, read]);
  return [all, setAll] as const;
}

/** Works out what is typed; the first sum comes worked out, and what works out the others is fetched when it is needed. */
function useResult(sum: BenchSum, values: Values, unit: Unit, typed: boolean, first: FirstSum) {
  const [works, setWorks] = useState<Works>();
  const given = !typed && sum.key === first.key && unit === first.unit;
  useEffect(() => {
    if (!given && !works) void import('./work-sum').then((file) => setWorks(file));
  }, [given, works]);
  const result = useMemo(
    () => (given ? first.result : works?.benchSum(sum, values, unit)),
    [given, first.result, works, sum, values, unit],
  );
  const sceneOf = (done: Done) => (given ? first.scene : works?.sceneOf(sum, done, unit));
  return { result, sceneOf };
}

const addressOf = (key: string, ticket: string | undefined) =>
  `/sums?${new URLSearchParams({ ...(ticket && { job: ticket }), sum: key }).toString()}`;

export function Sums({ job, first }: { job: JobView | null; first: FirstSum }) {
  const { unit } = useUnit();
  const [key, setKey] = useState(first.key);
  const sum = BENCH_SUMS.find((benchSum) => benchSum.key === key)!;
  const [all, setAll] = useValues(job, first.filled);
  const values = useMemo(() => all[key] ?? firstValues(sum, unit), [all, key, sum, unit]);
  const [touched, setTouched] = useState(false);
  const { result, sceneOf } = useResult(sum, values, unit, touched || (!job && all[key] !== undefined), first);
  const [last, setLast] = useState<{ key: string; done: Done } | undefined>(undefined);
  if (result?.ok && last?.done !== result.value) setLast({ key, done: result.value });
  const done = result?.ok ? result.value : last?.key === key ? last.done : undefined;
  const issues = result && !result.ok ? result.issues : [];
  return (
    <main className={styles.sums}>
      <nav className={styles.list} aria-label={SUMS.head}>
        <h1>{SUMS.head}</h1>
        {BENCH_SUMS.map((benchSum) => (
          <ButtonBase
            key={benchSum.key}
            // A link, so that it also opens elsewhere, and before this page's scripts are here.
            href={addressOf(benchSum.key, job?.ticket)}
            aria-current={benchSum.key === key ? 'true' : undefined}
            onClick={(event) => {
              if (event.ctrlKey || event.metaKey || event.shiftKey) return;
              event.preventDefault();
              setKey(benchSum.key);
            }}
          >
            {benchSum.name}
          </ButtonBase>
        ))}
        {job ? (
          <p>
            {SUMS.fromJob(job.ticket)} <a href={`/bench/${job.ticket}`}>{SUMS.toBench}</a>
          </p>
        ) : (
          <p>
            {SUMS.openFromJob} <a href="/interface">{SUMS.spreadsheet}</a>
          </p>
        )}
      </nav>
      <section className={styles.form} aria-label={SUMS.given}>
        <h2>{sum.name}</h2>
        <p className={styles.says}>{sum.says}</p>
        {job && first.filled[key] === undefined && <p className={styles.says}>{SUMS.noFigures(job.ticket)}</p>}
        <Fields
          of={sum}
          values={values}
          issues={issues}
          onType={(path, text) => {
            setTouched(true);
            setAll((before) => ({ ...before, [key]: { ...values, [path]: text } }));
          }}
        />
        <Trouble issues={issues.filter(({ path }) => !sum.fields.some((field) => field.path === path))} />
      </section>
      <div className={styles.right}>
        <Drawing label={sum.name} scene={done && sceneOf(done)} />
        {done && <Answer done={done} stale={!result?.ok} unit={unit} />}
      </div>
    </main>
  );
}
