'use client';
/** Paid otherwise: a transfer that was seen at the bank, or a voucher by its code. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { OrderView } from '@/contract/views';
import type { Issue } from '@/core/issue';
import { PlainField } from '@/ui/plain-field';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { PAY } from '@/words/screens/collect';
import styles from './collect.module.css';

interface Props {
  readonly order: OrderView;
  readonly means: 'bank' | 'vouchers';
  /** The amount in the field above; what is wrong with it is said there. */
  readonly amount: () => number | undefined;
  /** Why less than the deposit is taken, or that what is above the balance is meant as credit. */
  readonly more: { readonly less?: string; readonly credit?: true };
  readonly onClose: () => void;
}

/** Made once for each attempt, so that a second tap on the same attempt books nothing twice. */
const newId = () => crypto.randomUUID();

export function Otherwise({ order, means, amount, more, onClose }: Props) {
  const [text, setText] = useState('');
  const [paymentId, setId] = useState(newId);
  const transfer = useCommand('take-transfer');
  const voucher = useCommand('take-voucher');
  const take = async () => {
    const of = { orderId: order.id, paymentId, amount: amount(), ...more };
    if (of.amount === undefined || text.trim() === '') return;
    const paid = { ...of, amount: of.amount };
    const answer = await (means === 'bank'
      ? transfer.run({ ...paid, note: text })
      : voucher.run({ ...paid, code: text }));
    if (answer.ok || !answer.lost) setId(newId());
    if (answer.ok) onClose();
  };
  const issues: readonly Issue[] = [...transfer.issues, ...voucher.issues];
  const beside = issues.find(({ path }) => path === 'code' || path === 'note');
  return (
    <div className={styles.pay}>
      <PlainField
        key={means}
        name={means}
        label={means === 'bank' ? PAY.reference : PAY.code}
        value={text}
        most={means === 'bank' ? 120 : 24}
        first
        wrong={beside}
        onEnter={() => void take()}
        onChange={(to) => {
          setText(to);
          transfer.setIssues([]);
          voucher.setIssues([]);
        }}
      />
      <Trouble issues={issues.filter((one) => one !== beside)} />
      <div className={styles.buttons}>
        <Button variant="outlined" onClick={onClose}>
          {PAY.close}
        </Button>
        <Button
          variant="contained"
          disabled={transfer.busy || voucher.busy || text.trim() === ''}
          onClick={() => void take()}
        >
          {means === 'bank' ? PAY.takeTransfer : PAY.takeVoucher}
        </Button>
      </div>
    </div>
  );
}
