'use client';
/** One's own PIN, and where one is signed in besides here. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { ME } from '@/words/screens/door';
import { PinForm } from './pin-form';
import styles from './settings.module.css';

export function Me({ id, name }: { id: string; name: string }) {
  const [said, setSaid] = useState('');
  const { run, busy, issues } = useCommand<'end-sessions', { ended: number }>('end-sessions');
  const end = async () => {
    const answer = await run({ staffId: id });
    setSaid(answer.ok ? ME.ended(answer.value.ended) : '');
  };
  return (
    <main className={styles.page}>
      <header>
        <h1>{name}</h1>
      </header>
      <section>
        <PinForm title={ME.anotherPin} staffId={id} gives="change-pin" asksWas onDone={() => setSaid(ME.pinChanged)} />
        <p role="status">{said}</p>
      </section>
      <section>
        <h2>{ME.others}</h2>
        <p>{ME.othersSay}</p>
        <Trouble issues={issues} />
        <div className={styles.acts}>
          <Button variant="outlined" disabled={busy} onClick={() => void end()}>
            {ME.signOutElsewhere}
          </Button>
        </div>
      </section>
    </main>
  );
}
