'use client';
/** What is refused of the piece that is shown, for the fields to say it where it is typed. */
import { createContext } from 'react';
import type { Issue } from '@/core/issue';
import type { Shown } from './workbench';

export const RefusedAt = createContext<readonly Issue[]>([]);

/** What cannot be built, and what can but must not be. */
export const refusedOf = ({ worked, issues }: Shown): readonly Issue[] =>
  issues.length > 0 ? issues : (worked?.cautions.filter(({ level }) => level === 'refuse') ?? []);
