'use client';
/** Who a customer is, how they are reached and told, and what they like. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { CHANNELS, type Channel } from '@/contract/channels';
import type { CustomerPage } from '@/contract/views';
import { Choice } from '@/ui/choice';
import { Choose } from '@/ui/choose';
import { Field, Form, useCommandForm } from '@/ui/form';
import { useTypedKept } from '@/ui/typed-kept';
import { CUSTOMER_PAGE } from '@/words/screens/customers';
import styles from './customers.module.css';

const ANY = 'any';
type Units = 'in' | 'mm' | typeof ANY;

export function CustomerForm({ of: who }: { of: CustomerPage }) {
  const [units, setUnits] = useState<Units>(who.prefers.units ?? ANY);
  const [channel, setChannel] = useState<Channel | typeof ANY>(who.prefers.channel ?? ANY);
  const [saved, setSaved] = useState(false);
  const of = useCommandForm('edit-customer', {
    values: {
      name: who.name,
      phone: who.phone,
      email: who.email,
      addresses: who.addresses.join('\n'),
      border: who.prefers.border ?? '',
      notes: who.notes,
    },
    payload: ({ addresses, border, ...rest }) => ({
      customerId: who.id,
      revision: who.revision,
      ...rest,
      addresses: addresses
        .split('\n')
        .map((line) => line.trim())
        .filter(Boolean),
      prefers: {
        ...(units === ANY ? {} : { units }),
        ...(border.trim() === '' ? {} : { border }),
        ...(channel === ANY ? {} : { channel }),
      },
    }),
    onDone: () => {
      forget();
      setSaved(true);
    },
    fieldOf: { 'prefers.border': 'border' },
  });
  const forget = useTypedKept(of.form, `lopren.customer.${who.id}`);
  const changed =
    of.form.formState.isDirty || units !== (who.prefers.units ?? ANY) || channel !== (who.prefers.channel ?? ANY);
  return (
    <Form of={of} className={styles.form} label={CUSTOMER_PAGE.records}>
      <Field name="name" label={CUSTOMER_PAGE.name} most={120} />
      <div className={styles.two}>
        <Field name="phone" label={CUSTOMER_PAGE.phone} most={40} input={{ inputMode: 'tel' }} />
        <Field name="email" label={CUSTOMER_PAGE.mail} most={120} input={{ inputMode: 'email' }} />
      </div>
      <Field name="addresses" label={CUSTOMER_PAGE.addresses} rows={3} most={1800} />
      <div className={styles.line}>
        <span>{CUSTOMER_PAGE.units}</span>
        <Choice
          label={CUSTOMER_PAGE.units}
          value={units}
          options={(['any', 'in', 'mm'] as const).map((unit) => [unit, CUSTOMER_PAGE.unitsOf[unit]] as const)}
          onChange={setUnits}
        />
      </div>
      <div className={styles.two}>
        <Choose
          label={CUSTOMER_PAGE.channel}
          name="channel"
          value={channel}
          options={[ANY, ...CHANNELS].map((code) => ({ code, name: CUSTOMER_PAGE.channels[code as Channel] }))}
          onChange={(code) => setChannel(code as Channel)}
        />
        <Field name="border" label={CUSTOMER_PAGE.border} most={120} />
      </div>
      <Field name="notes" label={CUSTOMER_PAGE.notes} rows={3} most={2000} />
      <div className={styles.line}>
        <Button type="submit" variant="contained" disabled={of.busy || !changed}>
          {CUSTOMER_PAGE.save}
        </Button>
        <span role="status" className="soft">
          {saved && !changed ? CUSTOMER_PAGE.saved : ''}
        </span>
      </div>
    </Form>
  );
}
