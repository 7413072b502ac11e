'use client';
/** Counting notes and coins: how many of each; Enter goes on to the next. */
import { type Money, formatMoney } from '@/core/units/money';
import { Cash } from '@/ui/figures';
import { PlainField } from '@/ui/plain-field';
import { TILL } from '@/words/screens/till';
import styles from './till.module.css';

export type Counts = Readonly<Record<number, string>>;
const wholeOf = (text: string | undefined) => (/^\d{1,5}$/.test((text ?? '').trim()) ? Number(text) : 0);
export const piecesOf = (money: readonly number[], counts: Counts) =>
  money.map((of) => ({ of, count: wholeOf(counts[of]) })).filter(({ count }) => count > 0);
export const worthOf = (money: readonly number[], counts: Counts): number =>
  piecesOf(money, counts).reduce((total, { of, count }) => total + of * count, 0);
/** A count that is no whole number. */
export const miscounted = (money: readonly number[], counts: Counts): number | undefined =>
  money.find((of) => (counts[of] ?? '').trim() !== '' && !/^\d{1,5}$/.test(counts[of]!.trim()));

interface Props {
  readonly money: readonly number[];
  readonly counts: Counts;
  readonly onChange: (counts: Counts) => void;
}

export function Counting({ money, counts, onChange }: Props) {
  return (
    <fieldset className={styles.counting}>
      <legend>{TILL.counts}</legend>
      {money.map((of) => (
        <div key={of} className={styles.piece}>
          <PlainField
            label={formatMoney(of as Money)}
            name={`count-${of}`}
            value={counts[of] ?? ''}
            most={5}
            onChange={(text) => onChange({ ...counts, [of]: text })}
          />
        </div>
      ))}
      <p className={styles.sum}>
        {TILL.inAll} <b>{<Cash value={worthOf(money, counts)} />}</b>
      </p>
    </fieldset>
  );
}
