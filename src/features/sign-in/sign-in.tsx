'use client';
import Button from '@mui/material/Button';
import { useRef, useState } from 'react';
import Input from '@mui/material/Input';
import { startOf } from '@/contract/access';
import type { Role } from '@/contract/commands';
import type { Issue } from '@/core/issue';
import { Brand } from '@/ui/brand';
import { Choice } from '@/ui/choice';
import { post } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { DOOR } from '@/words/screens/door';
import styles from './sign-in.module.css';
import { useHydrated } from '@/ui/use-hydrated';

interface Props {
  readonly shop: string;
  readonly people: readonly string[];
  readonly demo: readonly { readonly name: string; readonly role: string; readonly pin: string }[];
}
const SHORTEST_PIN = 4;

export function SignIn({ shop, people, demo }: Props) {
  const [name, setName] = useState(people[0] ?? '');
  const [pin, setPin] = useState('');
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const field = useRef<HTMLInputElement>(null);
  const choose = (person: string) => {
    setName(person);
    setIssues([]);
    field.current?.focus();
  };
  const submit = async () => {
    const answer = await post<{ role: Role }>('/api/session', { name, pin });
    if (answer.ok) return window.location.assign(startOf(answer.value.role));
    setIssues(answer.issues);
    setPin('');
    field.current?.focus();
  };
  return (
    <main className={styles.page}>
      <form
        className={styles.form}
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <div className={styles.brand}>
          <Brand size={36} />
          <h1>{shop}</h1>
        </div>
        <div>
          <p className="soft">{DOOR.who}</p>
          <Choice
            label={DOOR.who}
            className={styles.people}
            value={name}
            options={people.map((person) => [person, person] as const)}
            onChange={choose}
          />
        </div>
        <div className={styles.pin}>
          <label htmlFor="pin">{DOOR.pinOf(name)}</label>
          <Input
            id="pin"
            inputRef={field}
            type="password"
            value={pin}
            readOnly={!useHydrated()}
            fullWidth
            autoFocus
            error={issues.length > 0}
            onChange={(event) => setPin(event.target.value)}
            slotProps={{
              input: {
                inputMode: 'numeric',
                autoComplete: 'off',
                maxLength: 8,
                'aria-label': DOOR.pin,
                'aria-describedby': 'pin-wrong',
              },
            }}
          />
        </div>
        <div id="pin-wrong">
          <Trouble issues={issues} />
        </div>
        <Button type="submit" variant="contained" fullWidth disabled={pin.length < SHORTEST_PIN}>
          {DOOR.open}
        </Button>
        {demo.length > 0 && (
          <div className={styles.demo}>
            <p>{DOOR.demo}</p>
            <dl>
              {demo.map((person) => (
                <div key={person.name}>
                  <dt>
                    {person.name} <span className="soft">{person.role}</span>
                  </dt>
                  <dd>{person.pin}</dd>
                </div>
              ))}
            </dl>
          </div>
        )}
      </form>
    </main>
  );
}
