'use client';
/** Who is at the counter? Found by name, phone or ticket in two keystrokes. */
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { FoundView } from '@/contract/views';
import { Cash } from '@/ui/figures';
import { ask } from '@/ui/send';
import { stateName } from '@/words/bench';
import { dayName } from '@/words/materials';
import styles from './collect.module.css';

export function Collect({ start }: { start: readonly FoundView[] }) {
  const router = useRouter();
  const [text, setText] = useState('');
  const [founds, setFound] = useState(start);
  useEffect(() => {
    const late = new AbortController();
    const timer = setTimeout(() => {
      if (text === '') return setFound(start);
      void ask<FoundView[]>(`/api/find?in=all&text=${encodeURIComponent(text)}`, { signal: late.signal }).then(
        (answer) => {
          if (!late.signal.aborted && answer.ok) setFound(answer.value);
        },
      );
    }, 80);
    return () => {
      late.abort();
      clearTimeout(timer);
    };
  }, [text, start]);
  return (
    <main className={styles.finder}>
      <label htmlFor="who">Name, phone or ticket</label>
      <input
        id="who"
        value={text}
        autoFocus
        autoComplete="off"
        maxLength={80}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && founds[0]) router.push(`/collect/${founds[0].number}`);
        }}
      />
      <ul className={styles.found}>
        {founds.map((one) => (
          <li key={one.number}>
            <Link href={`/collect/${one.number}`}>
              <b>{one.number}</b>
              <span>
                {one.customer} <span className="soft">{one.phone}</span>
              </span>
              <span className="soft">{one.titles}</span>
              <span className={one.ready ? styles.ready : 'soft'}>
                {one.ready ? stateName('ready') : `${stateName(one.state)}, ${dayName(one.promised)}`}
              </span>
              <span className="num">
                {one.total === null ? '' : one.total === one.paid ? 'paid' : <Cash value={one.total - one.paid} />}
              </span>
            </Link>
          </li>
        ))}
        {founds.length === 0 && (
          <li className={styles.none}>
            Nobody found. Try fewer letters, the last digits of the phone, or the number on the ticket.
          </li>
        )}
      </ul>
    </main>
  );
}
