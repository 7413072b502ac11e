'use client';
import Button from '@mui/material/Button';
import { Field, Form, useCommandForm } from '@/ui/form';
import { TILL } from '@/words/screens/till';
import styles from './till.module.css';

/** Another drawer; a device is then put at it. */
export function AddTill() {
  const of = useCommandForm('add-till', {
    values: { name: '' },
    payload: ({ name }) => ({ name }),
    onDone: () => of.form.reset(),
  });
  return (
    <Form of={of} className={styles.form} label={TILL.addHead}>
      <h2>{TILL.addHead}</h2>
      <Field name="name" label={TILL.addName} most={40} />
      <Button type="submit" variant="outlined" disabled={of.busy || !of.form.watch('name').trim()}>
        {TILL.add}
      </Button>
    </Form>
  );
}
