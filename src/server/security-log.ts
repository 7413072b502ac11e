/** What happened at the door, written down for the owner. A flood of the same is counted, not written each time. */
import { isUnavailable } from '@/db/client';
import { insertSecurity } from '@/db/queries/staff';
import type { By } from '@/db/queries/rows';
import type { AppContext } from './app-context';

export interface Happened {
  readonly what: SecurityWhat;
  readonly staffId?: By;
  readonly address: string;
  readonly detail?: Readonly<Record<string, string | number>>;
}
export const SECURITY_WHATS = [
  'signed in',
  'signed out',
  'wrong PIN',
  'made to wait',
  'PIN changed',
  'person added',
  'person removed',
  'person re-admitted',
  'customer forgotten',
  'sessions ended',
  'link guessed',
  'request refused',
  'command refused',
  'shop set up',
  'set-up code wrong',
  'settings changed',
  'back-up made',
  'back-up failed',
] as const;
export type SecurityWhat = (typeof SECURITY_WHATS)[number];

/** Of one kind from one address within a minute, these are written; the next minute's first says how many were not. */
const WRITTEN = 10;
const MINUTE = 60_000;
const MOST_COUNTED = 1000;

/** How many of its kind were left out since the last that was written; undefined when this one is left out too. */
function due(app: AppContext, { what, address }: Happened): number | undefined {
  const { logged: mine } = app.mind;
  const key = `${what} ${address}`;
  const now = performance.now();
  const count = mine.get(key) ?? { since: now, written: 0, left: 0 };
  if (mine.size > MOST_COUNTED) mine.clear();
  mine.set(key, count);
  if (now - count.since > MINUTE) Object.assign(count, { since: now, written: 0 });
  if (count.written >= WRITTEN) {
    count.left += 1;
    return undefined;
  }
  const { left } = count;
  Object.assign(count, { written: count.written + 1, left: 0 });
  return left;
}

/** Never stands in anybody's way: what cannot be written now is said on the console. */
export async function logSecurity(app: AppContext, happened: Happened): Promise<void> {
  const left = due(app, happened);
  if (left === undefined) return;
  const detail = left > 0 ? { ...happened.detail, alike: left } : happened.detail;
  try {
    await app.db.transaction((tx) => insertSecurity(tx, app.clock.now(), { ...happened, detail }));
  } catch (error) {
    if (!isUnavailable(error)) throw error;
    console.error(`not written to the security log: ${happened.what} from ${happened.address}`);
  }
}
