'use client';
/** Joining two entries that are one and the same, and forgetting somebody. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { CustomerPage, CustomerView } from '@/contract/views';
import { ask } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { useLate } from '@/ui/use-late';
import { worthAsking } from '@/ui/worth-asking';
import { CUSTOMER_PAGE } from '@/words/screens/customers';
import styles from './customers.module.css';

const LATE_MS = 90;
const SHOWN = 5;

export function Join({ who, onClose }: { who: CustomerPage; onClose: () => void }) {
  const [text, setText] = useState('');
  const { run, busy, issues, setIssues } = useCommand('merge-customers');
  const asked = useLate(text.trim(), LATE_MS);
  const { data: found = [] } = useQuery({
    queryKey: ['join', asked],
    enabled: worthAsking(asked),
    queryFn: async ({ signal }) => {
      const url = `/api/find?what=customers&text=${encodeURIComponent(asked)}`;
      const answer = await ask<readonly CustomerView[]>(url, { signal });
      return answer.ok ? answer.value : [];
    },
  });
  const join = async (other: CustomerView) => {
    const newest = await ask<CustomerPage>(`/api/customers/${other.id}`);
    if (!newest.ok) return setIssues(newest.issues);
    const answer = await run({
      keep: who.id,
      keepRevision: who.revision,
      gone: newest.value.id,
      goneRevision: newest.value.revision,
    });
    if (answer.ok) onClose();
  };
  return (
    <div className={styles.joining}>
      <p>{CUSTOMER_PAGE.joinSay}</p>
      <Input
        value={text}
        fullWidth
        autoFocus
        placeholder={CUSTOMER_PAGE.joinFind}
        onChange={(event) => setText(event.target.value)}
        slotProps={{ input: { 'aria-label': CUSTOMER_PAGE.joinFind, maxLength: 80 } }}
      />
      {found
        .filter(({ id }) => id !== who.id)
        .slice(0, SHOWN)
        .map((other) => (
          <Button key={other.id} variant="text" disabled={busy} onClick={() => void join(other)}>
            {CUSTOMER_PAGE.joinThis([other.name, other.phone].filter(Boolean).join(', '))}
          </Button>
        ))}
      <Trouble issues={issues} />
      <Button variant="outlined" onClick={onClose}>
        {CUSTOMER_PAGE.leave}
      </Button>
    </div>
  );
}

export function Forget({ who, onClose }: { who: CustomerPage; onClose: () => void }) {
  const { run, busy, issues } = useCommand('forget-customer');
  const sure = async () => {
    const answer = await run({ customerId: who.id, revision: who.revision });
    if (answer.ok) onClose();
  };
  return (
    <div className={styles.joining}>
      <p>{CUSTOMER_PAGE.forgetSay}</p>
      <Trouble issues={issues} />
      <div className={styles.line}>
        <Button variant="outlined" onClick={onClose}>
          {CUSTOMER_PAGE.leave}
        </Button>
        <Button variant="outlined" color="error" disabled={busy} onClick={() => void sure()}>
          {CUSTOMER_PAGE.forgetSure}
        </Button>
      </div>
    </div>
  );
}
