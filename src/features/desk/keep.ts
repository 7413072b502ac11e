/**
 * Keeps the order on the desk with every change: in this browser at once, on the server a second after typing, so that
 * a reload, a crash or a broken screen loses nothing typed. Each kept draft has a version; the newer one wins.
 */
import type { KeptDraftView } from '@/contract/views';
import type { History } from '@/core/design/edit';
import type { Draft } from './draft';

export interface Kept {
  readonly history: History<Draft>;
  readonly active: number;
  /** The revision the draft was begun from; null for an order never saved. */
  readonly base: number | null;
  /** Counts changes; 0 where nothing was typed. */
  readonly version: number;
}
const FORMAT = 2;
const UNDO_KEPT = 60;
/** What one person typed is not shown to the next at the same screen. */
const keyOf = (order: string, who: string) => `lopren.desk.${who}.${order}`;

export function keep(order: string, who: string, { history, active, base, version }: Kept): void {
  const short = { now: history.now, past: history.past.slice(-UNDO_KEPT), future: history.future.slice(0, UNDO_KEPT) };
  try {
    localStorage.setItem(keyOf(order, who), JSON.stringify({ format: FORMAT, history: short, active, base, version }));
  } catch (error) {
    console.warn('this browser keeps nothing; the server does', error);
  }
}

export function kept(order: string, who: string): Kept | undefined {
  // An earlier Lopren kept it without a name: whoever opens the desk first has it.
  const nobodys = `lopren.desk.${order}`;
  const text = localStorage.getItem(keyOf(order, who)) ?? localStorage.getItem(nobodys);
  localStorage.removeItem(nobodys);
  if (text === null) return undefined;
  try {
    const value = JSON.parse(text) as Kept & { format?: number };
    // Format 1 is that of 0.3.0: the same without a version.
    const isDraft = Array.isArray(value.history?.now?.pieces);
    return isDraft ? { ...value, version: value.version ?? 1 } : undefined;
  } catch {
    return undefined;
  }
}

export const forget = (order: string, who: string): void => localStorage.removeItem(keyOf(order, who));

/** Sends what is kept to the server; `leaving`: the page goes away, and the request must outlive it. */
async function put(order: string, body: Omit<KeptDraftView, 'draft'> & { draft: Draft | null }, leaving = false) {
  await fetch(`/api/drafts/${order}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    keepalive: leaving,
  }).catch(() => undefined);
}

const SOON_MS = 150;
const LATE_MS = 1000;

export interface Keeper {
  readonly put: (kept: Kept) => void;
  /** Keeps it here and on the server at once; resolves when the server has it. */
  readonly now: (kept: Kept) => Promise<void>;
  readonly forget: (version: number) => void;
  /** Keeps what is still to be kept, and listens no more. */
  readonly stop: () => void;
}

export function keeper(order: string, who: string): Keeper {
  let waiting: Kept | undefined;
  let unsent: Kept | undefined;
  let soon: ReturnType<typeof setTimeout> | undefined;
  let late: ReturnType<typeof setTimeout> | undefined;
  const here = () => {
    clearTimeout(soon);
    soon = undefined;
    if (waiting) keep(order, who, waiting);
    waiting = undefined;
  };
  const there = (leaving: boolean) => {
    clearTimeout(late);
    late = undefined;
    if (unsent) void put(order, { version: unsent.version, base: unsent.base, draft: unsent.history.now }, leaving);
    unsent = undefined;
  };
  const flush = () => {
    here();
    there(true);
  };
  const leaving = () => document.visibilityState === 'hidden' && flush();
  window.addEventListener('pagehide', flush);
  document.addEventListener('visibilitychange', leaving);
  return {
    put(draft) {
      waiting = draft;
      unsent = draft;
      soon ??= setTimeout(here, SOON_MS);
      late ??= setTimeout(() => there(false), LATE_MS);
    },
    async now(draft) {
      waiting = draft;
      unsent = undefined;
      clearTimeout(late);
      late = undefined;
      here();
      await put(order, { version: draft.version, base: draft.base, draft: draft.history.now });
    },
    forget(version) {
      waiting = undefined;
      unsent = undefined;
      clearTimeout(late);
      late = undefined;
      forget(order, who);
      void put(order, { version, base: null, draft: null });
    },
    stop() {
      flush();
      window.removeEventListener('pagehide', flush);
      document.removeEventListener('visibilitychange', leaving);
    },
  };
}
