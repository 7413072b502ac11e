'use client';
/** A new customer, by name, phone and mail; the rest stands on their page. */
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Field, Form, useCommandForm } from '@/ui/form';
import { CUSTOMER_PAGE, CUSTOMERS } from '@/words/screens/customers';
import styles from './customers.module.css';

export function AddCustomer() {
  const router = useRouter();
  const [id] = useState(() => crypto.randomUUID());
  const of = useCommandForm('add-customer', {
    values: { name: '', phone: '', email: '' },
    payload: (values) => ({ id, ...values }),
    onDone: () => router.push(`/customers/${id}`),
  });
  return (
    <Form of={of} className={styles.three} label={CUSTOMERS.add}>
      <Field name="name" label={CUSTOMER_PAGE.name} most={120} first />
      <Field name="phone" label={CUSTOMER_PAGE.phone} most={40} input={{ inputMode: 'tel' }} />
      <Field name="email" label={CUSTOMER_PAGE.mail} most={120} input={{ inputMode: 'email' }} />
      <Button type="submit" variant="outlined" disabled={of.busy}>
        {CUSTOMERS.add}
      </Button>
    </Form>
  );
}
