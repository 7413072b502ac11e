'use client';
/** The desk lives in the browser: what was typed before is there from the first paint, so it is not drawn on the server. */
import dynamic from 'next/dynamic';
import styles from './desk.module.css';

export const DeskHere = dynamic(() => import('./desk').then((one) => one.DeskScreen), {
  ssr: false,
  loading: () => <main className={styles.desk} aria-busy="true" />,
});
export { AgreedOrder } from './agreed';
