'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { PaymentView } from '@/contract/views';
import { Field, Form, useCommandForm } from '@/ui/form';
import { LEDGER } from '@/words/screens/collect';
import styles from './collect.module.css';

/** Why a payment is reversed. */
export function Reverse({ payment, onDone }: { payment: PaymentView; onDone: () => void }) {
  const [newId] = useState(() => crypto.randomUUID());
  const of = useCommandForm('reverse-payment', {
    values: { reason: '' },
    payload: ({ reason }) => ({ paymentId: payment.id, newId, reason }),
    onDone,
  });
  return (
    <Form of={of} className={styles.reverse}>
      <Field name="reason" label={LEDGER.whyReversed} hidesLabel placeholder={LEDGER.whyReversed} most={300} first />
      <Button type="submit" variant="outlined" disabled={of.busy || !of.form.watch('reason').trim()}>
        {LEDGER.reverse}
      </Button>
    </Form>
  );
}
