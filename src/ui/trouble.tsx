'use client';
/** What is wrong, beside its cause: a mitred corner and the sentence, never colour alone. */
import type { ReactNode } from 'react';
import type { Issue } from '@/core/issue';
import { TONES } from '@/words/screens/frame';
import { sayIssue } from '@/words/issues';
import { FractionText } from './figures';
import styles from './trouble.module.css';
import { useUnit } from './units';

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
  const { unit } = useUnit();
  if (issues.length === 0) return null;
  return (
    <Note tone="refuse">
      {issues.slice(0, 6).map((one, index) => (
        <p key={index}>
          <FractionText text={sayIssue(one, unit)} />
        </p>
      ))}
    </Note>
  );
}
