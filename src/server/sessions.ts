/** Who is signed in. The cookie holds a random token and its signature; the database only the token's hash. */
import { createHash, createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { type Outcome, bad, good, issue } from '@/core/issue';
import {
  type Person,
  clearFailures,
  countTry,
  deleteSession,
  insertSession,
  sessionPerson,
  staffByName,
} from '@/db/queries/staff';
import type { House } from './house';
import { pinFits } from './pins';

export const COOKIE = 'lopren';
const DAY = 86_400_000;
const LASTS = 14 * DAY;
const TRIES = 5;
const LOCK_SECONDS = 60;
/** How long a session is believed without asking the database, so that a long query does not sign everybody out. */
const BELIEVED = 30_000;

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');
const sign = (secret: Buffer, token: string) => createHmac('sha256', secret).update(token).digest('base64url');

interface Believed {
  readonly person: Person;
  readonly until: number;
}
const believed = new WeakMap<House, Map<string, Believed>>();
const memory = (house: House) => {
  if (!believed.has(house)) believed.set(house, new Map());
  return believed.get(house)!;
};

function tokenIn(house: House, cookie: string | undefined): string | undefined {
  const [token, signature] = cookie?.split('.') ?? [];
  if (!token || !signature) return undefined;
  const [wanted, found] = [Buffer.from(sign(house.secret, token)), Buffer.from(signature)];
  return wanted.length === found.length && timingSafeEqual(wanted, found) ? token : undefined;
}

export async function personOf(house: House, cookie: string | undefined): Promise<Person | undefined> {
  const token = tokenIn(house, cookie);
  if (!token) return undefined;
  const hash = hashOf(token);
  const now = house.clock.now().getTime();
  const known = memory(house).get(hash);
  if (known && known.until > now) return known.person;
  const row = await sessionPerson(house.db, hash);
  if (!row || row.expires_at.getTime() <= now) {
    memory(house).delete(hash);
    return undefined;
  }
  const person = { id: row.id, name: row.name, role: row.role };
  memory(house).set(hash, { person, until: now + BELIEVED });
  return person;
}

/** Answers the cookie's value. Five wrong PINs lock the name for a minute. */
export async function signIn(
  house: House,
  name: string,
  pin: string,
): Promise<Outcome<{ cookie: string; person: Person; seconds: number }>> {
  const staff = await staffByName(house.db, name);
  if (!staff) return bad(issue('pin-wrong', { name, left: TRIES }, 'pin'));
  const now = house.clock.now();
  const seconds = Math.ceil(((staff.locked_until?.getTime() ?? 0) - now.getTime()) / 1000);
  if (seconds > 0) return bad(issue('pin-locked', { name: staff.name, seconds }, 'pin'));
  if (staff.locked_until) await clearFailures(house.db, staff.id);
  const tries = await countTry(house.db, staff.id, TRIES, new Date(now.getTime() + LOCK_SECONDS * 1000));
  const locked = bad(issue('pin-locked', { name: staff.name, seconds: LOCK_SECONDS }, 'pin'));
  if (tries > TRIES) return locked;
  if (!(await pinFits(pin, staff.pin_hash)))
    return tries < TRIES ? bad(issue('pin-wrong', { name: staff.name, left: TRIES - tries }, 'pin')) : locked;
  await clearFailures(house.db, staff.id);
  const token = randomBytes(32).toString('base64url');
  await insertSession(house.db, hashOf(token), staff.id, now, new Date(now.getTime() + LASTS));
  return good({ cookie: `${token}.${sign(house.secret, token)}`, person: staff, seconds: LASTS / 1000 });
}

export async function signOut(house: House, cookie: string | undefined): Promise<void> {
  const token = tokenIn(house, cookie);
  if (!token) return;
  memory(house).delete(hashOf(token));
  await deleteSession(house.db, hashOf(token));
}
