'use client';
/** What each key does, where it does it. */
import Dialog from '@mui/material/Dialog';
import { KEYS } from '@/words/screens/keys';
import styles from './top-bar.module.css';

export function KeysDialog({ onClose }: { onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="keys-head">
      <h2 id="keys-head" className={styles.keysHead}>
        {KEYS.head}
      </h2>
      <dl className={styles.keys}>
        {KEYS.all.map(([key, does]) => (
          <div key={key + does}>
            <dt>{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
