'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { PersonView } from '@/contract/views';
import { PEOPLE } from '@/words/screens/books';
import { ROLE_NAMES } from '@/words/screens/settings';

const PersonForm = dynamic(() => import('./person-form').then((file) => file.PersonForm), { loading: () => null });

/** Who works here. The owner adds people; each has a PIN. */
export function People({ people, owner }: { people: readonly PersonView[]; owner: boolean }) {
  const [adding, setAdding] = useState(false);
  return (
    <section>
      <h2>{PEOPLE.head}</h2>
      <dl>
        {people.map((person) => (
          <div key={person.id}>
            <dt>{person.name}</dt>
            <dd>{ROLE_NAMES[person.role]}</dd>
          </div>
        ))}
      </dl>
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
