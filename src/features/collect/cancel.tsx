'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { OrderView } from '@/contract/views';
import { Field, Form, useCommandForm } from '@/ui/form';
import { CANCEL } from '@/words/screens/collect';
import styles from './collect.module.css';

function CancelForm({ order, onDone }: { order: OrderView; onDone: () => void }) {
  const of = useCommandForm('cancel-order', {
    values: { reason: '' },
    payload: ({ reason }) => ({ orderId: order.id, revision: order.revision, reason }),
    onDone,
  });
  return (
    <Form of={of} className={styles.reverse}>
      <Field name="reason" label={CANCEL.why} hidesLabel placeholder={CANCEL.why} most={300} first />
      <Button type="submit" variant="outlined" disabled={of.busy || !of.form.watch('reason').trim()}>
        {CANCEL.cancelIt}
      </Button>
    </Form>
  );
}

/** An order that is not handed over can be cancelled, with its reason. */
export function Cancel({ order }: { order: OrderView }) {
  const [asking, setAsking] = useState(false);
  if (order.state !== 'accepted' && order.state !== 'quoted') return null;
  return asking ? (
    <CancelForm order={order} onDone={() => setAsking(false)} />
  ) : (
    <Button variant="text" onClick={() => setAsking(true)}>
      {CANCEL.cancel}
    </Button>
  );
}
