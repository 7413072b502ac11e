'use client';
/** What came of prices held against the orders of a month or a year. */
import type { WhatIfView } from '@/contract/views';
import { changeOf } from '@/core/units/money';
import { Cash } from '@/ui/figures';
import { PRICES_ASKED } from '@/words/screens/prices-asked';
import { Most } from './most-changed';
import { Spread } from './spread-chart';

interface Props {
  readonly view: WhatIfView;
  /** It is of other prices than those that are typed now. */
  readonly old: boolean;
  readonly asking: boolean;
}
export const Held = ({ view, old, asking }: Props) => (
  <>
    <p data-old={old || undefined}>
      {PRICES_ASKED.came(view.orders, view.days)} <Cash value={view.before} /> → <b>{<Cash value={view.after} />}</b>{' '}
      {PRICES_ASKED.change(changeOf(view.before, view.after))}
    </p>
    {old && <p className="soft">{PRICES_ASKED.oldAnswer}</p>}
    {view.left > 0 && <p className="soft">{PRICES_ASKED.left(view.left)}</p>}
    {view.next !== null && !asking && <p className="soft">{PRICES_ASKED.stopped(view.orders + view.left, view.of)}</p>}
    <p className="soft">{PRICES_ASKED.quotes(view.quotes)}</p>
    <Spread counts={view.spread} />
    {view.most.length > 0 && <Most orders={view.most} />}
  </>
);
