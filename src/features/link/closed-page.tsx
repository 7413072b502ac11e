/** What is shown to whoever's link shows nothing. */
import type { Closed } from '@/core/links/link';
import { LINK_CLOSED } from '@/words/screens/link';
import styles from './link.module.css';

export function ClosedPage({ why, contact }: { why: Exclude<Closed, 'too-many' | 'unknown'>; contact: string }) {
  const { head, say } = LINK_CLOSED[why];
  return (
    <main className={styles.narrow}>
      <h1>{head}</h1>
      <p>{say}</p>
      {contact && <p className="soft">{contact}</p>}
    </main>
  );
}
