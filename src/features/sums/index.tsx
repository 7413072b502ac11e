'use client';
/** Typed figures live in this browser, so the page is not drawn on the server. */
import dynamic from 'next/dynamic';
import styles from './sums.module.css';

export const SumsHere = dynamic(() => import('./sums').then((one) => one.Sums), {
  ssr: false,
  loading: () => <main className={styles.sums} aria-busy="true" />,
});
