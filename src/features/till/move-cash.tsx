'use client';
/** Cash that goes into the drawer or out of it, and what for. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { parseMoney } from '@/core/units/money';
import { Choice } from '@/ui/choice';
import { Field, Form, useCommandForm } from '@/ui/form';
import { Sure, sureOf } from '@/ui/sure';
import { wrongAmount } from '@/ui/wrong-amount';
import { TILL } from '@/words/screens/till';
import styles from './till.module.css';

const KINDS = ['expense', 'to-bank', 'cash-in'] as const;

export function MoveCash() {
  const [kind, setKind] = useState<(typeof KINDS)[number]>('expense');
  const [entryId, setId] = useState(() => crypto.randomUUID());
  const of = useCommandForm('move-cash', {
    values: { amount: '', why: '', sure: '' },
    payload: ({ amount, why, sure }) => {
      const read = parseMoney(amount);
      return read === undefined || read === 0
        ? { wrong: [wrongAmount(amount, 'amount')] }
        : { entryId, kind, amount: read, why, ...sureOf(sure, amount) };
    },
    onDone: () => {
      setId(crypto.randomUUID());
      of.form.reset();
    },
  });
  return (
    <Form of={of} className={styles.form} label={TILL.cashHead}>
      <h2>{TILL.cashHead}</h2>
      <Choice
        label={TILL.kindLabel}
        value={kind}
        options={KINDS.map((one) => [one, TILL.kinds[one]] as const)}
        onChange={setKind}
      />
      <Field name="amount" label={TILL.amount} most={14} />
      <Sure />
      <Field name="why" label={TILL.why} most={200} />
      <Button type="submit" variant="outlined" disabled={of.busy}>
        {TILL.move}
      </Button>
    </Form>
  );
}
