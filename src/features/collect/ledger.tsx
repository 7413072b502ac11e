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

const Reverse = dynamic(() => import('./reverse').then((file) => file.Reverse));

export function Ledger({ order }: { order: OrderView }) {
  const [reversing, setReversing] = useState<string | undefined>();
  const reversed = new Set(order.payments.flatMap((payment) => payment.reverses ?? []));
  const canReverse = (payment: PaymentView) =>
    order.state === 'accepted' && !payment.reverses && !reversed.has(payment.id);
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
              <Button variant="text" onClick={() => setReversing(payment.id)}>
                {LEDGER.reverseThis}
              </Button>
            )}
          </span>
          <span className="num">
            <Cash value={payment.amount} />
          </span>
          {reversing === payment.id && <Reverse payment={payment} onDone={() => setReversing(undefined)} />}
        </li>
      ))}
      {order.payments.length === 0 && <li className="soft">{LEDGER.nothing}</li>}
    </ul>
  );
}
