'use client';
/** The field of the finder: a number, a name or the end of a phone number. */
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { BAR } from '@/words/screens/frame';
import { ask } from './send';
import { useLate } from './use-late';
import { worthAsking } from './worth-asking';
import styles from './top-bar.module.css';

interface Found {
  readonly number: number;
  readonly state: string;
  readonly customer: string;
  readonly titles: string;
}
const LATE_MS = 120;

export function FinderField({ onLeave }: { onLeave: () => void }) {
  const [text, setText] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const router = useRouter();
  const asked = useLate(text.trim(), LATE_MS);
  const { data: orders = [] } = useQuery({
    queryKey: ['find', asked],
    enabled: worthAsking(asked),
    queryFn: async ({ signal }) => {
      const answer = await ask<readonly Found[]>(`/api/find?text=${encodeURIComponent(asked)}`, { signal });
      return answer.ok ? answer.value : [];
    },
  });
  const go = (number: number) => {
    setText('');
    router.push(`/desk/${number}`);
  };
  return (
    <div className={styles.finder}>
      <InputBase
        inputRef={field}
        value={text}
        autoFocus
        onBlur={() => text === '' && onLeave()}
        placeholder={BAR.find}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && orders[0]) go(orders[0].number);
          if (event.key === 'Escape') {
            setText('');
            onLeave();
          }
        }}
        slotProps={{ input: { 'aria-label': BAR.findLong, maxLength: 80 } }}
      />
      <kbd>/</kbd>
      {text !== '' && (
        <ul className={styles.found}>
          {orders.map((order) => (
            <li key={order.number}>
              <Button variant="text" fullWidth onClick={() => go(order.number)}>
                <b>{order.number}</b> {order.customer} <span className="soft">{order.titles || order.state}</span>
              </Button>
            </li>
          ))}
          {orders.length === 0 && asked === text.trim() && (
            <li className={styles.none}>{worthAsking(asked) ? BAR.findNone : BAR.findMore}</li>
          )}
        </ul>
      )}
    </div>
  );
}
