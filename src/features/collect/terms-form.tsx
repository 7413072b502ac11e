'use client';
/** Within how many days a customer pays, and never owing more than what. Set by the owner. */
import Button from '@mui/material/Button';
import type { OrderView } from '@/contract/views';
import { type Issue, issue } from '@/core/issue';
import { type Money, formatMoney, parseMoney } from '@/core/units/money';
import { Field, Form, useCommandForm } from '@/ui/form';
import { wrongAmount } from '@/ui/wrong-amount';
import { TERMS } from '@/words/screens/collect';
import styles from './collect.module.css';

export function TermsForm({ order, onClose }: { order: OrderView; onClose: () => void }) {
  const { days, limit } = order.terms;
  const of = useCommandForm('change-terms', {
    values: { days: days === null ? '' : String(days), limit: limit === null ? '' : formatMoney(limit as Money) },
    payload: (typed) => {
      const [days, limit] = [typed.days.trim(), typed.limit.trim()];
      const most = limit === '' ? null : parseMoney(limit);
      const wrong: Issue[] = [
        ...(days !== '' && !/^\d{1,3}$/.test(days)
          ? [{ ...issue('setting-out', { read: days.slice(0, 20), least: 0, most: 365 }), path: 'days' }]
          : []),
        ...(most === undefined ? [wrongAmount(limit, 'limit')] : []),
      ];
      return wrong.length > 0
        ? { wrong }
        : { customerId: order.customer.id, days: days === '' ? null : Number(days), limit: most ?? null };
    },
    onDone: onClose,
  });
  return (
    <Form of={of} className={styles.pay} label={TERMS.head}>
      <Field name="days" label={TERMS.days} hint={TERMS.daysSay} most={3} first input={{ inputMode: 'numeric' }} />
      <Field name="limit" label={TERMS.limit} hint={TERMS.limitSay} most={14} />
      <div className={styles.buttons}>
        <Button variant="outlined" onClick={onClose}>
          {TERMS.close}
        </Button>
        <Button type="submit" variant="contained" disabled={of.busy}>
          {TERMS.save}
        </Button>
      </div>
    </Form>
  );
}
