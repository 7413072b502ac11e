'use client';
/** One's own PIN, and where one is signed in besides here. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { send } from '@/ui/send';
import { PinForm } from './pin-form';
import styles from './settings.module.css';

export function Me({ id, name }: { id: string; name: string }) {
  const [said, setSaid] = useState('');
  return (
    <main className={styles.page}>
      <header>
        <h1>{name}</h1>
      </header>
      <section>
        <PinForm
          title="Another PIN"
          asksWas
          onPin={async (pin, was) => {
            const answer = await send('change-pin', { staffId: id, was, pin });
            if (answer.ok) setSaid('The PIN is changed. You are signed out everywhere but here.');
            return answer.ok ? [] : answer.issues;
          }}
        />
        <p role="status">{said}</p>
      </section>
      <section>
        <h2>Other screens</h2>
        <p>If you left a screen open somewhere, end it from here.</p>
        <div className={styles.acts}>
          <Button
            variant="outlined"
            onClick={() =>
              void send<{ ended: number }>('end-sessions', { staffId: id }).then((answer) =>
                setSaid(answer.ok ? `Signed out on ${answer.value.ended} other screens.` : ''),
              )
            }
          >
            Sign me out elsewhere
          </Button>
        </div>
      </section>
    </main>
  );
}
