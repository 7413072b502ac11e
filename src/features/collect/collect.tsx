'use client';
/** Who is at the counter? Found by name, phone or ticket in two keystrokes. */
import InputBase from '@mui/material/InputBase';
import { keepPreviousData, queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { FoundView } from '@/contract/views';
import { Cash } from '@/ui/figures';
import { ask } from '@/ui/send';
import { useLate } from '@/ui/use-late';
import { worthAsking } from '@/ui/worth-asking';
import { stateName } from '@/words/states';
import { dayName } from '@/words/materials';
import { COLLECT } from '@/words/screens/collect';
import styles from './collect.module.css';
import { useHydrated } from '@/ui/use-hydrated';

const LATE_MS = 80;
const FRESH_MS = 2000;

const found = (text: string) =>
  queryOptions({
    queryKey: ['collect', text],
    staleTime: FRESH_MS,
    queryFn: async ({ signal }) => {
      const answer = await ask<readonly FoundView[]>(`/api/find?in=all&text=${encodeURIComponent(text)}`, { signal });
      return answer.ok ? answer.value : [];
    },
  });

export function Collect({ start }: { start: readonly FoundView[] }) {
  const router = useRouter();
  const [text, setText] = useState('');
  const typed = useLate(text, LATE_MS);
  const asked = worthAsking(typed) ? typed : '';
  const client = useQueryClient();
  const { data } = useQuery({ ...found(asked), enabled: asked !== '', placeholderData: keepPreviousData });
  /** Opens the first that the text finds, also when Enter comes before the list does. */
  const openFirst = async () => {
    const [first] = text === '' ? start : await client.fetchQuery(found(text));
    if (first) router.push(`/collect/${first.number}`);
  };
  const orders = asked === '' ? start : (data ?? start);
  return (
    <main className={styles.finder}>
      <h1 className="sr">{COLLECT.head}</h1>
      <label htmlFor="who">{COLLECT.label}</label>
      <InputBase
        id="who"
        value={text}
        readOnly={!useHydrated()}
        autoFocus
        fullWidth
        autoComplete="off"
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') void openFirst();
        }}
        slotProps={{ input: { maxLength: 80 } }}
      />
      <ul className={styles.found}>
        {orders.map((order) => (
          <li key={order.number}>
            <Link href={`/collect/${order.number}`}>
              <b>{order.number}</b>
              <span>
                {order.customer} <span className="soft">{order.phone}</span>
              </span>
              <span className="soft">{order.titles}</span>
              <span className={order.ready ? styles.ready : 'soft'}>
                {order.ready ? stateName('ready') : COLLECT.stateLine(stateName(order.state), dayName(order.promised))}
              </span>
              <span className="num">
                {order.total === null ? (
                  ''
                ) : order.total === order.paid ? (
                  COLLECT.paid
                ) : (
                  <Cash value={order.total - order.paid} />
                )}
              </span>
            </Link>
          </li>
        ))}
        {orders.length === 0 && <li className={styles.none}>{COLLECT.nobody}</li>}
      </ul>
    </main>
  );
}
