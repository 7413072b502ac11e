'use client';
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import { type FormEvent, useRef, useState } from 'react';
import { startOf } from '@/contract/access';
import type { Role } from '@/contract/commands';
import type { Issue } from '@/core/issue';
import { Brand } from '@/ui/brand';
import { post } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import styles from './sign-in.module.css';

interface Props {
  readonly shop: string;
  readonly people: readonly string[];
  readonly demo: readonly { readonly name: string; readonly role: string; readonly pin: string }[];
}

export function SignIn({ shop, people, demo }: Props) {
  const [name, setName] = useState(people[0] ?? '');
  const [pin, setPin] = useState('');
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const field = useRef<HTMLInputElement>(null);
  const choose = (text: string) => {
    setName(text);
    setIssues([]);
    field.current?.focus();
  };
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await post<{ role: Role }>('/api/session', { name, pin });
    if (answer.ok) window.location.assign(startOf(answer.value.role));
    else {
      setIssues(answer.issues);
      setPin('');
      field.current?.focus();
    }
  };
  return (
    <main className={styles.page}>
      <form className={styles.form} onSubmit={(event) => void submit(event)}>
        <div className={styles.brand}>
          <Brand size={36} />
          <h1>{shop}</h1>
        </div>
        <fieldset className={styles.people}>
          <legend>Who is at the bench?</legend>
          {people.map((text) => (
            <button key={text} type="button" aria-pressed={text === name} onClick={() => choose(text)}>
              {text}
            </button>
          ))}
        </fieldset>
        <label className={styles.pin}>
          <span>PIN of {name}</span>
          <Input
            inputRef={field}
            type="password"
            value={pin}
            fullWidth
            autoFocus
            onChange={(event) => setPin(event.target.value)}
            slotProps={{ input: { inputMode: 'numeric', autoComplete: 'off', maxLength: 8, 'aria-label': 'PIN' } }}
          />
        </label>
        <Trouble issues={issues} />
        <Button type="submit" variant="contained" fullWidth disabled={pin.length < 4}>
          Open the shop
        </Button>
        {demo.length > 0 && (
          <div className={styles.demo}>
            <p>This is the demo shop. Its people are made up, and so are their PINs:</p>
            <dl>
              {demo.map((one) => (
                <div key={one.name}>
                  <dt>
                    {one.name} <span className="soft">{one.role}</span>
                  </dt>
                  <dd>{one.pin}</dd>
                </div>
              ))}
            </dl>
          </div>
        )}
      </form>
    </main>
  );
}
