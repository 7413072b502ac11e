'use client';
/** A fault of the program, said plainly: what is kept, and what to do now. */
import Button from '@mui/material/Button';
import { FAULT } from '@/words/screens/frame';
import styles from './trouble.module.css';

export function Fault({ digest, onAgain }: { digest: string | undefined; onAgain: () => void }) {
  return (
    <main className={styles.fault}>
      <h1>{FAULT.head}</h1>
      <p>{FAULT.kept}</p>
      <p>{FAULT.whatNow}</p>
      <div>
        <Button variant="contained" onClick={onAgain}>
          {FAULT.again}
        </Button>
        <Button variant="outlined" onClick={() => window.location.reload()}>
          {FAULT.anew}
        </Button>
        <Button variant="outlined" href="/">
          {FAULT.start}
        </Button>
      </div>
      {digest && <p className="soft">{FAULT.number(digest)}</p>}
    </main>
  );
}
