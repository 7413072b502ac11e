'use client';
/** Finding the customer by name or phone, or adding a new one with what was typed. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Input from '@mui/material/Input';
import { type FormEvent, useEffect, useState } from 'react';
import type { CustomerView } from '@/contract/views';
import type { Issue } from '@/core/issue';
import { ask, send } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import styles from './desk.module.css';

const PHONE = /^[\d\s+().-]{4,}$/;

function AddCustomer({ typed, onChoose }: { typed: string; onChoose: (one: CustomerView) => void }) {
  const [form, setForm] = useState(() =>
    PHONE.test(typed) ? { name: '', phone: typed, email: '' } : { name: typed, phone: '', email: '' },
  );
  const [id] = useState(() => crypto.randomUUID());
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const put = (key: keyof typeof form) => (event: { target: { value: string } }) =>
    setForm({ ...form, [key]: event.target.value });
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await send('add-customer', { id, ...form }, id);
    if (answer.ok) onChoose({ id, ...form });
    else setIssues(answer.issues);
  };
  return (
    <form className={styles.dialogFields} onSubmit={(event) => void submit(event)}>
      <label>
        Name
        <Input value={form.name} onChange={put('name')} fullWidth autoFocus slotProps={{ input: { maxLength: 120 } }} />
      </label>
      <label>
        Phone
        <Input
          value={form.phone}
          onChange={put('phone')}
          fullWidth
          slotProps={{ input: { maxLength: 40, inputMode: 'tel' } }}
        />
      </label>
      <label>
        Mail, if they like
        <Input
          value={form.email}
          onChange={put('email')}
          fullWidth
          slotProps={{ input: { maxLength: 120, inputMode: 'email' } }}
        />
      </label>
      <Trouble issues={issues} />
      <Button type="submit" variant="contained" disabled={form.name.trim() === ''}>
        Add this customer
      </Button>
    </form>
  );
}

export function CustomerDialog({ onChoose, onClose }: { onChoose: (one: CustomerView) => void; onClose: () => void }) {
  const [text, setText] = useState('');
  const [customers, setFound] = useState<readonly CustomerView[]>([]);
  const [adding, setAdding] = useState(false);
  useEffect(() => {
    const late = new AbortController();
    const timer = setTimeout(() => {
      void ask<CustomerView[]>(`/api/find?what=customers&text=${encodeURIComponent(text)}`, {
        signal: late.signal,
      }).then((answer) => {
        if (!late.signal.aborted) setFound(answer.ok ? answer.value : []);
      });
    }, 100);
    return () => {
      late.abort();
      clearTimeout(timer);
    };
  }, [text]);
  return (
    <Dialog open onClose={onClose} aria-label="Customer">
      <h2 className={styles.dialogHead}>{adding ? 'A new customer' : 'Whose piece is it?'}</h2>
      {adding ? (
        <AddCustomer typed={text} onChoose={onChoose} />
      ) : (
        <div className={styles.dialogFields}>
          <Input
            value={text}
            fullWidth
            autoFocus
            placeholder="Name or phone"
            onChange={(event) => setText(event.target.value)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter') return;
              event.preventDefault();
              const [first] = customers;
              if (first && text !== '') onChoose(first);
              else if (text.trim() !== '') setAdding(true);
            }}
            slotProps={{ input: { 'aria-label': 'Name or phone of the customer', maxLength: 80 } }}
          />
          <ul className={styles.people}>
            {customers.slice(0, 6).map((customer) => (
              <li key={customer.id}>
                <button type="button" onClick={() => onChoose(customer)}>
                  <b>{customer.name}</b>
                  <span className="soft">
                    {customer.phone} {customer.orders ? `· ${customer.orders} orders` : ''}
                  </span>
                </button>
              </li>
            ))}
          </ul>
          <Button variant="outlined" onClick={() => setAdding(true)}>
            {text.trim() ? `Add “${text.trim()}”` : 'Add a new customer'}
          </Button>
        </div>
      )}
    </Dialog>
  );
}
