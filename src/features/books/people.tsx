'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { PersonView } from '@/contract/views';
import styles from './books.module.css';
import { CONCESSION } from '@/words/screens/concession';
import { PEOPLE } from '@/words/screens/books';
import { ROLE_NAMES } from '@/words/screens/roles';
import { patient } from '@/ui/patient';

const PersonLimit = dynamic(() => patient(() => import('./person-limit')).then((file) => file.PersonLimit), {
  loading: () => null,
});
const PersonForm = dynamic(() => patient(() => import('./person-form')).then((file) => file.PersonForm), {
  loading: () => null,
});

/** Who works here. The owner adds people; each has a PIN. */
export function People({ people, owner }: { people: readonly PersonView[]; owner: boolean }) {
  const [adding, setAdding] = useState(false);
  const [limiting, setLimiting] = useState<string | undefined>();
  const limited = people.find(({ id }) => id === limiting);
  return (
    <section>
      <h2>{PEOPLE.head}</h2>
      <dl>
        {people.map((person) => (
          <div key={person.id}>
            <dt>{person.name}</dt>
            <dd>
              {ROLE_NAMES[person.role]}
              {owner && person.role === 'counter' && (
                <Button
                  variant="text"
                  className={styles.limit ?? ''}
                  aria-label={CONCESSION.limitIs(person.name, person.discountLimit)}
                  onClick={() => setLimiting(person.id)}
                >
                  {person.discountLimit} %
                </Button>
              )}
            </dd>
          </div>
        ))}
      </dl>
      {limited && <PersonLimit key={limited.id} person={limited} onDone={() => setLimiting(undefined)} />}
      {adding ? (
        <PersonForm onDone={() => setAdding(false)} />
      ) : (
        owner && (
          <Button variant="text" onClick={() => setAdding(true)}>
            {PEOPLE.addPerson}
          </Button>
        )
      )}
    </section>
  );
}
