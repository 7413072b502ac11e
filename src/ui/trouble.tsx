'use client';
/** What is wrong, beside its cause: a mitred corner and the sentence, never colour alone. */
import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import type { Issue } from '@/core/issue';
import { TONES } from '@/words/screens/frame';
import styles from './trouble.module.css';
import { patient } from './patient';

const Sentences = dynamic(() => patient(() => import('./sentences')).then((file) => file.Sentences), {
  loading: () => null,
});

export type Tone = 'refuse' | 'warn' | 'advise';

export function Note({ tone, children }: { tone: Tone; children: ReactNode }) {
  return (
    <div className={`${styles.note} ${styles[tone]}`} role={tone === 'refuse' ? 'alert' : 'status'}>
      <span className="sr">{TONES[tone]}: </span>
      {children}
    </div>
  );
}

export function Trouble({ issues }: { issues: readonly Issue[] }) {
  if (issues.length === 0) return null;
  return (
    <Note tone="refuse">
      <Sentences issues={issues} />
    </Note>
  );
}
