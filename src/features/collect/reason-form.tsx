'use client';
/** Something that is done with a reason only: an order cancelled, a payment reversed. */
import Button from '@mui/material/Button';
import type { Asked } from '@/contract/commands';
import { Field, Form, useCommandForm } from '@/ui/form';
import styles from './collect.module.css';

interface Props<N extends 'cancel-order' | 'reverse-payment'> {
  readonly command: N;
  readonly payload: (reason: string) => Asked<N>;
  /** Asks for the reason. */
  readonly why: string;
  /** On the button. */
  readonly act: string;
  readonly onDone: () => void;
}

export function ReasonForm<N extends 'cancel-order' | 'reverse-payment'>({
  command,
  payload,
  why,
  act,
  onDone,
}: Props<N>) {
  const of = useCommandForm(command, {
    values: { reason: '' },
    payload: ({ reason }) => payload(reason),
    onDone,
  });
  return (
    <Form of={of} className={styles.reverse}>
      <Field name="reason" label={why} hidesLabel placeholder={why} most={300} first />
      <Button type="submit" variant="outlined" disabled={of.busy || !of.form.watch('reason').trim()}>
        {act}
      </Button>
    </Form>
  );
}
