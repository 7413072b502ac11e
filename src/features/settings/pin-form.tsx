'use client';
/** A new PIN, typed twice; with the one it was where that is asked for. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import { useState } from 'react';
import { type Issue, issue } from '@/core/issue';
import { Trouble } from '@/ui/trouble';
import styles from './settings.module.css';

interface Props {
  readonly title: string;
  readonly asksWas?: boolean;
  readonly onCancel?: () => void;
  /** Answers what is wrong with it. */
  readonly onPin: (pin: string, was: string) => Promise<readonly Issue[]>;
}
const EMPTY = { was: '', pin: '', again: '' };
const PIN = /^\d{4,8}$/;

export function PinForm({ title, asksWas = false, onCancel, onPin }: Props) {
  const [form, setForm] = useState(EMPTY);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const submit = async () => {
    if (form.pin !== form.again) return setIssues([issue('pins-differ', {}, 'again')]);
    const issues = await onPin(form.pin, form.was);
    setIssues(issues);
    if (issues.length === 0) setForm(EMPTY);
  };
  const field = (key: keyof typeof EMPTY, label: string, first: boolean) => (
    <label>
      <span>{label}</span>
      <Input
        type="password"
        value={form[key]}
        fullWidth
        autoFocus={first}
        onChange={(event) => setForm({ ...form, [key]: event.target.value })}
        slotProps={{
          input: {
            inputMode: 'numeric',
            maxLength: 8,
            autoComplete: key === 'was' ? 'current-password' : 'new-password',
          },
        }}
      />
      <Trouble issues={issues.filter(({ path }) => path === key)} />
    </label>
  );
  return (
    <form
      className={styles.form}
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <h2>{title}</h2>
      {asksWas && field('was', 'The PIN it was', true)}
      {field('pin', 'The new PIN, four to eight digits', !asksWas)}
      {field('again', 'The new PIN once more', false)}
      <Trouble issues={issues.filter(({ path }) => !path || !(path in EMPTY))} />
      <div className={styles.acts}>
        <Button type="submit" variant="contained" disabled={!PIN.test(form.pin) || form.again === ''}>
          Set the PIN
        </Button>
        {onCancel && (
          <Button variant="text" onClick={onCancel}>
            Leave it
          </Button>
        )}
      </div>
    </form>
  );
}
