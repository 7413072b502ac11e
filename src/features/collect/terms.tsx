'use client';
/** Whether this customer pays later; the owner changes it. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { OrderView } from '@/contract/views';
import { type Money, formatMoney } from '@/core/units/money';
import { TERMS } from '@/words/screens/collect';
import styles from './collect.module.css';
import { patient } from '@/ui/patient';

const TermsForm = dynamic(() => patient(() => import('./terms-form')).then((file) => file.TermsForm), {
  loading: () => null,
});

export function Terms({ order, owner }: { order: OrderView; owner: boolean }) {
  const [changing, setChanging] = useState(false);
  const { days, limit } = order.terms;
  if (changing) return <TermsForm order={order} onClose={() => setChanging(false)} />;
  if (days === null && !owner) return null;
  return (
    <p className={`${styles.papers} soft`}>
      <span>{days === null ? TERMS.atOnce : TERMS.later(days, limit === null ? '' : formatMoney(limit as Money))}</span>
      {owner && (
        <Button variant="text" onClick={() => setChanging(true)}>
          {TERMS.change}
        </Button>
      )}
    </p>
  );
}
