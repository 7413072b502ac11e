'use client';
/** What a sum comes to, and how; with its drawing. */
import type { Scene } from '@/core/drawing/scene';
import type { CautionCode } from '@/core/issue-codes';
import { FINEST, showLength } from '@/core/units/format-length';
import { UNITS_PER_INCH, UNITS_PER_MM, type Unit, length } from '@/core/units/length';
import { weightText } from '@/core/units/weight';
import { workingText } from '@/core/working';
import { FractionText } from '@/ui/figures';
import { SceneSvg, useBox } from '@/ui/scene-svg';
import { Note } from '@/ui/trouble';
import { cautionName } from '@/words/issues/caution-names';
import { SUMS, sumFigureName } from '@/words/sums';
import styles from './sums.module.css';
import type { Done } from './work-sum';

const MEASURED = /^(-?)(\d+(?:\.\d+)?) (mm|in|kg)$/;
/** A length or a weight in the unit in force, whatever the sum answers in; to a 64th or a tenth, marked where it is more or less. */
export function inForce(text: string, unit: Unit): string {
  const [, sign = '', number = '', of] = MEASURED.exec(text) ?? [];
  if (of === 'kg') return weightText(Number(`${sign}${number}`), unit);
  if (of === undefined || of === unit) return text;
  const shown = showLength(length(Math.round(Number(number) * UNITS[of as Unit])), unit, FINEST[unit]);
  const mark = { exact: '', more: '+', less: '−' }[shown.exactIs];
  const fraction = shown.fraction && `${shown.fraction.top}/${shown.fraction.bottom}`;
  return `${sign}${[shown.whole, fraction].filter(Boolean).join(' ')}${mark} ${unit}`;
}
const UNITS: Readonly<Record<Unit, number>> = { in: UNITS_PER_INCH, mm: UNITS_PER_MM };

/** A figure in words: sizes as w × h, lists with commas, yes and no. */
function said(value: unknown, unit: Unit): string {
  if (value === null) return SUMS.noneInStock;
  if (typeof value === 'boolean') return value ? SUMS.yes : SUMS.no;
  if (Array.isArray(value)) return value.map((one) => said(one, unit)).join(', ');
  if (typeof value !== 'object') return inForce(String(value), unit);
  const { w, h } = value as { w: string; h: string };
  return `${inForce(w, unit)} × ${inForce(h, unit)}`;
}
const isPlain = (value: unknown): boolean =>
  value === null ||
  typeof value !== 'object' ||
  (Array.isArray(value)
    ? value.every((entry) => typeof entry !== 'object')
    : typeof (value as { w?: unknown }).w === 'string');

/** An answer as rows of a name and a figure; what is nested says where it belongs. */
export function rowsOf(value: object, unit: Unit, above = ''): [string, string][] {
  return Object.entries(value).flatMap(([key, entry]): [string, string][] => {
    const own = Array.isArray(value) ? String(Number(key) + 1) : sumFigureName(key);
    if (own === undefined || (own === '' && above === '')) return [];
    const name = [above, own].filter(Boolean).join(Array.isArray(value) ? ' ' : ', ');
    return isPlain(entry) ? [[name, said(entry, unit)]] : rowsOf(entry as object, unit, name);
  });
}

export function Answer({ done, stale, unit }: { done: Done; stale: boolean; unit: Unit }) {
  const { answer, workings } = done;
  const fires = (answer.fires ?? []) as readonly CautionCode[];
  return (
    <section tabIndex={0} className={styles.answer} data-stale={stale} aria-label={SUMS.answer}>
      {fires.map((code) => (
        <Note key={code} tone="warn">
          {cautionName(code)}
        </Note>
      ))}
      <ul>
        {rowsOf(answer, unit).map(([name, figure]) => (
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
