'use client';
/** A voucher sold: its code is shown once it is paid, and printed. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { parseMoney } from '@/core/units/money';
import { Choice } from '@/ui/choice';
import { Field, Form, useCommandForm } from '@/ui/form';
import { Sure, sureOf } from '@/ui/sure';
import { wrongAmount } from '@/ui/wrong-amount';
import { MEANS_NAMES } from '@/words/screens/collect';
import { TILL } from '@/words/screens/till';
import styles from './till.module.css';

const PAID_BY = ['cash', 'bank'] as const;

export function SellVoucher() {
  const [means, setMeans] = useState<(typeof PAID_BY)[number]>('cash');
  const [id, setId] = useState(() => crypto.randomUUID());
  const [code, setCode] = useState('');
  const of = useCommandForm<'sell-voucher', { amount: string; expires: string; sure: string }, { code: string }>(
    'sell-voucher',
    {
      values: { amount: '', expires: '', sure: '' },
      payload: ({ amount, expires, sure }) => {
        const read = parseMoney(amount);
        return read === undefined || read === 0
          ? { wrong: [wrongAmount(amount, 'amount')] }
          : {
              id,
              amount: read,
              means,
              expires: expires.trim() === '' ? null : expires.trim(),
              ...sureOf(sure, amount),
            };
      },
      onDone: ({ code: sold }) => {
        setCode(sold);
        setId(crypto.randomUUID());
        of.form.reset();
      },
    },
  );
  return (
    <Form of={of} className={styles.form} label={TILL.voucherHead}>
      <h2>{TILL.voucherHead}</h2>
      <Field name="amount" label={TILL.voucherAmount} most={14} />
      <Sure />
      <Field name="expires" label={TILL.voucherExpires} hint={TILL.voucherExpiresSay} most={10} />
      <Choice
        label={TILL.voucherMeans}
        value={means}
        options={PAID_BY.map((one) => [one, MEANS_NAMES[one]] as const)}
        onChange={setMeans}
      />
      <Button type="submit" variant="outlined" disabled={of.busy}>
        {TILL.sell}
      </Button>
      {code && (
        <p role="status">
          {TILL.soldCode} <b className={styles.code}>{code}</b>{' '}
          <a href={`/papers/voucher/${code}`} target="_blank" rel="noreferrer">
            {TILL.print}
          </a>
        </p>
      )}
    </Form>
  );
}
