/**
 * Trying a PIN. Wrong ones cost waiting, longer each time, by person and place together. At sign-in the place is the
 * device, where the person has signed in on it before, else the address: what is guessed elsewhere slows nobody on their
 * own device. Whoever is signed in and types somebody's PIN (their own, or an owner's who allows something) is counted
 * at several places at once, none of which a new session makes anew: who asks, the device, and for what an owner allows
 * all askers together. What is counted is written in a transaction of its own, whatever becomes of the command.
 */
import { randomBytes } from 'node:crypto';
import { type Outcome, bad, good, issue } from '@/core/issue';
import { isUnavailable } from '@/db/client';
import { type StaffRow, clearWrongPins, deviceOfSession, putWrongPin, wrongPins } from '@/db/queries/staff';
import type { By } from '@/db/queries/rows';
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

/** Whether it was written; not where the disk has no room. Whoever would make room has to be let in. */
export async function whereRoom(writing: Promise<unknown>): Promise<boolean> {
  try {
    await writing;
    return true;
  } catch (error) {
    if (isUnavailable(error) && error.why === 'no-room') return false;
    throw error;
  }
}

interface Counted {
  readonly person: StaffRow;
  readonly place: string;
  readonly count: number;
}

/**
 * Whether the PIN is that of one of these people; answers whose. A wrong one is counted for each of them at each place,
 * and written down for the owner. `places` begins with the widest: guesses that share it wait for one another.
 */
export function tryPin(
  app: AppContext,
  people: readonly StaffRow[],
  pin: string,
  { places, address }: { readonly places: readonly [string, ...string[]]; readonly address: string },
): Promise<Outcome<StaffRow>> {
  const only = people.length === 1 ? people[0] : undefined;
  const turn = `${places[0]} ${people.map(({ id }) => id).join()}`;
  return inTurn(app.mind.guesses, turn, async () => {
    const { wrongPins: free, longestWait } = await app.shopSettings();
    const now = app.clock.now();
    const counts: Counted[] = [];
    let wait = 0;
    for (const person of people)
      for (const place of places) {
        const inMind = app.mind.wrongPins.get(`${place} ${person.id}`);
        const before = inMind ?? (await wrongPins(app.db, place, person.id));
        counts.push({ person, place, count: before?.count ?? 0 });
        wait = Math.max(wait, stillToWait(before, now));
      }
    const about = { ...(only ? { staffId: only.id } : {}), address };
    const refused = (code: 'pin-slow' | 'pin-wrong', ms: number) =>
      bad(issue(code, { name: only?.name ?? '', seconds: Math.ceil(ms / 1000) }, 'pin'));
    if (wait > 0) {
      await logSecurity(app, { what: 'made to wait', ...about });
      return refused('pin-slow', wait);
    }
    for (const person of people) {
      if (!(await pinFits(pin, person.pin_hash))) continue;
      const theirs = counts.filter((one) => one.person === person && one.count > 0);
      for (const { place } of theirs) app.mind.wrongPins.delete(`${place} ${person.id}`);
      if (theirs.length > 0)
        await whereRoom(
          app.db.transaction(async (tx) => {
            for (const { place } of theirs) await clearWrongPins(tx, place, person.id);
          }),
        );
      return good(person);
    }
    const waits = counts.map(({ count }) => waitAfter(count + 1, free, longestWait * MINUTE));
    const untilOf = (index: number) => new Date(now.getTime() + waits[index]!);
    const written = await whereRoom(
      app.db.transaction(async (tx) => {
        for (const [index, { person, place, count }] of counts.entries())
          await putWrongPin(tx, place, person.id, count + 1, now, untilOf(index));
      }),
    );
    // A full disk makes nobody's guesses cheaper.
    if (!written)
      for (const [index, { person, place, count }] of counts.entries())
        app.mind.wrongPins.set(`${place} ${person.id}`, { count: count + 1, at: now, until: untilOf(index) });
    const wrong = Math.max(...counts.map(({ count }) => count)) + 1;
    await logSecurity(app, { what: 'wrong PIN', ...about, detail: { wrong, place: places[0].split(' ')[0]! } });
    return refused('pin-wrong', Math.max(...waits));
  });
}

/** Where somebody who is signed in is counted: by themselves and by their device, however often they sign in anew. */
export async function askingPlaces(
  app: AppContext,
  {
    by,
    session,
    address = 'local',
  }: { readonly by: By; readonly session?: string | undefined; readonly address?: string },
): Promise<[string, string]> {
  const device = session === undefined ? undefined : await deviceOfSession(app.db, session);
  return [`asked by ${by ?? 'nobody'}`, `asked at ${device ?? address}`];
}
