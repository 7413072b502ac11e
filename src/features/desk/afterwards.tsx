'use client';
/** What the piece came to so far against its quote: material with what was spoiled, and the time of the work. */
import type { Afterwards as Found } from '@/core/ledger/afterwards';
import { Cash } from '@/ui/figures';
import { MARGIN } from '@/words/screens/desk-later';
import styles from './tape.module.css';

export function Afterwards({ found: { material, minutes, steps, spoiled, more } }: { found: Found }) {
  return (
    <section aria-label={MARGIN.afterwards} className={styles.margin}>
      <ul>
        <li className={styles.quiet}>
          <span>{MARGIN.material}</span>
          <span className="num">
            <Cash value={material.now} /> {MARGIN.of} <Cash value={material.quoted} />
          </span>
        </li>
        {spoiled.map(({ part, why, cost }, index) => (
          <li key={index} className={styles.quiet}>
            <span>
              {MARGIN.spoiled(part)} <small>{why}</small>
            </span>
            <span className="num">
              <Cash value={cost} />
            </span>
          </li>
        ))}
        <li className={styles.quiet}>
          <span>
            {MARGIN.work} <small>{MARGIN.timed(steps.timed, steps.done)}</small>
          </span>
          <span className="num">{MARGIN.minutes(minutes.now, minutes.quoted)}</span>
        </li>
        <li className={styles.quiet}>
          <span>
            <b>{more < 0 ? MARGIN.less : MARGIN.more}</b>
          </span>
          <span className="num">
            <Cash value={Math.abs(more)} />
          </span>
        </li>
      </ul>
    </section>
  );
}
