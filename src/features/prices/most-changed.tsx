'use client';
/** The orders that would change most. */
import { changeOf } from '@/core/units/money';
import type { Repriced } from '@/core/pricing/what-if-parts';
import { Cash } from '@/ui/figures';
import { Cell, Row, SheetTable } from '@/ui/sheet-table';
import { PRICES_ASKED } from '@/words/screens/prices-asked';

export function Most({ orders }: { orders: readonly Repriced[] }) {
  return (
    <SheetTable label={PRICES_ASKED.mostChanged} columns={PRICES_ASKED.columns}>
      {orders.map(({ number, customer, before, after }) => (
        <Row key={number}>
          <Cell>
            <a href={`/desk/${number}`}>{number}</a> {customer}
          </Cell>
          <Cell num>
            <Cash value={before} />
          </Cell>
          <Cell num>
            <Cash value={after} />
          </Cell>
          <Cell num>{PRICES_ASKED.change(changeOf(before, after))}</Cell>
        </Row>
      ))}
    </SheetTable>
  );
}
