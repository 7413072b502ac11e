'use client';
/** Finding the customer by name or phone, or adding a new one with what was typed. */
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Dialog from '@mui/material/Dialog';
import Input from '@mui/material/Input';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { CustomerView } from '@/contract/views';
import { Field, Form, useCommandForm } from '@/ui/form';
import { ask } from '@/ui/send';
import { useLate } from '@/ui/use-late';
import { worthAsking } from '@/ui/worth-asking';
import { CUSTOMER } from '@/words/screens/desk-later';
import styles from './desk.module.css';

const PHONE = /^[\d\s+().-]{4,}$/;
const LATE_MS = 100;
const SHOWN = 6;

function AddCustomer({ typed, onChoose }: { typed: string; onChoose: (customer: CustomerView) => void }) {
  const [id] = useState(() => crypto.randomUUID());
  // The first that is still missing.
  const named = typed !== '' && !PHONE.test(typed);
  const of = useCommandForm('add-customer', {
    values: PHONE.test(typed) ? { name: '', phone: typed, email: '' } : { name: typed, phone: '', email: '' },
    payload: (values) => ({ id, ...values }),
    onDone: (_result, values) => onChoose({ id, ...values }),
  });
  return (
    <Form of={of} className={styles.dialogFields}>
      <Field name="name" label={CUSTOMER.name} most={120} first={!named} />
      <Field name="phone" label={CUSTOMER.phone} most={40} first={named} input={{ inputMode: 'tel' }} />
      <Field name="email" label={CUSTOMER.mail} most={120} input={{ inputMode: 'email' }} />
      <Button type="submit" variant="contained" disabled={of.busy}>
        {CUSTOMER.add}
      </Button>
    </Form>
  );
}

const lookFor = (text: string) => ({
  queryKey: ['customers', text],
  queryFn: async ({ signal }: { signal: AbortSignal }) => {
    const url = `/api/find?what=customers&text=${encodeURIComponent(text)}`;
    const answer = await ask<readonly CustomerView[]>(url, { signal });
    return answer.ok ? answer.value : [];
  },
});

interface Props {
  readonly onChoose: (customer: CustomerView) => void;
  readonly onClose: () => void;
}

export function CustomerDialog({ onChoose, onClose }: Props) {
  const [text, setText] = useState('');
  const [adding, setAdding] = useState(false);
  const typed = useLate(text, LATE_MS);
  const asked = worthAsking(typed) ? typed : '';
  const client = useQueryClient();
  const { data: customers = [] } = useQuery({ ...lookFor(asked), placeholderData: keepPreviousData });
  // Enter before the answer is there counts once it is.
  const take = async () => {
    const [first] = worthAsking(text) ? await client.fetchQuery(lookFor(text)) : [];
    if (first) onChoose(first);
    else setAdding(true);
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="customer-head">
      <h2 id="customer-head" className={styles.dialogHead}>
        {adding ? CUSTOMER.newHead : CUSTOMER.head}
      </h2>
      {adding ? (
        <AddCustomer typed={text} onChoose={onChoose} />
      ) : (
        <div className={styles.dialogFields}>
          <Input
            value={text}
            fullWidth
            autoFocus
            placeholder={CUSTOMER.find}
            onChange={(event) => setText(event.target.value)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter') return;
              event.preventDefault();
              if (text.trim() !== '') void take();
            }}
            slotProps={{ input: { 'aria-label': CUSTOMER.findLong, maxLength: 80 } }}
          />
          <ul className={styles.people}>
            {customers.slice(0, SHOWN).map((customer) => (
              <li key={customer.id}>
                <ButtonBase onClick={() => onChoose(customer)}>
                  <b>{customer.name}</b>
                  <span className="soft">
                    {[customer.phone, customer.orders && CUSTOMER.orders(customer.orders)].filter(Boolean).join(' · ')}
                  </span>
                </ButtonBase>
              </li>
            ))}
          </ul>
          <Button variant="outlined" onClick={() => setAdding(true)}>
            {text.trim() ? CUSTOMER.addTyped(text.trim()) : CUSTOMER.addNew}
          </Button>
        </div>
      )}
    </Dialog>
  );
}
