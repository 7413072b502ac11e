'use client';
/** Said while there is no connection to the shop; what is typed meanwhile is kept where it is. */
import { useSyncExternalStore } from 'react';
import { FAULT } from '@/words/screens/fault';
import styles from './trouble.module.css';

function listen(then: () => void): () => void {
  window.addEventListener('online', then);
  window.addEventListener('offline', then);
  return () => {
    window.removeEventListener('online', then);
    window.removeEventListener('offline', then);
  };
}

export function Offline() {
  const online = useSyncExternalStore(
    listen,
    () => navigator.onLine,
    () => true,
  );
  return online ? null : (
    <p className={styles.offline} role="status">
      {FAULT.offline}
    </p>
  );
}
