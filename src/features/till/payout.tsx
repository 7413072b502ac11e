'use client';
/** What the card company paid to the bank, less its fee. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Issue } from '@/core/issue';
import { parseMoney } from '@/core/units/money';
import { Field, Form, useCommandForm } from '@/ui/form';
import { wrongAmount } from '@/ui/wrong-amount';
import { LEDGER_PAGE } from '@/words/screens/till';
import styles from './till.module.css';

export function Payout() {
  const [entryId, setId] = useState(() => crypto.randomUUID());
  const of = useCommandForm('book-payout', {
    values: { amount: '', fee: '' },
    payload: ({ amount, fee }) => {
      const read = { amount: parseMoney(amount), fee: fee.trim() === '' ? 0 : parseMoney(fee) };
      const wrong: Issue[] = Object.entries(read).flatMap(([key, value]) =>
        value === undefined || (key === 'amount' && value === 0)
          ? [wrongAmount(key === 'fee' ? fee : amount, key)]
          : [],
      );
      return wrong.length > 0 ? { wrong } : { entryId, amount: read.amount!, fee: read.fee! };
    },
    onDone: () => {
      setId(crypto.randomUUID());
      of.form.reset();
    },
  });
  return (
    <Form of={of} className={styles.form} label={LEDGER_PAGE.payoutHead}>
      <h2>{LEDGER_PAGE.payoutHead}</h2>
      <Field name="amount" label={LEDGER_PAGE.payoutAmount} most={14} />
      <Field name="fee" label={LEDGER_PAGE.payoutFee} most={14} />
      <Button type="submit" variant="outlined" disabled={of.busy}>
        {LEDGER_PAGE.payout}
      </Button>
    </Form>
  );
}
