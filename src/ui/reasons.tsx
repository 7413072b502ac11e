'use client';
/** Reasons ready to tap: the tapped one goes into the field, where it can still be changed. */
import Button from '@mui/material/Button';
import styles from './fields.module.css';

interface Props {
  readonly label: string;
  readonly reasons: readonly string[];
  readonly onPick: (reason: string) => void;
}

export function Reasons({ label, reasons, onPick }: Props) {
  return (
    <div className={styles.reasons} role="group" aria-label={label}>
      {reasons.map((reason) => (
        <Button key={reason} variant="outlined" onClick={() => onPick(reason)}>
          {reason}
        </Button>
      ))}
    </div>
  );
}
