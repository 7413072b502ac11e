'use client';
/** Said while there is no connection to the shop; what is typed or given meanwhile waits where it is. */
import dynamic from 'next/dynamic';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { FAULT } from '@/words/screens/fault';
import { fetchOutbox } from './fetch-outbox';
import { leftWaiting } from './left-waiting';
import { patient } from './patient';
import styles from './trouble.module.css';

const Waiting = dynamic(() => patient(() => import('./waiting')).then((file) => file.Waiting), { loading: () => null });

function listen(then: () => void): () => void {
  window.addEventListener('online', then);
  window.addEventListener('offline', then);
  return () => {
    window.removeEventListener('online', then);
    window.removeEventListener('offline', then);
  };
}
const never = () => () => undefined;

/** `who`: whose commands wait here. */
export function Offline({ who }: { who: string }) {
  const online = useSyncExternalStore(
    listen,
    () => navigator.onLine,
    () => true,
  );
  const left = useSyncExternalStore(never, leftWaiting, () => false);
  const [touched, setTouched] = useState(false);
  useEffect(() => {
    const touch = () => {
      setTouched(true);
      void fetchOutbox().catch(() => undefined);
    };
    const once = { once: true, capture: true } as const;
    window.addEventListener('pointerdown', touch, once);
    window.addEventListener('keydown', touch, once);
    return () => {
      window.removeEventListener('pointerdown', touch, once);
      window.removeEventListener('keydown', touch, once);
    };
  }, []);
  return (
    <div className={styles.lines}>
      {!online && (
        <p className={styles.offline} role="status">
          {FAULT.offline}
        </p>
      )}
      {(touched || left) && <Waiting who={who} />}
    </div>
  );
}
