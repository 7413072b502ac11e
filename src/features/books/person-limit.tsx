'use client';
/** How much somebody may take off a price without an owner. */
import Button from '@mui/material/Button';
import type { PersonView } from '@/contract/views';
import { issue } from '@/core/issue';
import { Field, Form, useCommandForm } from '@/ui/form';
import { CONCESSION } from '@/words/screens/concession';
import styles from './books.module.css';

export function PersonLimit({ person, onDone }: { person: PersonView; onDone: () => void }) {
  const of = useCommandForm('set-discount-limit', {
    values: { percent: String(person.discountLimit) },
    payload: ({ percent }) =>
      /^\d{1,3}$/.test(percent.trim())
        ? { staffId: person.id, percent: Number(percent) }
        : { wrong: [issue('number-wrong', { typed: percent }, 'percent')] },
    onDone,
  });
  return (
    <Form of={of} className={styles.person}>
      <Field
        name="percent"
        label={CONCESSION.limitOf(person.name)}
        end={<span className="soft">%</span>}
        most={3}
        first
        input={{ inputMode: 'numeric' }}
      />
      <Button type="submit" variant="outlined" disabled={of.busy}>
        {CONCESSION.set}
      </Button>
    </Form>
  );
}
