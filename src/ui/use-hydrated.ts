'use client';
import { useSyncExternalStore } from 'react';

const never = () => () => undefined;
/**
 * Whether the page is alive yet. What is typed into a field that the server drew, before its script is there, would be
 * lost; so fields can be read but not typed into until then.
 */
export const useHydrated = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
