'use client';
import Button from '@mui/material/Button';
import type { OrderView } from '@/contract/views';
import { Field, Form, useCommandForm } from '@/ui/form';
import { CANCEL } from '@/words/screens/collect';
import styles from './collect.module.css';

/** Why an order is cancelled. */
export function CancelForm({ order, onDone }: { order: OrderView; onDone: () => void }) {
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
