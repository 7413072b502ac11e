/**
 * Trying a PIN. Wrong ones cost waiting, longer each time, by person and place together. The place is the device, where
 * the person has signed in on it before, else the address: what is guessed elsewhere slows nobody on their own device.
 */
import { randomBytes } from 'node:crypto';
import { type Outcome, bad, good, issue } from '@/core/issue';
import { type StaffRow, clearWrongPins, putWrongPin, wrongPins } from '@/db/queries/staff';
import type { AppContext } from './app-context';
import { hashPin, pinFits } from './pins';
import { logSecurity } from './security-log';

const MINUTE = 60_000;

/** Ms to wait after so many wrong ones, when `free` cost nothing: one second, two, four …, at most `most`. */
export const waitAfter = (wrong: number, free: number, most: number): number =>
  wrong < free ? 0 : Math.min(1000 * 2 ** Math.min(wrong - free, 30), most);

/** Ms that are still to be waited. A clock that was put back keeps nobody waiting longer than they had to. */
export const stillToWait = (found: { readonly at: Date; readonly until: Date } | undefined, now: Date): number =>
  !found || now < found.at ? 0 : Math.max(0, found.until.getTime() - now.getTime());

/** One guess at a time for a person in one place: guesses sent side by side wait for one another. */
function inTurn<T>(turns: Map<string, Promise<unknown>>, key: string, work: () => Promise<T>): Promise<T> {
  const turn = (turns.get(key) ?? Promise.resolve()).then(work, work);
  const kept: Promise<unknown> = turn
    .catch(() => undefined)
    .finally(() => {
      if (turns.get(key) === kept) turns.delete(key);
    });
  turns.set(key, kept);
  return turn;
}

/** A name that nobody has takes as long as a wrong PIN. */
let nobody: Promise<string> | undefined;
export async function takeAsLong(pin: string): Promise<void> {
  nobody ??= hashPin(randomBytes(8).toString('hex'));
  await pinFits(pin, await nobody);
}

/** Whether the PIN is the person's; a wrong one is counted, and written down for the owner. */
export function tryPin(
  app: AppContext,
  staff: StaffRow,
  pin: string,
  { place, address }: { readonly place: string; readonly address: string },
): Promise<Outcome<undefined>> {
  return inTurn(app.mind.guesses, `${place} ${staff.id}`, async () => {
    const { wrongPins: free, longestWait } = await app.shopSettings();
    const now = app.clock.now();
    const before = await wrongPins(app.db, place, staff.id);
    const wait = stillToWait(before, now);
    const about = { staffId: staff.id, address };
    if (wait > 0) {
      await logSecurity(app, { what: 'made to wait', ...about });
      return bad(issue('pin-slow', { name: staff.name, seconds: Math.ceil(wait / 1000) }, 'pin'));
    }
    if (await pinFits(pin, staff.pin_hash)) {
      if (before) await app.db.transaction((tx) => clearWrongPins(tx, place, staff.id));
      return good(undefined);
    }
    const wrong = (before?.count ?? 0) + 1;
    const next = waitAfter(wrong, free, longestWait * MINUTE);
    const until = new Date(now.getTime() + next);
    await app.db.transaction((tx) => putWrongPin(tx, place, staff.id, wrong, now, until));
    await logSecurity(app, { what: 'wrong PIN', ...about, detail: { wrong, place: place.split(' ')[0]! } });
    return bad(issue('pin-wrong', { name: staff.name, seconds: Math.ceil(next / 1000) }, 'pin'));
  });
}
