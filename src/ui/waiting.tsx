'use client';
/** What waits for a connection, and what of it was refused. Loaded at the first touch: nothing is given before. */
import Button from '@mui/material/Button';
import { useEffect, useSyncExternalStore } from 'react';
import { WAITING } from '@/words/screens/waiting';
import { NOTHING, forgetRefused, goOnFor, letGo, onOutbox, outbox } from './outbox';
import { Trouble } from './trouble';
import styles from './trouble.module.css';

/** `who`: whose commands wait here. */
export function Waiting({ who }: { who: string }) {
  const { waiting, refused } = useSyncExternalStore(onOutbox, outbox, () => NOTHING);
  useEffect(() => goOnFor(who), [who]);
  if (waiting.length === 0 && refused.length === 0) return null;
  return (
    <div className={styles.offline} role="status">
      {waiting.length > 0 && (
        <p>
          {WAITING.waits(waiting.length)}{' '}
          <Button variant="text" color="inherit" onClick={letGo}>
            {WAITING.letGo}
          </Button>
        </p>
      )}
      {refused.length > 0 && (
        <>
          <p>{WAITING.refused}</p>
          <Trouble issues={refused} />
          <Button variant="text" color="inherit" onClick={forgetRefused}>
            {WAITING.seen}
          </Button>
        </>
      )}
    </div>
  );
}
