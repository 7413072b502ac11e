'use client';
/** What the piece and the order leave, line by line; hidden and shown by one key while a customer looks on. */
import type { OrderPrice } from '@/core/pricing/order-price';
import type { PiecePrice } from '@/core/pricing/price-line';
import { type LineMargin, type Margin as Left, marginOf } from '@/core/pricing/margin';
import type { Afterwards as Found } from '@/core/ledger/afterwards';
import { Cash } from '@/ui/figures';
import { Note } from '@/ui/trouble';
import { lineName } from '@/words/materials';
import { MARGIN } from '@/words/screens/desk-later';
import { Afterwards } from './afterwards';
import styles from './tape.module.css';

const percent = (tenths: number) => (tenths / 10).toFixed(1);

function OneLine({ line }: { line: LineMargin }) {
  const { price, cost } = line;
  return (
    <li className={styles.quiet}>
      <span>
        {lineName(line)} {cost === undefined && <small>{MARGIN.unknown}</small>}
      </span>
      <span className="num">
        {cost !== undefined && (
          <>
            <Cash value={cost} /> {MARGIN.of} <Cash value={price} />
          </>
        )}
      </span>
    </li>
  );
}

function Whole({ name, found, floor }: { name: string; found: Left; floor: number }) {
  return (
    <>
      <li className={styles.quiet}>
        <span>
          <b>{name}</b>
        </span>
        <span className="num">
          <Cash value={found.margin} /> <b>{MARGIN.percent(percent(found.tenths))}</b>
        </span>
      </li>
      {found.tenths < floor * 10 && <Note tone="warn">{MARGIN.low(floor)}</Note>}
    </>
  );
}

interface Props {
  readonly piece: PiecePrice;
  readonly all: readonly PiecePrice[];
  readonly order: OrderPrice;
  /** Percent below which it is warned. */
  readonly floor: number;
  /** What it came to so far, once it is agreed. */
  readonly after: Found | undefined;
}

export function Margin({ piece, all, order, floor, after }: Props) {
  const own = marginOf([piece], order);
  return (
    <>
      {after && <Afterwards found={after} />}
      <section aria-label={MARGIN.head} className={styles.margin}>
        <ul>
          {own.lines.map((line, index) => (
            <OneLine key={index} line={line} />
          ))}
          <Whole name={MARGIN.piece} found={own} floor={floor} />
          {all.length > 1 && <Whole name={MARGIN.order} found={marginOf(all, order)} floor={floor} />}
        </ul>
      </section>
    </>
  );
}
