'use client';
/** Who works here, where they are signed in, and what happened at the door. For the owner. */
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { SecurityView } from '@/contract/views';
import type { Issue } from '@/core/issue';
import { useLive } from '@/ui/live';
import { send } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { PinForm } from './pin-form';
import styles from './settings.module.css';
import { addressText, momentText } from './words';

type Person = SecurityView['people'][number];

function People({ people }: { people: readonly Person[] }) {
  const router = useRouter();
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [asking, setAsking] = useState<{ person: Person; what: 'change-pin' | 're-admit-person' }>();
  const give = async (name: string, payload: unknown) => {
    const answer = await send(name, payload);
    setIssues(answer.ok ? [] : answer.issues);
    if (answer.ok) setAsking(undefined);
    router.refresh();
    return answer.ok ? [] : answer.issues;
  };
  return (
    <section>
      <h2>People</h2>
      <Trouble issues={issues} />
      <table className={styles.list}>
        <tbody>
          {people.map((person) => (
            <tr key={person.id}>
              <td className={person.active ? undefined : 'soft'}>{person.name}</td>
              <td className="soft">{person.active ? person.role : 'has left'}</td>
              <td>
                <span className={styles.right}>
                  {person.active ? (
                    <>
                      <Button variant="text" onClick={() => setAsking({ person: person, what: 'change-pin' })}>
                        New PIN
                      </Button>
                      <Button variant="text" onClick={() => void give('end-sessions', { staffId: person.id })}>
                        Sign out
                      </Button>
                      <Button variant="text" onClick={() => void give('remove-person', { staffId: person.id })}>
                        Remove
                      </Button>
                    </>
                  ) : (
                    <Button variant="text" onClick={() => setAsking({ person: person, what: 're-admit-person' })}>
                      Let in again
                    </Button>
                  )}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {asking && (
        <PinForm
          key={asking.person.id + asking.what}
          title={`A PIN for ${asking.person.name}`}
          onCancel={() => setAsking(undefined)}
          onPin={(pin) =>
            give(asking.what, {
              staffId: asking.person.id,
              pin,
              ...(asking.what === 'change-pin' ? { was: '' } : {}),
            })
          }
        />
      )}
    </section>
  );
}

export function Security({ view }: { view: SecurityView }) {
  const router = useRouter();
  useLive(
    (touched) => touched.includes('staff'),
    () => router.refresh(),
  );
  return (
    <main className={styles.page}>
      <header>
        <h1>Security</h1>
        <p className="soft">People are added in Books. Whoever leaves keeps their name on what they did.</p>
      </header>
      <People people={view.people} />
      <section>
        <h2>Signed in now</h2>
        <table className={styles.list}>
          <thead>
            <tr>
              <th>Who</th>
              <th>From</th>
              <th>Since</th>
              <th>Last seen</th>
            </tr>
          </thead>
          <tbody>
            {view.sessions.map((session) => (
              <tr key={session.id}>
                <td>
                  {session.name} {session.here && <span className="soft">(this screen)</span>}
                </td>
                <td>{addressText(session.address)}</td>
                <td>
                  <time dateTime={session.since}>{momentText(session.since)}</time>
                </td>
                <td>
                  <time dateTime={session.seen}>{momentText(session.seen)}</time>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section className={styles.wide}>
        <h2>What happened at the door</h2>
        <div className={styles.events} tabIndex={0} role="region" aria-label="What happened at the door">
          <table className={styles.list}>
            <thead>
              <tr>
                <th>When</th>
                <th>What</th>
                <th>Who</th>
                <th>From</th>
                <th>More</th>
              </tr>
            </thead>
            <tbody>
              {view.events.map((event) => (
                <tr key={event.id}>
                  <td>
                    <time dateTime={event.at}>{momentText(event.at)}</time>
                  </td>
                  <td>{event.what}</td>
                  <td>{event.person}</td>
                  <td>{addressText(event.address)}</td>
                  <td className="soft">
                    {Object.entries(event.detail)
                      .filter(([key]) => key !== 'session')
                      .map(([key, value]) => `${key} ${String(value)}`)
                      .join(', ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
    </main>
  );
}
