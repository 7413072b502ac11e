'use client';
/** A new PIN, typed twice; with the one it was where that is asked for. */
import Button from '@mui/material/Button';
import type { Asked } from '@/contract/commands';
import { issue } from '@/core/issue';
import { Field, Form, useCommandForm } from '@/ui/form';
import { PIN } from '@/words/screens/door';
import styles from './settings.module.css';

type Gives = 'change-pin' | 're-admit-person';
interface Props {
  readonly title: string;
  readonly staffId: string;
  readonly gives: Gives;
  readonly asksWas?: boolean;
  readonly onCancel?: () => void;
  readonly onDone: () => void;
}
const EMPTY = { was: '', pin: '', again: '' };
const DIGITS = /^\d{4,8}$/;

export function PinForm({ title, staffId, gives, asksWas = false, onCancel, onDone }: Props) {
  const of = useCommandForm<Gives, typeof EMPTY>(gives, {
    values: EMPTY,
    payload: ({ was, pin, again }) =>
      pin === again
        ? ({ staffId, pin, ...(gives === 'change-pin' ? { was } : {}) } as Asked<Gives>)
        : { wrong: [issue('pins-differ', {}, 'again')] },
    onDone: () => {
      of.form.reset(EMPTY);
      onDone();
    },
  });
  const [pin, again] = of.form.watch(['pin', 'again']);
  const field = (name: keyof typeof EMPTY, label: string, first: boolean) => (
    <Field
      name={name}
      label={label}
      type="password"
      most={8}
      first={first}
      input={{ inputMode: 'numeric', autoComplete: name === 'was' ? 'current-password' : 'new-password' }}
    />
  );
  return (
    <Form of={of} className={styles.form}>
      <h2>{title}</h2>
      {asksWas && field('was', PIN.was, true)}
      {field('pin', PIN.fresh, !asksWas)}
      {field('again', PIN.again, false)}
      <div className={styles.acts}>
        <Button type="submit" variant="contained" disabled={of.busy || !DIGITS.test(pin) || again === ''}>
          {PIN.set}
        </Button>
        {onCancel && (
          <Button variant="text" onClick={onCancel}>
            {PIN.leave}
          </Button>
        )}
      </div>
    </Form>
  );
}
