'use client';
/** The drawer of this device: opened with its float, what is booked at it, cash in and out, counted and sealed. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { DayView, EntryView, TillDayView } from '@/contract/money-views';
import { type Issue, issue } from '@/core/issue';
import { Choice } from '@/ui/choice';
import { Cash } from '@/ui/figures';
import { useView } from '@/ui/query';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { dayName } from '@/words/materials';
import { momentText } from '@/words/moments';
import { TROUBLE } from '@/words/screens/trouble';
import { TILL, entryName } from '@/words/screens/till';
import { type Counts, Counting, miscounted, piecesOf } from './counting';
import { movedBy } from './moved-by';
import styles from './till.module.css';
import { patient } from '@/ui/patient';

const CloseDay = dynamic(() => patient(() => import('./close-day')).then((file) => file.CloseDay), {
  loading: () => null,
});
const MoveCash = dynamic(() => patient(() => import('./move-cash')).then((file) => file.MoveCash), {
  loading: () => null,
});
const SellVoucher = dynamic(() => patient(() => import('./sell-voucher')).then((file) => file.SellVoucher), {
  loading: () => null,
});
const TakeBack = dynamic(() => patient(() => import('./take-back')).then((file) => file.TakeBack), {
  loading: () => null,
});
const AddTill = dynamic(() => patient(() => import('./add-till')).then((file) => file.AddTill), {
  loading: () => null,
});

/** What is done at a till now and then, each with a form of its own. */
const ACTS = ['cash', 'voucher', 'till'] as const;
type Act = (typeof ACTS)[number];

function OpenIt({ view }: { view: DayView }) {
  const [counts, setCounts] = useState<Counts>({});
  const [wrong, setWrong] = useState<readonly Issue[]>([]);
  const [dayId] = useState(() => crypto.randomUUID());
  const open = useCommand('open-till');
  const asked = open.issues.some(({ code }) => code === 'amount-unlikely');
  const run = (sure = false) => {
    const bad = miscounted(view.money, counts);
    setWrong(bad === undefined ? [] : [issue('setting-out', { read: counts[bad] ?? '', least: 0, most: 99_999 })]);
    const pieces = piecesOf(view.money, counts);
    if (bad === undefined) void open.run({ dayId, till: view.till, pieces, ...(sure ? { sure } : {}) });
  };
  return (
    <section>
      <h2>{TILL.openHead}</h2>
      <p>{TILL.closed}</p>
      <Counting
        money={view.money}
        counts={counts}
        onChange={(to) => {
          setCounts(to);
          open.setIssues([]);
        }}
      />
      <Trouble issues={[...wrong, ...open.issues]} />
      {asked && (
        <Button variant="outlined" disabled={open.busy} onClick={() => run(true)}>
          {TROUBLE.sure}
        </Button>
      )}
      <Button variant="contained" disabled={open.busy} onClick={() => run()}>
        {TILL.openIt}
      </Button>
    </section>
  );
}

/** What was booked by a slip is taken back by its opposite. */
const canTakeBack = (entry: EntryView, all: readonly EntryView[]) =>
  ['cash-in', 'expense', 'to-bank', 'voucher-sold'].includes(entry.kind) &&
  entry.reverses === null &&
  !all.some(({ reverses }) => reverses === entry.number);

interface EntriesProps {
  readonly entries: readonly EntryView[];
  readonly onTakeBack: (entry: EntryView) => void;
}
function Entries({ entries, onTakeBack }: EntriesProps) {
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
              {canTakeBack(entry, entries) && (
                <Button variant="text" className={styles.back ?? ''} onClick={() => onTakeBack(entry)}>
                  {TILL.takeBack}
                </Button>
              )}
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
  const [back, setBack] = useState<EntryView>();
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
        <div>
          {open ? <Entries entries={view.entries} onTakeBack={setBack} /> : <Sealed days={view.sealed} />}
          {back && <TakeBack key={back.id} entry={back} onClose={() => setBack(undefined)} />}
        </div>
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
