'use client';
/** Quotes that are open: how old, how much, how long they hold, what was done by their links; quoted anew from here. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import type { QuoteLine, QuotesView } from '@/contract/quote-views';
import { QUOTE_ORDERS, type QuoteOrder, SOON_DAYS, inOrder, sumsOf } from '@/core/quotes/quote-list';
import { Choice } from '@/ui/choice';
import { Cash } from '@/ui/figures';
import { useView } from '@/ui/query';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { dayName } from '@/words/materials';
import { LAST_BY_LINK, QUOTES } from '@/words/screens/quotes';
import styles from './quotes.module.css';

/** What a customer's last step by the link asks of the shop. */
const WANTS = new Set(['asked', 'refused']);

function Anew({ line, busy, onAnew }: { line: QuoteLine; busy: boolean; onAnew: (line: QuoteLine) => void }) {
  const { anew, total } = line;
  if (anew === undefined) return null;
  if (anew === null) return <span className="soft">{QUOTES.cannot}</span>;
  const by = total === null ? 0 : anew - total;
  return (
    <span className={styles.anew}>
      <span className="num">
        <Cash value={anew} />{' '}
        {by === 0 ? (
          QUOTES.same
        ) : (
          <small>
            {by > 0 ? '+' : '−'}
            <Cash value={Math.abs(by)} />
          </small>
        )}
      </span>
      <Button variant="text" disabled={busy} onClick={() => onAnew(line)} aria-label={`${QUOTES.anew} ${line.number}`}>
        {QUOTES.anew}
      </Button>
    </span>
  );
}

const stateOf = ({ left }: QuoteLine) => (left < 0 ? 'over' : left <= SOON_DAYS ? 'soon' : 'holds');

function Row({ line, busy, onAnew }: { line: QuoteLine; busy: boolean; onAnew: (line: QuoteLine) => void }) {
  const { number, customer, phone, titles, pieces, day, until, age, left, total, last, linked } = line;
  return (
    <tr data-state={stateOf(line)}>
      <td>
        <Link href={`/desk/${number}`}>{number}</Link>
      </td>
      <td>
        {customer}
        <small>{phone}</small>
      </td>
      <td>{titles || QUOTES.untitled(pieces)}</td>
      <td>
        {dayName(day)}
        <small>{QUOTES.days(age)}</small>
      </td>
      <td className={styles.until}>
        {dayName(until)}
        <small>{QUOTES.left(left)}</small>
      </td>
      <td className={last && WANTS.has(last.what) ? styles.wants : undefined}>
        {last ? LAST_BY_LINK[last.what] : linked ? QUOTES.sent : ''}
        {last && <small>{dayName(last.at.slice(0, 10))}</small>}
      </td>
      <td className={styles.money}>{total === null ? '—' : <Cash value={total} />}</td>
      <td className={styles.money}>
        <Anew line={line} busy={busy} onAnew={onAnew} />
      </td>
    </tr>
  );
}

export function Quotes({ first }: { first: QuotesView }) {
  const { view } = useView('/api/quotes', first, ['order:', 'books', 'customers']);
  const [by, setBy] = useState<QuoteOrder>('ends');
  const { run, busy, issues } = useCommand('re-quote');
  const sums = sumsOf(view.lines);
  return (
    <main className={styles.page}>
      <header>
        <h1>{QUOTES.head}</h1>
        <Choice
          label={QUOTES.order}
          value={by}
          options={QUOTE_ORDERS.map((one) => [one, QUOTES.orders[one]] as const)}
          onChange={setBy}
        />
      </header>
      <p className={styles.sums}>
        {(['holds', 'soon', 'over'] as const)
          .filter((kind) => kind === 'holds' || sums[kind].count > 0)
          .map((kind) => (
            <span key={kind} data-soon={kind === 'soon'}>
              {QUOTES[kind](sums[kind].count)}{' '}
              <b className="num">
                <Cash value={sums[kind].total} />
              </b>
            </span>
          ))}
      </p>
      <Trouble issues={issues} />
      {view.lines.length === 0 ? (
        <p className="soft">
          {QUOTES.none} <Link href="/desk">{QUOTES.newOne}</Link>
        </p>
      ) : (
        <div className={styles.scroll} tabIndex={0} role="group" aria-label={QUOTES.head}>
          <table className={styles.table}>
            <thead>
              <tr>
                <th>{QUOTES.number}</th>
                <th>{QUOTES.whose}</th>
                <th>{QUOTES.what}</th>
                <th>{QUOTES.quoted}</th>
                <th>{QUOTES.until}</th>
                <th>{QUOTES.last}</th>
                <th className={styles.money}>{QUOTES.worth}</th>
                <th className={styles.money}>{QUOTES.again}</th>
              </tr>
            </thead>
            <tbody>
              {inOrder(view.lines, by).map((line) => (
                <Row
                  key={line.id}
                  line={line}
                  busy={busy}
                  onAnew={({ id, revision }) => void run({ orderId: id, revision })}
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
      {view.more && <p className="soft">{QUOTES.more}</p>}
    </main>
  );
}
