'use client';
/** Something still cures, dries or lies in the press: whoever goes on all the same says so first. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import type { Waiting } from '@/core/route/waits';
import { useBenchScheme } from '@/ui/dress';
import { stepName, waitName } from '@/words/bench';
import { momentName } from '@/words/materials';
import { EARLY } from '@/words/screens/bench';
import styles from './bench.module.css';

interface Props {
  readonly waiting: Waiting;
  readonly onClose: () => void;
  readonly onGoOn: () => void;
}

export function EarlyDialog({ waiting, onClose, onGoOn }: Props) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="early-head" data-scheme={useBenchScheme()}>
      <div className={styles.dialog}>
        <h2 id="early-head">{EARLY.head(momentName(waiting.free ?? waiting.until))}</h2>
        <p>{EARLY.why(waitName(waiting.for), stepName(waiting.after), momentName(waiting.until))}</p>
        <div className={styles.acts}>
          <Button variant="contained" size="large" onClick={onClose} autoFocus>
            {EARLY.wait}
          </Button>
          <Button variant="outlined" size="large" onClick={onGoOn}>
            {EARLY.goOn}
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
