'use client';
/** What a sum comes to, and how; with its drawing. */
import type { Scene } from '@/core/drawing/scene';
import type { CautionCode } from '@/core/issue-codes';
import type { Unit } from '@/core/units/length';
import { workingText } from '@/core/working';
import { FractionText } from '@/ui/figures';
import { SceneSvg, useBox } from '@/ui/scene-svg';
import { Note } from '@/ui/trouble';
import { cautionName } from '@/words/issues/caution-names';
import { SUMS, sumFigureName } from '@/words/sums';
import styles from './sums.module.css';
import type { Done } from './work-sum';

/** A figure in words: sizes as w × h, lists with commas, yes and no. */
function said(value: unknown): string {
  if (value === null) return SUMS.noneInStock;
  if (typeof value === 'boolean') return value ? SUMS.yes : SUMS.no;
  if (Array.isArray(value)) return value.map(said).join(', ');
  if (typeof value !== 'object') return String(value);
  const { w, h } = value as { w: string; h: string };
  return `${w} × ${h}`;
}
const isPlain = (value: unknown): boolean =>
  value === null ||
  typeof value !== 'object' ||
  (Array.isArray(value)
    ? value.every((entry) => typeof entry !== 'object')
    : typeof (value as { w?: unknown }).w === 'string');

/** An answer as rows of a name and a figure; what is nested says where it belongs. */
export function rowsOf(value: object, above = ''): [string, string][] {
  return Object.entries(value).flatMap(([key, entry]): [string, string][] => {
    const own = Array.isArray(value) ? String(Number(key) + 1) : sumFigureName(key);
    if (own === undefined || (own === '' && above === '')) return [];
    const name = [above, own].filter(Boolean).join(Array.isArray(value) ? ' ' : ', ');
    return isPlain(entry) ? [[name, said(entry)]] : rowsOf(entry as object, name);
  });
}

export function Answer({ done, stale, unit }: { done: Done; stale: boolean; unit: Unit }) {
  const { answer, workings } = done;
  const fires = (answer.fires ?? []) as readonly CautionCode[];
  return (
    <section className={styles.answer} data-stale={stale} aria-label={SUMS.answer}>
      {fires.map((code) => (
        <Note key={code} tone="warn">
          {cautionName(code)}
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
          <summary>{SUMS.howCame}</summary>
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

const MARGIN = 28;
/** Until the screen was measured: as at 1280 × 800. */
const USUAL_BOX = { width: 440, height: 300 };

export function Drawing({ label, scene }: { label: string; scene: Scene | undefined }) {
  const [ref, box] = useBox<HTMLDivElement>(USUAL_BOX);
  return (
    <div ref={ref} className={styles.drawing}>
      {scene && (
        <SceneSvg
          scene={scene}
          width={box.width - MARGIN}
          height={box.height - MARGIN}
          label={label}
          letters={15}
          ground="var(--wall)"
        />
      )}
    </div>
  );
}
