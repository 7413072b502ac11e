'use client';
/** Finds an order from anywhere, by `/`. Its field is fetched when it is first asked for. */
import ButtonBase from '@mui/material/ButtonBase';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { BAR } from '@/words/screens/frame';
import { onKey } from './keys';
import styles from './top-bar.module.css';
import { patient } from './patient';

const FinderField = dynamic(() => patient(() => import('./finder-field')).then((file) => file.FinderField), {
  loading: () => null,
});

export function Finder() {
  const [open, setOpen] = useState(false);
  useEffect(() => onKey('/', () => setOpen(true)), []);
  if (open) return <FinderField onLeave={() => setOpen(false)} />;
  return (
    <ButtonBase
      className={styles.finder ?? ''}
      aria-label={BAR.findLong}
      aria-keyshortcuts="/"
      onClick={() => setOpen(true)}
    >
      <span>{BAR.find}</span>
      <kbd>/</kbd>
    </ButtonBase>
  );
}
