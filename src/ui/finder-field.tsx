'use client';
/** The field of the finder: orders, customers, pieces, mouldings and what can be done, spelt right or nearly. */
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { FoundAnything } from '@/contract/views';
import { stateName } from '@/words/states';
import { BAR } from '@/words/screens/frame';
import { FINDING, FOUND } from '@/words/screens/found';
import { ask } from './send';
import { useLate } from './use-late';
import { worthAsking } from './worth-asking';
import styles from './top-bar.module.css';

const LATE_MS = 120;

interface Row {
  readonly key: string;
  readonly href: string;
  readonly group: keyof typeof FOUND;
  readonly name: string;
  readonly more: string;
}
/** One list to walk through, in the order it is shown. */
const rowsOf = ({ orders, customers, pieces, mouldings, actions }: FoundAnything): Row[] => [
  ...orders.map(({ number, customer, titles, state }) => ({
    key: `o${number}`,
    href: `/desk/${number}`,
    group: 'orders' as const,
    name: `${number} ${customer}`,
    more: titles || stateName(state),
  })),
  ...customers.map(({ id, name, phone }) => ({
    key: id,
    href: `/customers/${id}`,
    group: 'customers' as const,
    name,
    more: phone,
  })),
  ...pieces.map(({ id, title, number, customer }) => ({
    key: id,
    href: `/pieces/${id}`,
    group: 'pieces' as const,
    name: title,
    more: `${number} ${customer}`,
  })),
  ...mouldings.map(({ code, name }) => ({
    key: code,
    href: `/books?find=${encodeURIComponent(code)}`,
    group: 'mouldings' as const,
    name,
    more: code,
  })),
  ...actions.map(({ name, href }) => ({ key: href, href, group: 'actions' as const, name, more: '' })),
];

export function FinderField({ onLeave }: { onLeave: () => void }) {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const router = useRouter();
  const asked = useLate(text.trim(), LATE_MS);
  const { data: rows = [] } = useQuery({
    queryKey: ['find', asked],
    enabled: worthAsking(asked),
    queryFn: async ({ signal }) => {
      const answer = await ask<FoundAnything>(`/api/find?what=all&text=${encodeURIComponent(asked)}`, { signal });
      return answer.ok ? rowsOf(answer.value) : [];
    },
  });
  const go = (href: string) => {
    setText('');
    onLeave();
    router.push(href);
  };
  const walk = (by: number) => setAt((before) => Math.max(0, Math.min(rows.length - 1, before + by)));
  const chosen = rows[Math.min(at, rows.length - 1)];
  return (
    <div className={styles.finder}>
      <InputBase
        value={text}
        autoFocus
        onBlur={() => text === '' && onLeave()}
        placeholder={BAR.find}
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && chosen) go(chosen.href);
          if (event.key === 'ArrowDown') walk(1);
          if (event.key === 'ArrowUp') walk(-1);
          if (event.key.startsWith('Arrow')) event.preventDefault();
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
          {rows.map((row, index) => (
            <li key={row.key} data-chosen={row === chosen}>
              {row.group !== rows[index - 1]?.group && <h3>{FOUND[row.group]}</h3>}
              <Button variant="text" fullWidth onClick={() => go(row.href)}>
                <b>{row.name}</b> <span className="soft">{row.more}</span>
              </Button>
            </li>
          ))}
          {rows.length === 0 && asked === text.trim() && (
            <li className={styles.none}>{worthAsking(asked) ? FINDING.none : FINDING.more}</li>
          )}
        </ul>
      )}
    </div>
  );
}
