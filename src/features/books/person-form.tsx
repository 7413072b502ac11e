'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ROLES, type Role } from '@/contract/roles';
import { Choice } from '@/ui/choice';
import { Field, Form, useCommandForm } from '@/ui/form';
import { PEOPLE } from '@/words/screens/books';
import { ROLE_NAMES } from '@/words/screens/roles';
import styles from './books.module.css';

/** A new person, with their first PIN and what they do. */
export function PersonForm({ onDone }: { onDone: () => void }) {
  const [id] = useState(() => crypto.randomUUID());
  const [role, setRole] = useState<Role>('counter');
  const of = useCommandForm('add-staff', {
    values: { name: '', pin: '' },
    payload: (values) => ({ id, ...values, role }),
    onDone,
  });
  const { name, pin } = of.form.watch();
  return (
    <Form of={of} className={styles.person}>
      <Field name="name" label={PEOPLE.name} most={60} first />
      <Field
        name="pin"
        label={PEOPLE.pin}
        hint={PEOPLE.pinHint}
        type="password"
        most={8}
        input={{ inputMode: 'numeric', autoComplete: 'new-password' }}
      />
      <Choice
        label={PEOPLE.role}
        value={role}
        options={ROLES.map((each) => [each, ROLE_NAMES[each]] as const)}
        onChange={setRole}
      />
      <Button type="submit" variant="outlined" disabled={of.busy || !name.trim() || !/^\d{4,8}$/.test(pin)}>
        {PEOPLE.add}
      </Button>
    </Form>
  );
}
