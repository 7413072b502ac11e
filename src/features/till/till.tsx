'use client';
/** The drawer of this device: opened with its float, what is booked at it, cash in and out, counted and sealed. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { DayView, EntryView, TillDayView } from '@/contract/money-views';
import { type Issue, issue } from '@/core/issue';
import { MEANS } from '@/core/ledger/accounts';
import { Choice } from '@/ui/choice';
import { Cash } from '@/ui/figures';
import { useView } from '@/ui/query';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { dayName } from '@/words/materials';
import { momentText } from '@/words/moments';
import { TILL, entryName } from '@/words/screens/till';
import { type Counts, Counting, miscounted, piecesOf } from './counting';
import styles from './till.module.css';

const CloseDay = dynamic(() => import('./close-day').then((file) => file.CloseDay), { loading: () => null });
const MoveCash = dynamic(() => import('./move-cash').then((file) => file.MoveCash), { loading: () => null });
const SellVoucher = dynamic(() => import('./sell-voucher').then((file) => file.SellVoucher), { loading: () => null });
const AddTill = dynamic(() => import('./add-till').then((file) => file.AddTill), { loading: () => null });

/** What is done at a till now and then, each with a form of its own. */
const ACTS = ['cash', 'voucher', 'till'] as const;
type Act = (typeof ACTS)[number];

/** What an entry moved at the counter: its money, else what it sold. */
export const movedBy = ({ postings }: EntryView): number => {
  const of = (accounts: readonly string[]) =>
    postings.filter(({ account }) => accounts.includes(account)).reduce((total, { amount }) => total + amount, 0);
  return of(['cash']) || of(MEANS) || -of(['sales', 'tax']);
};

function OpenIt({ view }: { view: DayView }) {
  const [counts, setCounts] = useState<Counts>({});
  const [wrong, setWrong] = useState<readonly Issue[]>([]);
  const [dayId] = useState(() => crypto.randomUUID());
  const open = useCommand('open-till');
  const run = () => {
    const bad = miscounted(view.money, counts);
    setWrong(bad === undefined ? [] : [issue('setting-out', { read: counts[bad] ?? '', least: 0, most: 99_999 })]);
    if (bad === undefined) void open.run({ dayId, till: view.till, pieces: piecesOf(view.money, counts) });
  };
  return (
    <section>
      <h2>{TILL.openHead}</h2>
      <p>{TILL.closed}</p>
      <Counting money={view.money} counts={counts} onChange={setCounts} />
      <Trouble issues={[...wrong, ...open.issues]} />
      <Button variant="contained" disabled={open.busy} onClick={run}>
        {TILL.openIt}
      </Button>
    </section>
  );
}

function Entries({ entries }: { entries: readonly EntryView[] }) {
  return (
    <section className={styles.entries}>
      <h2>{TILL.booked}</h2>
      {entries.length === 0 && <p className="soft">{TILL.nothing}</p>}
      <ol>
        {entries.toReversed().map((entry) => (
          <li key={entry.number}>
            <span className="soft">{entry.number}</span>
            <span>
              {entryName(entry.kind)}
              {entry.order !== null && (
                <>
                  {', '}
                  <a href={`/collect/${entry.order}`}>
                    {entry.order} {entry.customer}
                  </a>
                </>
              )}
              {entry.note && <span className="soft"> {entry.note}</span>}
            </span>
            <span className="soft">{entry.by}</span>
            <span className="num">
              <Cash value={movedBy(entry)} />
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}

function Sealed({ days }: { days: readonly TillDayView[] }) {
  return (
    <section>
      <h2>{TILL.sealed}</h2>
      {days.length === 0 && <p className="soft">{TILL.noneSealed}</p>}
      <ul className={styles.sealed}>
        {days.map((day) => (
          <li key={day.id}>
            <b>{dayName(day.day)}</b> {TILL.tillName(day.till.name)}
            <span className="soft">{TILL.sealedLine(day.sealedBy, momentText(day.sealedAt ?? day.openedAt))}</span>
            <a href={`/papers/day-report/${day.id}`} target="_blank" rel="noreferrer">
              {TILL.report}
            </a>
          </li>
        ))}
      </ul>
    </section>
  );
}

export function Till({ first, owner }: { first: DayView; owner: boolean }) {
  const { view } = useView('/api/till', first, ['ledger']);
  const use = useCommand('use-till');
  const [act, setAct] = useState<Act>();
  const { open } = view;
  const acts = ACTS.filter((one) => (one === 'cash' ? open !== null : one !== 'till' || owner));
  return (
    <main className={styles.page}>
      <header>
        <h1>{TILL.head}</h1>
        {view.tills.length > 1 && (
          <Choice
            label={TILL.which}
            value={view.till}
            options={view.tills.map(({ number, name }) => [number, TILL.tillName(name)] as const)}
            onChange={(till) => void use.run({ till })}
          />
        )}
        {open && (
          <p className="soft">
            {TILL.day(dayName(open.day))}. {TILL.openedBy(open.openedBy, momentText(open.openedAt))}{' '}
            <Cash value={open.float} />
          </p>
        )}
        {owner && <a href="/till/ledger">{TILL.ledger}</a>}
      </header>
      <Trouble issues={use.issues} />
      <div className={styles.columns}>
        <div>
          {open ? <CloseDay key={open.id} open={open} money={view.money} /> : <OpenIt key={view.till} view={view} />}
        </div>
        <div>{open ? <Entries entries={view.entries} /> : <Sealed days={view.sealed} />}</div>
        <div>
          <div className={styles.acts}>
            {acts.map((one) => (
              <Button key={one} variant="outlined" aria-expanded={act === one} onClick={() => setAct(one)}>
                {TILL.acts[one]}
              </Button>
            ))}
          </div>
          {act === 'cash' && <MoveCash />}
          {act === 'voucher' && <SellVoucher />}
          {act === 'till' && <AddTill />}
          {open && <Sealed days={view.sealed} />}
        </div>
      </div>
    </main>
  );
}
