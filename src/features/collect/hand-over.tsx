'use client';
/** Handing over: the right piece to the right person, signed for by name. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import { useRouter } from 'next/navigation';
import { type FormEvent, useState } from 'react';
import type { OrderView } from '@/contract/views';
import type { Issue } from '@/core/issue';
import { send } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import styles from './collect.module.css';

export function HandOver({ order }: { order: OrderView }) {
  const router = useRouter();
  const [name, setName] = useState(order.customer.name);
  const [identified, setIdentified] = useState(false);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const waiting = order.jobs.filter((job) => job.state !== 'ready');
  if (waiting.length > 0)
    return <p className="soft">Paid. {waiting.map((job) => job.ticket).join(', ')} not ready yet.</p>;
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await send('hand-over', { orderId: order.id, revision: order.revision, signedBy: name, identified });
    setIssues(answer.ok ? [] : answer.issues);
    router.refresh();
  };
  return (
    <form className={styles.pay} onSubmit={(event) => void submit(event)}>
      <label className={styles.tick}>
        <input type="checkbox" checked={identified} onChange={(event) => setIdentified(event.target.checked)} />
        Looked at together: {order.jobs.length === 1 ? 'it is their piece' : `all ${order.jobs.length} are theirs`}
      </label>
      <label>
        <span className="soft">Signed for by</span>
        <Input
          value={name}
          fullWidth
          onChange={(event) => setName(event.target.value)}
          slotProps={{ input: { maxLength: 120 } }}
        />
      </label>
      <Trouble issues={issues} />
      <Button type="submit" variant="contained" disabled={!identified || !name.trim()}>
        Hand over
      </Button>
    </form>
  );
}
