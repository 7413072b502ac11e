'use client';
/** Who works here, where they are signed in, and what happened at the door. For the owner. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { SecurityView } from '@/contract/views';
import { useView } from '@/ui/query';
import { Cell, Row, SheetTable } from '@/ui/sheet-table';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { momentText } from '@/words/moments';
import { ROLE_NAMES } from '@/words/screens/roles';
import { SECURITY, addressText, securityWhat } from '@/words/screens/door';
import styles from './settings.module.css';
import { patient } from '@/ui/patient';

const PinForm = dynamic(() => patient(() => import('./pin-form')).then((file) => file.PinForm), {
  loading: () => null,
});

type Person = SecurityView['people'][number];

function People({ people }: { people: readonly Person[] }) {
  const end = useCommand('end-sessions');
  const remove = useCommand('remove-person');
  const [asking, setAsking] = useState<{ person: Person; gives: 'change-pin' | 're-admit-person' }>();
  const close = () => setAsking(undefined);
  return (
    <section>
      <h2>{SECURITY.people}</h2>
      <Trouble issues={[...end.issues, ...remove.issues]} />
      <SheetTable label={SECURITY.people} columns={SECURITY.peopleColumns} className={styles.list} bare>
        {people.map((person) => (
          <Row key={person.id}>
            <Cell className={person.active ? '' : 'soft'}>{person.name}</Cell>
            <Cell className="soft">{person.active ? ROLE_NAMES[person.role] : SECURITY.hasLeft}</Cell>
            <Cell>
              <span className={styles.right}>
                {person.active ? (
                  <>
                    <Button variant="text" onClick={() => setAsking({ person, gives: 'change-pin' })}>
                      {SECURITY.newPin}
                    </Button>
                    <Button variant="text" onClick={() => void end.run({ staffId: person.id })}>
                      {SECURITY.signOut}
                    </Button>
                    <Button variant="text" onClick={() => void remove.run({ staffId: person.id })}>
                      {SECURITY.remove}
                    </Button>
                  </>
                ) : (
                  <Button variant="text" onClick={() => setAsking({ person, gives: 're-admit-person' })}>
                    {SECURITY.letIn}
                  </Button>
                )}
              </span>
            </Cell>
          </Row>
        ))}
      </SheetTable>
      {asking && (
        <PinForm
          key={asking.person.id + asking.gives}
          title={SECURITY.pinFor(asking.person.name)}
          staffId={asking.person.id}
          gives={asking.gives}
          onCancel={close}
          onDone={close}
        />
      )}
    </section>
  );
}

const detailText = (detail: SecurityView['events'][number]['detail']) =>
  Object.entries(detail)
    .filter(([key]) => key !== 'session')
    .map(([key, value]) => `${key} ${String(value)}`)
    .join(', ');

const Moment = ({ at }: { at: string }) => <time dateTime={at}>{momentText(at)}</time>;

export function Security({ view: first }: { view: SecurityView }) {
  const { view } = useView('/api/security', first, ['staff']);
  return (
    <main className={styles.page}>
      <header>
        <h1>{SECURITY.head}</h1>
        <p className="soft">{SECURITY.say}</p>
      </header>
      <People people={view.people} />
      <section>
        <h2>{SECURITY.signedIn}</h2>
        <SheetTable label={SECURITY.signedIn} columns={SECURITY.sessionColumns} className={styles.list}>
          {view.sessions.map((session) => (
            <Row key={session.id}>
              <Cell>
                {session.name} {session.here && <span className="soft">{SECURITY.here}</span>}
              </Cell>
              <Cell>{addressText(session.address)}</Cell>
              <Cell>
                <Moment at={session.since} />
              </Cell>
              <Cell>
                <Moment at={session.seen} />
              </Cell>
            </Row>
          ))}
        </SheetTable>
      </section>
      <section className={styles.wide}>
        <h2>{SECURITY.happened}</h2>
        <div className={styles.events} tabIndex={0} role="region" aria-label={SECURITY.happened}>
          <SheetTable label={SECURITY.happened} columns={SECURITY.eventColumns} className={styles.list}>
            {view.events.map((event) => (
              <Row key={event.id}>
                <Cell>
                  <Moment at={event.at} />
                </Cell>
                <Cell>{securityWhat(event.what)}</Cell>
                <Cell>{event.person}</Cell>
                <Cell>{addressText(event.address)}</Cell>
                <Cell className="soft">{detailText(event.detail)}</Cell>
              </Row>
            ))}
          </SheetTable>
        </div>
      </section>
    </main>
  );
}
