'use client';
/** A fault of the program, said plainly: what is kept, and what to do now. It needs nothing of the toolbox, which
    may be what failed, and which every page would otherwise load twice. */
import { FAULT } from '@/words/screens/fault';
import styles from './fault.module.css';

export function Fault({ digest, onAgain }: { digest: string | undefined; onAgain: () => void }) {
  return (
    <main className={styles.fault}>
      <h1>{FAULT.head}</h1>
      <p>{FAULT.kept}</p>
      <p>{FAULT.whatNow}</p>
      <div>
        <button type="button" onClick={onAgain}>
          {FAULT.again}
        </button>
        <button type="button" onClick={() => window.location.reload()}>
          {FAULT.anew}
        </button>
        <button type="button" onClick={() => window.location.assign('/')}>
          {FAULT.start}
        </button>
      </div>
      {digest && <p className="soft">{FAULT.number(digest)}</p>}
    </main>
  );
}
