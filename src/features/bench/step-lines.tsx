'use client';
/** What the hands do at this step: each instruction in a sentence, its figures to be read from a metre away. */
import type { PlannedPartView, SaidLine } from '@/contract/views';
import type { BigFigure } from '@/core/instructions/line';
import type { Length, Size, Unit } from '@/core/units/length';
import { FractionText } from '@/ui/figures';
import { useUnit } from '@/ui/units';
import { bigName, ruleText } from '@/words/rule';
import { BENCH } from '@/words/screens/bench';
import styles from './bench.module.css';

function Figure({ figure, main }: { figure: BigFigure; main: boolean }) {
  const { unit } = useUnit();
  const { value } = figure;
  const text =
    typeof value === 'number'
      ? ruleText(value as Length, unit)
      : `${ruleText((value as Size).w, unit)} × ${ruleText((value as Size).h, unit)}`;
  return (
    <span className={main ? styles.main : styles.second}>
      <b>
        <FractionText text={text} />
      </b>
      <span>{bigName(figure.name)}</span>
    </span>
  );
}

function OneLine({ line }: { line: SaidLine }) {
  const { unit } = useUnit();
  const [first, ...others] = line.big ?? [];
  return (
    <li data-big={first !== undefined}>
      <p>
        <FractionText text={line.said[unit]} />
      </p>
      {first && (
        <div className={styles.figures}>
          <Figure figure={first} main />
          {others.map((figure) => (
            <Figure key={figure.name} figure={figure} main={false} />
          ))}
        </div>
      )}
    </li>
  );
}

/** Where to mark and drill, numbered as in the drawing. */
export function StepMarks({ marks }: { marks: readonly Readonly<Record<Unit, string>>[] }) {
  const { unit } = useUnit();
  if (marks.length === 0) return null;
  return (
    <section className={styles.marked} aria-label={BENCH.marks}>
      <h2>{BENCH.marks}</h2>
      {marks.map((mark) => (
        <p key={mark[unit]}>
          <FractionText text={mark[unit]} />
        </p>
      ))}
    </section>
  );
}

/** Which stick or sheet of a plan the parts of this step come from. */
export function StepPlanned({ parts }: { parts: readonly PlannedPartView[] }) {
  if (parts.length === 0) return null;
  return (
    <section className={styles.marked} aria-label={BENCH.planned}>
      <h2>{BENCH.planned}</h2>
      {parts.map((part) => (
        <p key={part.part}>{BENCH.plannedPart(part)}</p>
      ))}
    </section>
  );
}

/** From so many large figures on they are set smaller, so that more of them are seen at once. */
const MANY = 4;

export function StepLines({ lines }: { lines: readonly SaidLine[] }) {
  const many = lines.filter((line) => line.big).length > MANY;
  return (
    <ul className={styles.lines} data-many={many}>
      {lines.map((line, index) => (
        <OneLine key={`${line.code} ${index}`} line={line} />
      ))}
    </ul>
  );
}
