'use client';
/** A slip at the drawer is taken back: the opposite is booked, with why; both stay in the books. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { EntryView } from '@/contract/money-views';
import { Cash } from '@/ui/figures';
import { Field, Form, useCommandForm } from '@/ui/form';
import { TILL, entryName } from '@/words/screens/till';
import styles from './till.module.css';
import { movedBy } from './moved-by';

export function TakeBack({ entry, onClose }: { entry: EntryView; onClose: () => void }) {
  const [newId] = useState(() => crypto.randomUUID());
  const of = useCommandForm('reverse-entry', {
    values: { reason: '' },
    payload: ({ reason }) => ({ entryId: entry.id, newId, reason }),
    onDone: onClose,
  });
  return (
    <Form of={of} className={styles.form} label={TILL.takeBackHead}>
      <h2>{TILL.takeBackHead}</h2>
      <p>
        {entryName(entry.kind)} {entry.note} <Cash value={movedBy(entry)} />
      </p>
      <Field name="reason" label={TILL.why} most={200} first />
      <div className={styles.buttons}>
        <Button variant="outlined" onClick={onClose}>
          {TILL.cancel}
        </Button>
        <Button type="submit" variant="contained" disabled={of.busy}>
          {TILL.takeBack}
        </Button>
      </div>
    </Form>
  );
}
