/** Who is signed in. The cookie holds a random token and its signature; the database only the token's hash. */
import { createHash, createHmac, randomBytes, randomUUID, timingSafeEqual } from 'node:crypto';
import { type Outcome, bad, good, issue } from '@/core/issue';
import {
  CLOCK_SLACK,
  type Person,
  endOldSessions,
  endSession,
  forgetWrongPins,
  insertSecurity,
  insertSession,
  knowsDevice,
  rememberDevice,
  sessionByHash,
  staffByName,
  touchSession,
} from '@/db/queries/staff';
import type { Caller } from './caller';
import type { AppContext } from './app-context';
import { takeAsLong, tryPin, whereRoom } from './pin-tries';

export const COOKIE = 'lopren';
export const DEVICE_COOKIE = 'lopren-device';
const DAY = 86_400_000;
const MINUTE = 60_000;
/** How long a device is known. */
export const DEVICE_DAYS = 400;
/** How long a session is believed without asking the database, so that a long query does not sign everybody out. */
const BELIEVED = 30_000;
/** A session's last use is written when it is older than this, or than a fifth of what counts as idle. */
const SEEN_STEP = 5 * MINUTE;

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');
const sign = (secret: Buffer, text: string) => createHmac('sha256', secret).update(text).digest('base64url');
const signed = (secret: Buffer, text: string) => `${text}.${sign(secret, text)}`;

/** The text of a signed cookie; undefined when the signature is not ours. */
export function textIn(secret: Buffer, cookie: string | undefined): string | undefined {
  const [text, signature, more] = cookie?.split('.') ?? [];
  if (!text || !signature || more !== undefined) return undefined;
  const [wanted, found] = [Buffer.from(sign(secret, text)), Buffer.from(signature)];
  return wanted.length === found.length && timingSafeEqual(wanted, found) ? text : undefined;
}

/** Forgets sessions that were ended, and ends their live streams. */
export function sessionsEnded(app: AppContext, ended: readonly string[]): void {
  if (ended.length === 0) return;
  const { sessions: mine, passing } = app.mind;
  for (const kept of [mine, passing])
    for (const [hash, { session }] of kept) if (ended.includes(session)) kept.delete(hash);
  app.bus.end(ended);
}

/** How long somebody is in who signed in while nothing could be written. */
const PASSING = 2 * 60 * MINUTE;
function passingOf({ mind }: AppContext, hash: string, now: Date): Session | undefined {
  const found = mind.passing.get(hash);
  if (!found) return undefined;
  const left = found.until - now.getTime();
  if (left > 0 && left <= PASSING) return found;
  mind.passing.delete(hash);
  return undefined;
}

export interface Session {
  readonly person: Person;
  readonly session: string;
}
export async function sessionOf(app: AppContext, { cookie }: Pick<Caller, 'cookie'>): Promise<Session | undefined> {
  const token = textIn(app.secret, cookie);
  if (!token) return undefined;
  const hash = hashOf(token);
  const now = app.clock.now();
  const { sessions: mine } = app.mind;
  const known = mine.get(hash);
  if (known && known.until > now.getTime() && known.until - BELIEVED <= now.getTime()) return known;
  mine.delete(hash);
  const row = await sessionByHash(app.db, hash);
  if (!row) return passingOf(app, hash, now);
  const { idleMinutes } = await app.shopSettings();
  const idleSince = new Date(now.getTime() - idleMinutes * MINUTE);
  if (row.expires_at <= now || row.seen_at <= idleSince || row.created_at.getTime() > now.getTime() + CLOCK_SLACK) {
    // Ended for good, so that a clock that is put back does not bring it to life again.
    sessionsEnded(app, await app.db.transaction((tx) => endSession(tx, row.session)));
    return undefined;
  }
  if (now.getTime() - row.seen_at.getTime() > Math.min(SEEN_STEP, (idleMinutes * MINUTE) / 5))
    await whereRoom(app.db.transaction((tx) => touchSession(tx, row.session, now)));
  const found = { person: { id: row.id, name: row.name, role: row.role }, session: row.session };
  mine.set(hash, { ...found, until: now.getTime() + BELIEVED });
  return found;
}
export const personOf = async (app: AppContext, caller: Pick<Caller, 'cookie'>): Promise<Person | undefined> =>
  (await sessionOf(app, caller))?.person;

/** Ends what is over, whether or not anybody asks; run every minute. */
export async function endWhatIsOver(app: AppContext): Promise<void> {
  const now = app.clock.now();
  const { idleMinutes } = await app.shopSettings();
  const ended = await app.db.transaction(async (tx) => {
    await forgetWrongPins(tx, new Date(now.getTime() - DAY));
    return endOldSessions(tx, now, new Date(now.getTime() - idleMinutes * MINUTE));
  });
  // There is room again: whoever came in meanwhile signs in once more, and is written down.
  app.mind.passing.clear();
  app.mind.wrongPins.clear();
  sessionsEnded(app, ended);
}

export interface SignedIn {
  readonly cookie: string;
  readonly device: string;
  readonly person: Person;
  readonly seconds: number;
}

/** Answers the cookies' values. The session that the cookie named before is over. */
export async function signIn(app: AppContext, name: string, pin: string, caller: Caller): Promise<Outcome<SignedIn>> {
  const staff = await staffByName(app.db, name);
  if (!staff) {
    await takeAsLong(pin);
    return bad(issue('pin-wrong', { name, seconds: 0 }, 'pin'));
  }
  const known = textIn(app.secret, caller.device);
  const own = known !== undefined && (await knowsDevice(app.db, known, staff.id));
  const place = own ? `device ${known}` : `address ${caller.address}`;
  const right = await tryPin(app, [staff], pin, { places: [place], address: caller.address });
  if (!right.ok) return right;
  const now = app.clock.now();
  const { sessionDays } = await app.shopSettings();
  const token = randomBytes(32).toString('base64url');
  const device = known ?? randomUUID();
  const session = randomUUID();
  const old = await sessionOf(app, caller);
  let ended: readonly string[] = [];
  const writing = app.db.transaction(async (tx) => {
    await rememberDevice(tx, device, staff.id, now);
    await insertSession(tx, {
      id: session,
      tokenHash: hashOf(token),
      staffId: staff.id,
      deviceId: device,
      address: caller.address,
      now,
      expires: new Date(now.getTime() + sessionDays * DAY),
    });
    await insertSecurity(tx, now, {
      what: 'signed in',
      staffId: staff.id,
      address: caller.address,
      detail: { session },
    });
    ended = old ? await endSession(tx, old.session) : [];
  });
  const { id, role } = staff;
  const person = { id, name: staff.name, role };
  if (!(await whereRoom(writing)))
    app.mind.passing.set(hashOf(token), { person, session, until: now.getTime() + PASSING });
  sessionsEnded(app, ended);
  return good({
    cookie: signed(app.secret, token),
    device: signed(app.secret, device),
    person,
    seconds: sessionDays * 86_400,
  });
}

export async function signOut(app: AppContext, caller: Caller): Promise<void> {
  const found = await sessionOf(app, caller);
  if (!found) return;
  if ([...app.mind.passing.values()].some(({ session }) => session === found.session))
    return sessionsEnded(app, [found.session]);
  const ended = await app.db.transaction(async (tx) => {
    await insertSecurity(tx, app.clock.now(), {
      what: 'signed out',
      staffId: found.person.id,
      address: caller.address,
    });
    return endSession(tx, found.session);
  });
  sessionsEnded(app, ended);
}
