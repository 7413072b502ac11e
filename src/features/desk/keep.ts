/** Keeps the order on the desk in this browser with every change, so that a reload or a crash loses nothing typed. */
import type { History } from '@/core/design/edit';
import type { Draft } from './draft';

export interface Kept {
  readonly history: History<Draft>;
  readonly active: number;
  /** The revision the draft was begun from; null for an order never saved. */
  readonly base: number | null;
}
const VERSION = 1;
const UNDO_KEPT = 60;
const keyOf = (order: string) => `lopren.desk.${order}`;

export function keep(order: string, { history, active, base }: Kept): void {
  const short = { now: history.now, past: history.past.slice(-UNDO_KEPT), future: history.future.slice(0, UNDO_KEPT) };
  try {
    localStorage.setItem(keyOf(order), JSON.stringify({ version: VERSION, history: short, active, base }));
  } catch (error) {
    console.warn('this browser keeps nothing; save the quote often', error);
  }
}

const SOON = 150;

/**
 * Keeps what it was last given: soon, so that typing is not held up, and at once when the page goes away.
 * Answers how to stop, which keeps what is still to be kept.
 */
export function keeper(order: string): { put: (kept: Kept) => void; forget: () => void; stop: () => void } {
  let waiting: Kept | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const flush = () => {
    clearTimeout(timer);
    timer = undefined;
    if (waiting) keep(order, waiting);
    waiting = undefined;
  };
  const leaving = () => document.visibilityState === 'hidden' && flush();
  window.addEventListener('pagehide', flush);
  document.addEventListener('visibilitychange', leaving);
  return {
    put(kept) {
      waiting = kept;
      timer ??= setTimeout(flush, SOON);
    },
    forget() {
      waiting = undefined;
      forget(order);
    },
    stop() {
      flush();
      window.removeEventListener('pagehide', flush);
      document.removeEventListener('visibilitychange', leaving);
    },
  };
}

export function kept(order: string): Kept | undefined {
  const text = localStorage.getItem(keyOf(order));
  if (text === null) return undefined;
  try {
    const value = JSON.parse(text) as Kept & { version: number };
    return value.version === VERSION && Array.isArray(value.history?.now?.pieces) ? value : undefined;
  } catch {
    return undefined;
  }
}

export const forget = (order: string): void => localStorage.removeItem(keyOf(order));
