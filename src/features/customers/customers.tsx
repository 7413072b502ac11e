'use client';
/** Who brings their pieces here: found by name or phone, spelt right or nearly; added, and taken from a list. */
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState } from 'react';
import type { CustomerView } from '@/contract/views';
import { ask } from '@/ui/send';
import { useHydrated } from '@/ui/use-hydrated';
import { useLate } from '@/ui/use-late';
import { worthAsking } from '@/ui/worth-asking';
import { CUSTOMERS } from '@/words/screens/customers';
import styles from './customers.module.css';
import { patient } from '@/ui/patient';

const AddCustomer = dynamic(() => patient(() => import('./add-customer')).then((file) => file.AddCustomer), {
  loading: () => null,
});
const ImportCustomers = dynamic(
  () => patient(() => import('./import-customers')).then((file) => file.ImportCustomers),
  {
    loading: () => null,
  },
);

const LATE_MS = 90;

interface Props {
  readonly start: readonly CustomerView[];
  readonly owner: boolean;
  readonly adds: boolean;
}

export function Customers({ start, owner, adds }: Props) {
  const [text, setText] = useState('');
  const [open, setOpen] = useState<'add' | 'import' | undefined>(adds ? 'add' : undefined);
  const typed = useLate(text, LATE_MS);
  const asked = worthAsking(typed) ? typed : '';
  const { data = start } = useQuery({
    queryKey: ['customers-page', asked],
    meta: { cares: ['customers'] },
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) => {
      const answer = await ask<readonly CustomerView[]>(`/api/find?what=customers&text=${encodeURIComponent(asked)}`, {
        signal,
      });
      return answer.ok ? answer.value : [];
    },
    ...(asked === '' ? { initialData: start } : {}),
  });
  return (
    <main className={styles.list}>
      <header>
        <h1>{CUSTOMERS.head}</h1>
        <Button variant="contained" onClick={() => setOpen(open === 'add' ? undefined : 'add')}>
          {CUSTOMERS.add}
        </Button>
        {owner && (
          <>
            <Button variant="text" onClick={() => setOpen(open === 'import' ? undefined : 'import')}>
              {CUSTOMERS.import}
            </Button>
            <Button variant="text" href="/api/v1/export/customers.csv">
              {CUSTOMERS.export}
            </Button>
          </>
        )}
      </header>
      {open === 'add' && <AddCustomer />}
      {open === 'import' && <ImportCustomers />}
      <label htmlFor="whose" className="sr">
        {CUSTOMERS.findLong}
      </label>
      <InputBase
        id="whose"
        value={text}
        readOnly={!useHydrated()}
        fullWidth
        autoFocus={!adds}
        autoComplete="off"
        placeholder={CUSTOMERS.find}
        onChange={(event) => setText(event.target.value)}
        slotProps={{ input: { maxLength: 80 } }}
      />
      <ul>
        {data.map(({ id, name, phone, email, orders }) => (
          <li key={id}>
            <Link href={`/customers/${id}`}>
              <b>{name}</b>
              <span>{phone}</span>
              <span className="soft">{email}</span>
              <span className="soft">{orders === undefined ? '' : CUSTOMERS.orders(orders)}</span>
            </Link>
          </li>
        ))}
        {data.length === 0 && <li className={styles.none}>{asked === '' ? CUSTOMERS.noneYet : CUSTOMERS.none}</li>}
      </ul>
    </main>
  );
}
