'use client';
/** Money given back: how much, by which means, and why. Above the shop's limit an owner types their PIN. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { OrderView } from '@/contract/views';
import { MEANS, type Means } from '@/core/ledger/accounts';
import { type Money, formatMoney, parseMoney } from '@/core/units/money';
import { Choice } from '@/ui/choice';
import { Field, Form, useCommandForm } from '@/ui/form';
import { wrongAmount } from '@/ui/wrong-amount';
import { GIVE_BACK, MEANS_NAMES } from '@/words/screens/collect';
import styles from './collect.module.css';

const newId = () => crypto.randomUUID();
/** The means most of it came by. */
const usualOf = ({ received }: OrderView): Means =>
  MEANS.reduce((most, means) => (received[means] > received[most] ? means : most));

export function GiveBack({ order, onClose }: { order: OrderView; onClose: () => void }) {
  const [means, setMeans] = useState<Means>(() => usualOf(order));
  const [refundId] = useState(newId);
  const proposed = order.owedBack > 0 ? Math.min(order.owedBack, order.received[means]) : 0;
  const of = useCommandForm('refund', {
    values: { amount: proposed > 0 ? formatMoney(proposed as Money) : '', reason: '', pin: '' },
    payload: ({ amount, reason, pin }) => {
      const read = parseMoney(amount);
      return read === undefined || read === 0
        ? { wrong: [wrongAmount(amount, 'amount')] }
        : { orderId: order.id, refundId, means, amount: read, reason, ...(pin === '' ? {} : { pin }) };
    },
    onDone: onClose,
  });
  return (
    <Form of={of} className={styles.pay} label={GIVE_BACK.head}>
      <h3>{GIVE_BACK.head}</h3>
      <Choice
        label={GIVE_BACK.means}
        value={means}
        options={MEANS.filter((one) => one !== 'vouchers' || order.received.vouchers > 0).map(
          (one) => [one, MEANS_NAMES[one]] as const,
        )}
        onChange={setMeans}
      />
      <Field
        name="amount"
        label={GIVE_BACK.amount}
        hint={GIVE_BACK.came(formatMoney(order.received[means] as Money))}
        most={14}
        first
      />
      <Field name="reason" label={GIVE_BACK.reason} most={300} />
      <Field name="pin" label={GIVE_BACK.pin} hint={GIVE_BACK.pinSay} type="password" most={8} />
      <div className={styles.buttons}>
        <Button variant="outlined" onClick={onClose}>
          {GIVE_BACK.close}
        </Button>
        <Button type="submit" variant="contained" disabled={of.busy || !of.form.watch('reason').trim()}>
          {GIVE_BACK.give}
        </Button>
      </div>
    </Form>
  );
}
