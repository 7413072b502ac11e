'use client';
/** What is typed, held against the orders of the last month, when it is asked. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { WhatIfView } from '@/contract/views';
import type { Issue } from '@/core/issue';
import { changeOf } from '@/core/units/money';
import type { PriceRules } from '@/core/pricing/rule-schema';
import { Cash } from '@/ui/figures';
import { post } from '@/ui/send';
import { Cell, Row, SheetTable } from '@/ui/sheet-table';
import { Trouble } from '@/ui/trouble';
import { PRICES } from '@/words/screens/prices';
import styles from './prices.module.css';

type Read = { readonly rules: PriceRules } | { readonly wrong: readonly Issue[] };

export function LastMonth({ read }: { read: Read }) {
  const [found, setFound] = useState<{ readonly of: string; readonly view: WhatIfView } | undefined>();
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [busy, setBusy] = useState(false);
  const asked = 'rules' in read ? JSON.stringify(read.rules) : '';
  const ask = async () => {
    if (!('rules' in read)) return;
    setBusy(true);
    const answer = await post<WhatIfView>('/api/prices/what-if', read.rules);
    setBusy(false);
    setIssues(answer.ok ? [] : answer.issues);
    if (answer.ok) setFound({ of: asked, view: answer.value });
  };
  const view = found?.view;
  return (
    <section className={styles.lastMonth} aria-label={PRICES.lastMonth}>
      <h2>{PRICES.lastMonth}</h2>
      <Button variant="outlined" disabled={busy || asked === ''} onClick={() => void ask()}>
        {PRICES.try}
      </Button>
      <Trouble issues={issues} />
      {view && (
        <>
          <p data-old={found.of !== asked || undefined}>
            {PRICES.came(view.orders, view.days)} <Cash value={view.before} /> → <b>{<Cash value={view.after} />}</b>{' '}
            {PRICES.change(changeOf(view.before, view.after))}
          </p>
          {found.of !== asked && <p className="soft">{PRICES.oldAnswer}</p>}
          {view.left > 0 && <p className="soft">{PRICES.left(view.left)}</p>}
          <p className="soft">{PRICES.quotes(view.quotes)}</p>
          {view.most.length > 0 && (
            <SheetTable label={PRICES.mostChanged} columns={PRICES.columns}>
              {view.most.map(({ number, customer, before, after }) => (
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
                  <Cell num>{PRICES.change(changeOf(before, after))}</Cell>
                </Row>
              ))}
            </SheetTable>
          )}
        </>
      )}
    </section>
  );
}
