'use client';
/** Cancelling an order with money on it: what was cut and worked is proposed to be kept; the rest goes back as it came. */
import Button from '@mui/material/Button';
import type { OrderView } from '@/contract/views';
import { keptInAll } from '@/core/ledger/kept';
import { type Money, formatMoney, money, parseMoney } from '@/core/units/money';
import { Cash } from '@/ui/figures';
import { Field, Form, useCommandForm } from '@/ui/form';
import { wrongAmount } from '@/ui/wrong-amount';
import { lineName } from '@/words/materials';
import { CANCEL } from '@/words/screens/collect';
import styles from './collect.module.css';

export function CancelPaid({ order, onClose }: { order: OrderView; onClose: () => void }) {
  const proposed = Math.min(keptInAll(order.kept), order.paid);
  const of = useCommandForm('cancel-order', {
    values: { kept: formatMoney(money(proposed)), reason: '' },
    payload: ({ kept, reason }) => {
      const read = parseMoney(kept);
      return read === undefined
        ? { wrong: [wrongAmount(kept, 'kept')] }
        : { orderId: order.id, revision: order.revision, reason, kept: read };
    },
    onDone: onClose,
  });
  const kept = parseMoney(of.form.watch('kept')) ?? 0;
  return (
    <Form of={of} className={`${styles.pay} ${styles.cancel}`} label={CANCEL.cancel}>
      <dl>
        <div>
          <dt>{CANCEL.paid}</dt>
          <dd>
            <Cash value={order.paid} />
          </dd>
        </div>
        {order.kept.map((one, index) => (
          <div key={index}>
            <dt>
              {one.of === 'labour' ? CANCEL.worked : CANCEL.cut(lineName({ code: one.of }))}{' '}
              <span className="soft">{one.quantity}</span>
            </dt>
            <dd>
              <Cash value={one.amount} />
            </dd>
          </div>
        ))}
      </dl>
      <Field name="kept" label={CANCEL.kept} hint={CANCEL.keptSay} most={14} first />
      <p>
        {CANCEL.back} <b>{<Cash value={Math.max(0, order.paid - kept) as Money} />}</b>
      </p>
      <Field name="reason" label={CANCEL.why} most={300} />
      <div className={styles.buttons}>
        <Button variant="outlined" onClick={onClose}>
          {CANCEL.close}
        </Button>
        <Button type="submit" variant="contained" disabled={of.busy || !of.form.watch('reason').trim()}>
          {CANCEL.cancelIt}
        </Button>
      </div>
    </Form>
  );
}
