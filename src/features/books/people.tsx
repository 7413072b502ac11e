'use client';
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import { useRouter } from 'next/navigation';
import { type FormEvent, useState } from 'react';
import type { PersonView } from '@/contract/views';
import { ROLES, type Role } from '@/contract/commands';
import type { Issue } from '@/core/issue';
import { send } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import styles from './books.module.css';

const EMPTY = { name: '', pin: '', role: 'counter' as Role };

/** Who works here. The owner adds people; each has a PIN. */
export function People({ people, owner }: { people: readonly PersonView[]; owner: boolean }) {
  const router = useRouter();
  const [form, setForm] = useState<typeof EMPTY | undefined>();
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await send('add-staff', { id: crypto.randomUUID(), ...form });
    setIssues(answer.ok ? [] : answer.issues);
    if (answer.ok) setForm(undefined);
    router.refresh();
  };
  return (
    <section>
      <h2>People</h2>
      <dl>
        {people.map((person) => (
          <div key={person.id}>
            <dt>{person.name}</dt>
            <dd>{person.role}</dd>
          </div>
        ))}
      </dl>
      {owner && !form && (
        <Button variant="text" onClick={() => setForm(EMPTY)}>
          Add a person
        </Button>
      )}
      {form && (
        <form className={styles.person} onSubmit={(event) => void submit(event)}>
          <Input
            value={form.name}
            autoFocus
            placeholder="Name"
            onChange={(event) => setForm({ ...form, name: event.target.value })}
            slotProps={{ input: { 'aria-label': 'Name', maxLength: 60 } }}
          />
          <Input
            value={form.pin}
            type="password"
            placeholder="PIN, 4 to 8 digits"
            onChange={(event) => setForm({ ...form, pin: event.target.value })}
            slotProps={{
              input: { 'aria-label': 'PIN', inputMode: 'numeric', maxLength: 8, autoComplete: 'new-password' },
            }}
          />
          <div className={styles.counts} role="group" aria-label="Role">
            {ROLES.map((role) => (
              <button
                key={role}
                type="button"
                aria-pressed={form.role === role}
                onClick={() => setForm({ ...form, role })}
              >
                {role}
              </button>
            ))}
          </div>
          <Trouble issues={issues} />
          <Button type="submit" variant="outlined" disabled={!form.name.trim() || !/^\d{4,8}$/.test(form.pin)}>
            Add
          </Button>
        </form>
      )}
    </section>
  );
}
