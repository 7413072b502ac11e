'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { CHANGE } from '@/words/screens/desk-change';
import type { ChangeProps } from './change';
import styles from './desk.module.css';
import { patient } from '@/ui/patient';

const ChangeDialog = dynamic(() => patient(() => import('./change')).then((file) => file.ChangeDialog), {
  loading: () => null,
});

/** At the foot of the tape, while an agreed order is changed. */
export function ChangeFoot(props: ChangeProps) {
  const [agreeing, setAgreeing] = useState(false);
  const { desk, order } = props;
  return (
    <div className={styles.foot}>
      <Button variant="outlined" href={`/desk/${order.number}`} onClick={desk.forget}>
        {CHANGE.leave}
      </Button>
      <Button variant="contained" disabled={!desk.complete || !desk.dirty} onClick={() => setAgreeing(true)}>
        {CHANGE.agree}
      </Button>
      {agreeing && <ChangeDialog {...props} onClose={() => setAgreeing(false)} />}
    </div>
  );
}
