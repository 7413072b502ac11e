'use client';
/** The bench without a job: scan or type a ticket. */
import InputBase from '@mui/material/InputBase';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { type FormEvent, useState } from 'react';
import type { BoardJob } from '@/contract/views';
import { useBenchScheme } from '@/ui/dress';
import { STATIONS, type Station } from '@/core/route/steps';
import { stepName } from '@/words/bench';
import { stationName } from '@/words/stations';
import { dayName, momentName } from '@/words/materials';
import { BENCH, FIND } from '@/words/screens/bench';
import styles from './bench.module.css';
import { useHydrated } from '@/ui/use-hydrated';

/** What a scanner or a person typed, as a ticket: `2417-1`; a bare order number means its first piece. */
export function ticketIn(text: string): string | undefined {
  const match = /^\s*(\d{1,9})(?:\s*[-–/ ]\s*(\d{1,3}))?\s*$/.exec(text);
  return match ? `${match[1]}-${match[2] ?? '1'}` : undefined;
}

interface Props {
  readonly waiting: readonly BoardJob[];
  readonly unknown?: string;
  /** Only what waits there is listed. */
  readonly station?: Station | undefined;
}

/** Where work waits, each station a door to its own list. */
function Stations({ waiting, station }: Pick<Props, 'waiting' | 'station'>) {
  const count = (at: Station) => waiting.filter((job) => job.station === at).length;
  return (
    <nav className={styles.stations} aria-label={FIND.stations}>
      <Link href="/bench" aria-current={station === undefined ? 'page' : undefined}>
        {FIND.all} <b>{waiting.length}</b>
      </Link>
      {STATIONS.filter((at) => count(at) > 0 || at === station).map((at) => (
        <Link key={at} href={`/bench?station=${at}`} aria-current={at === station ? 'page' : undefined}>
          {stationName(at)} <b>{count(at)}</b>
        </Link>
      ))}
    </nav>
  );
}

export function FindJob({ waiting, unknown, station }: Props) {
  const listed = waiting.filter((job) => station === undefined || job.station === station);
  const router = useRouter();
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState(unknown ? FIND.unknown(unknown) : '');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const ticket = ticketIn(text);
    if (ticket) router.push(`/bench/${ticket}`);
    else setWrong(FIND.wrong(text));
  };
  return (
    <main className={styles.find} data-scheme={useBenchScheme()}>
      <h1 className="sr">{FIND.head}</h1>
      <form onSubmit={submit}>
        <label htmlFor="ticket">{FIND.label}</label>
        <InputBase
          id="ticket"
          value={text}
          readOnly={!useHydrated()}
          autoFocus
          fullWidth
          autoComplete="off"
          error={wrong !== ''}
          slotProps={{ input: { inputMode: 'numeric', maxLength: 40, 'aria-describedby': 'ticket-wrong' } }}
          onChange={(event) => {
            setText(event.target.value);
            setWrong('');
          }}
        />
        <p id="ticket-wrong" role="alert" className={styles.wrong}>
          {wrong}
        </p>
      </form>
      <Stations waiting={waiting} station={station} />
      <ul>
        {listed.map((job) => (
          <li key={job.ticket}>
            <Link href={`/bench/${job.ticket}`}>
              <b>{job.ticket}</b>
              <span>
                {job.title} <span className="soft">{dayName(job.promised)}</span>
              </span>
              <span className="soft">
                {job.waiting
                  ? BENCH.freeFrom(momentName(job.waiting.free ?? job.waiting.until))
                  : job.next && stepName(job.next)}
              </span>
            </Link>
          </li>
        ))}
        {listed.length === 0 && !unknown && <li className="soft">{FIND.none}</li>}
      </ul>
      <p className={styles.papers}>
        <a href="/papers/bench-codes/all" target="_blank" rel="noreferrer">
          {FIND.codes}
        </a>
      </p>
    </main>
  );
}
