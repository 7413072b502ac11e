'use client';
/** Above a person's limit an owner types their PIN at this screen, for this order. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import { useState } from 'react';
import { CONCESSION } from '@/words/screens/concession';
import styles from './concession.module.css';

export function OwnerAllows({ busy, onAllow }: { busy: boolean; onAllow: (pin: string) => void }) {
  const [pin, setPin] = useState('');
  return (
    <form
      className={styles.off}
      onSubmit={(event) => {
        event.preventDefault();
        onAllow(pin);
        setPin('');
      }}
    >
      <Input
        type="password"
        value={pin}
        onChange={(event) => setPin(event.target.value)}
        slotProps={{ input: { 'aria-label': CONCESSION.pin, maxLength: 8, inputMode: 'numeric', autoComplete: 'off' } }}
      />
      <Button type="submit" variant="outlined" disabled={busy || !/^\d{4,8}$/.test(pin)}>
        {CONCESSION.allow}
      </Button>
    </form>
  );
}
