'use client';
import { useEffect, useState } from 'react';

/** A value as it was when it last stood still for `ms`: what is typed is asked for when the typing rests. */
export function useLate<T>(value: T, ms: number): T {
  const [late, setLate] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setLate(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return late;
}
