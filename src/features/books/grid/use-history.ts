'use client';
/** A value with all its earlier states, to go back through and forth again. */
import { useState } from 'react';

interface History<T> {
  readonly now: T;
  readonly set: (to: T) => void;
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
}
const MOST_STATES = 200;

export function useHistory<T>(first: T): History<T> {
  const [{ states, at }, setAll] = useState<{ states: readonly T[]; at: number }>({ states: [first], at: 0 });
  const now = states[at]!;
  return {
    now,
    set: (to) => {
      if (to === now) return;
      const before = states.slice(Math.max(0, at + 2 - MOST_STATES), at + 1);
      setAll({ states: [...before, to], at: before.length });
    },
    undo: at > 0 ? () => setAll({ states, at: at - 1 }) : undefined,
    redo: at < states.length - 1 ? () => setAll({ states, at: at + 1 }) : undefined,
  };
}
