'use client';
/** Handing over: the right piece to the right person, signed for by name. */
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import type { OrderView } from '@/contract/views';
import { type Money, formatMoney } from '@/core/units/money';
import { Field, Form, useCommandForm } from '@/ui/form';
import { HAND_OVER } from '@/words/screens/collect';
import styles from './collect.module.css';

function HandOverForm({ order }: { order: OrderView }) {
  const [identified, setIdentified] = useState(false);
  const of = useCommandForm('hand-over', {
    values: { signedBy: order.customer.name },
    payload: ({ signedBy }) => ({ orderId: order.id, revision: order.revision, signedBy, identified: true }),
    onDone: () => undefined,
  });
  return (
    <Form of={of} className={styles.pay}>
      <FormControlLabel
        label={HAND_OVER.identified(order.jobs.length)}
        control={<Checkbox checked={identified} onChange={(event) => setIdentified(event.target.checked)} />}
      />
      {order.balance > 0 && <p>{HAND_OVER.onAccount(formatMoney(order.balance as Money), order.terms.days ?? 0)}</p>}
      <Field name="signedBy" label={HAND_OVER.signedBy} most={120} />
      <Button type="submit" variant="contained" disabled={of.busy || !identified || !of.form.watch('signedBy').trim()}>
        {HAND_OVER.handOver}
      </Button>
    </Form>
  );
}

export function HandOver({ order }: { order: OrderView }) {
  const waiting = order.jobs.filter((job) => job.state !== 'ready');
  const tickets = waiting.map((job) => job.ticket);
  if (waiting.length > 0)
    return (
      <p className="soft">{order.balance > 0 ? HAND_OVER.notPaidNotReady(tickets) : HAND_OVER.notReady(tickets)}</p>
    );
  return <HandOverForm order={order} />;
}
