'use client';
/** The bench without a job: scan or type a ticket. */
import InputBase from '@mui/material/InputBase';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { type FormEvent, useState } from 'react';
import type { BoardJob } from '@/contract/views';
import { useBenchScheme } from '@/ui/dress';
import { stepName } from '@/words/bench';
import { FIND } from '@/words/screens/bench';
import styles from './bench.module.css';
import { useHydrated } from '@/ui/use-hydrated';

/** What a scanner or a person typed, as a ticket: `2417-1`; a bare order number means its first piece. */
export function ticketIn(text: string): string | undefined {
  const match = /^\s*(\d{1,9})(?:\s*[-–/ ]\s*(\d{1,3}))?\s*$/.exec(text);
  return match ? `${match[1]}-${match[2] ?? '1'}` : undefined;
}

export function FindJob({ waiting, unknown }: { waiting: readonly BoardJob[]; unknown?: string }) {
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
      <ul>
        {waiting.slice(0, 7).map((job) => (
          <li key={job.ticket}>
            <Link href={`/bench/${job.ticket}`}>
              <b>{job.ticket}</b>
              <span>{job.title}</span>
              <span className="soft">{job.next && stepName(job.next)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </main>
  );
}
