import { FAULT } from '@/words/screens/fault';
import styles from './trouble.module.css';

/** While a page is on its way. */
export function Loading() {
  return (
    <main className={styles.loading} aria-busy="true">
      {FAULT.loading}
    </main>
  );
}
