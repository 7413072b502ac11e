'use client';
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import { type FormEvent, useState } from 'react';
import type { Issue } from '@/core/issue';
import type { Unit } from '@/core/units/length';
import { Brand } from '@/ui/brand';
import { post, send } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import styles from './sign-in.module.css';

/** The first visit: the shop's name, its owner, and the unit it thinks in. */
export function SetUp() {
  const [form, setForm] = useState({ shop: '', owner: '', pin: '', homeUnit: 'in' as Unit, code: '' });
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const put = (key: keyof typeof form) => (event: { target: { value: string } }) =>
    setForm({ ...form, [key]: event.target.value });
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await send('set-up-shop', form);
    if (!answer.ok) return setIssues(answer.issues);
    await post('/api/session', { name: form.owner, pin: form.pin });
    window.location.assign('/books');
  };
  return (
    <main className={styles.page}>
      <form className={styles.form} onSubmit={(event) => void submit(event)}>
        <div className={styles.brand}>
          <Brand size={36} />
          <h1>A new shop</h1>
        </div>
        <label className={styles.pin}>
          <span>What is it called?</span>
          <Input
            value={form.shop}
            onChange={put('shop')}
            fullWidth
            autoFocus
            slotProps={{ input: { maxLength: 80 } }}
          />
        </label>
        <label className={styles.pin}>
          <span>Who owns it?</span>
          <Input value={form.owner} onChange={put('owner')} fullWidth slotProps={{ input: { maxLength: 60 } }} />
        </label>
        <label className={styles.pin}>
          <span>The owner’s PIN, four to eight digits</span>
          <Input
            type="password"
            value={form.pin}
            onChange={put('pin')}
            fullWidth
            slotProps={{ input: { inputMode: 'numeric', maxLength: 8, autoComplete: 'new-password' } }}
          />
        </label>
        <label className={styles.pin}>
          <span>The code that Lopren printed where it was started</span>
          <Input
            value={form.code}
            onChange={put('code')}
            fullWidth
            slotProps={{ input: { maxLength: 40, autoComplete: 'off' } }}
          />
        </label>
        <fieldset className={styles.people}>
          <legend>Measures in</legend>
          {(['in', 'mm'] as const).map((unit) => (
            <button
              key={unit}
              type="button"
              aria-pressed={form.homeUnit === unit}
              onClick={() => setForm({ ...form, homeUnit: unit })}
            >
              {unit === 'in' ? 'inches' : 'millimetres'}
            </button>
          ))}
        </fieldset>
        <Trouble issues={issues} />
        <Button
          type="submit"
          variant="contained"
          fullWidth
          disabled={!form.shop.trim() || !form.owner.trim() || !form.code.trim() || !/^\d{4,8}$/.test(form.pin)}
        >
          Set up
        </Button>
      </form>
    </main>
  );
}
