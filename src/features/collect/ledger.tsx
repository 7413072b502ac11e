'use client';
/** What was paid, line by line. A line is never changed; it is reversed by another, with its reason. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { OrderView, PaymentView } from '@/contract/views';
import { Cash } from '@/ui/figures';
import { dayName } from '@/words/materials';
import { LEDGER } from '@/words/screens/collect';
import styles from './collect.module.css';
import { patient } from '@/ui/patient';

const ReasonForm = dynamic(
  () => patient(() => import('./reason-form')).then((file) => file.ReasonForm<'reverse-payment'>),
  {
    loading: () => null,
  },
);

export function Ledger({ order }: { order: OrderView }) {
  /** The payment that is being reversed, and the id of the line that reverses it. */
  const [reversing, setReversing] = useState<{ payment: string; newId: string }>();
  const reversed = new Set(order.payments.flatMap((payment) => payment.reverses ?? []));
  const canReverse = (payment: PaymentView) =>
    order.state === 'accepted' && payment.kind !== 'refund' && !payment.reverses && !reversed.has(payment.id);
  return (
    <ul className={styles.ledger}>
      {order.payments.map((payment) => (
        <li key={payment.id}>
          <span>
            {dayName(payment.at.slice(0, 10))} <span className="soft">{payment.by}</span>
          </span>
          <span>
            {LEDGER.line(payment.kind, payment.method)}
            {payment.note && <span className="soft"> {payment.note}</span>}
          </span>
          <span>
            {canReverse(payment) && (
              <Button variant="text" onClick={() => setReversing({ payment: payment.id, newId: crypto.randomUUID() })}>
                {LEDGER.reverseThis}
              </Button>
            )}
          </span>
          <span className="num">
            <Cash value={payment.amount} />
          </span>
          {reversing?.payment === payment.id && (
            <ReasonForm
              command="reverse-payment"
              payload={(reason) => ({ paymentId: payment.id, newId: reversing.newId, reason })}
              why={LEDGER.whyReversed}
              act={LEDGER.reverse}
              onDone={() => setReversing(undefined)}
            />
          )}
        </li>
      ))}
      {order.payments.length === 0 && <li className="soft">{LEDGER.nothing}</li>}
    </ul>
  );
}
