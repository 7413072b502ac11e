import { beforeAll, describe, expect, it } from 'vitest';
import { USUAL_SETTINGS } from '@/contract/settings';
import { listSessions, securityEvents, staffByName } from '@/db/queries/staff';
import { waitAfter } from '@/server/pin-tries';
import { endWhatIsOver, personOf, sessionOf, signIn, signOut } from '@/server/sessions';
import { type TestApp, openApp } from '../app';

let app: TestApp;
beforeAll(async () => {
  app = await openApp();
  await app.setUp();
});
const later = (seconds: number) => (app.clock.at = new Date(app.clock.at.getTime() + seconds * 1000));
const from = (address: string, device?: string, cookie?: string) => ({ address, device, cookie });
const code = async (pin: string, caller = from('10.0.0.7'), name = 'ada') => {
  const answer = await signIn(app, name, pin, caller);
  return answer.ok ? 'in' : answer.issues[0]!.code;
};
const signedIn = async (caller = from('10.0.0.7')) => {
  const answer = await signIn(app, 'Ada', '1357', caller);
  if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
  return answer.value;
};
const whats = async () => (await securityEvents(app.db, 50)).map((one) => one.what);

describe('wrong PINs', () => {
  it('cost nothing at first, then a second, two, four, up to the longest wait', () => {
    const waits = [1, 2, 3, 4, 5, 9, 60, 4000].map((wrong) => waitAfter(wrong, 3, 900_000));
    expect(waits).toEqual([0, 0, 1000, 2000, 4000, 64_000, 900_000, 900_000]);
  });

  it('slow one place, even for the right PIN, and tell how long', async () => {
    for (let k = 0; k < 3; k += 1) expect(await code('0000')).toBe('pin-wrong');
    const slowed = await signIn(app, 'Ada', '1357', from('10.0.0.7'));
    expect(slowed).toMatchObject({ ok: false, issues: [{ code: 'pin-slow', figures: { seconds: 1 } }] });
    later(1);
    expect(await code('0000')).toBe('pin-wrong');
    later(1);
    expect(await code('1357')).toBe('pin-slow');
    later(1);
    expect(await code('1357')).toBe('in');
    expect(await code('0000')).toBe('pin-wrong');
    expect(await code('1357')).toBe('in');
    expect(await whats()).toEqual(expect.arrayContaining(['wrong PIN', 'made to wait', 'signed in']));
  });

  it('guessed elsewhere slow nobody on a device of their own', async () => {
    const { device } = await signedIn(from('10.0.0.8'));
    for (let k = 0; k < 6; k += 1) await code('0000', from('10.9.9.9'));
    expect(await code('1357', from('10.9.9.9'))).toBe('pin-slow');
    expect(await code('1357', from('10.9.9.9', device))).toBe('in');
    expect(await code('1357', from('10.0.0.8', `${device.slice(0, -3)}xyz`))).toBe('in');
    // Wrong ones on the device itself slow it, and only it.
    for (let k = 0; k < 3; k += 1) await code('0000', from('10.0.0.8', device));
    expect(await code('1357', from('10.0.0.8', device))).toBe('pin-slow');
    expect(await code('1357', from('10.0.0.8'))).toBe('in');
    later(900);
  });

  it('sent side by side are all counted', async () => {
    const all = await Promise.all(Array.from({ length: 12 }, () => code('9999', from('10.0.1.1'))));
    expect(all.filter((one) => one === 'pin-wrong')).toHaveLength(3);
    expect(all.filter((one) => one === 'pin-slow')).toHaveLength(9);
  });

  it('keep nobody waiting when the clock is put back', async () => {
    for (let k = 0; k < 5; k += 1) {
      await code('9999', from('10.0.1.2'));
      later(900);
    }
    await code('9999', from('10.0.1.2'));
    expect(await code('1357', from('10.0.1.2'))).toBe('pin-slow');
    later(-365 * 86_400);
    expect(await code('1357', from('10.0.1.2'))).toBe('in');
    later(365 * 86_400);
  });

  it('say no more about a name that nobody has', async () => {
    expect(await code('1357', from('10.0.1.3'), 'Nobody')).toBe('pin-wrong');
  });
});

describe('a session', () => {
  it('is known by a signed cookie, not by a forged, foreign, old or signed-out one', async () => {
    const { cookie } = await signedIn();
    expect((await personOf(app, { cookie }))!.name).toBe('Ada');
    expect(await personOf(app, { cookie: `${cookie.slice(0, -2)}xx` })).toBeUndefined();
    expect(await personOf({ ...app, secret: Buffer.alloc(32, 8) }, { cookie })).toBeUndefined();
    expect(await personOf(app, { cookie: 'a.b.c' })).toBeUndefined();
    await signOut(app, from('10.0.0.7', undefined, cookie));
    expect(await personOf(app, { cookie })).toBeUndefined();
  });

  it('ends when its person signs in again with it, signs out, and with it its live stream', async () => {
    const first = await signedIn();
    const { session } = (await sessionOf(app, first))!;
    let over = 0;
    app.bus.listen(
      () => undefined,
      session,
      () => (over += 1),
    );
    const second = await signedIn(from('10.0.0.7', undefined, first.cookie));
    expect(await personOf(app, first)).toBeUndefined();
    expect((await personOf(app, second))!.name).toBe('Ada');
    expect(over).toBe(1);
  });

  it('runs out, and a clock that is put back does not revive it', async () => {
    const { cookie } = await signedIn();
    later(15 * 86_400);
    expect(await personOf(app, { cookie })).toBeUndefined();
    later(-15 * 86_400);
    expect(await personOf(app, { cookie })).toBeUndefined();
  });

  it('is over when the clock was put back before it began', async () => {
    const { cookie } = await signedIn();
    later(-120);
    expect(await personOf(app, { cookie })).toBeDefined();
    later(-86_400);
    expect(await personOf(app, { cookie })).toBeUndefined();
    later(86_520);
  });

  it('ends when idle for as long as the shop has set, and is kept alive by use', async () => {
    const settings = { ...USUAL_SETTINGS, idleMinutes: 10 };
    expect((await app.command('change-settings', { edition: 0, settings })).ok).toBe(true);
    const [used, left] = [await signedIn(), await signedIn()];
    for (let k = 0; k < 4; k += 1) {
      later(240);
      expect((await personOf(app, used))!.name).toBe('Ada');
    }
    expect(await personOf(app, left)).toBeUndefined();
    await endWhatIsOver(app);
    expect((await listSessions(app.db)).length).toBe(1);
  });
});

describe('people', () => {
  const add = async (name: string, role: 'bench' | 'owner' = 'bench') => {
    const id = crypto.randomUUID();
    expect((await app.command('add-staff', { id, name, pin: '7171', role })).ok).toBe(true);
    return { id, name, role };
  };
  const codes = (outcome: Awaited<ReturnType<TestApp['command']>>) =>
    outcome.ok ? 'ok' : outcome.issues.map((one) => one.code).join();

  it('change their PIN with the one it was; the owner changes anybody’s', async () => {
    const odd = await add('Odd');
    const change = (was: string, pin: string, as = app.owner, staffId = odd.id) =>
      app.command('change-pin', { staffId, was, pin }, { as });
    expect(codes(await change('1212', '8181', odd))).toBe('pin-wrong');
    expect(codes(await change('7171', '8181', odd, app.owner.id))).toBe('role-not-permitted');
    expect(codes(await change('7171', '8181', odd))).toBe('ok');
    expect(await code('8181', from('10.0.2.1'), 'odd')).toBe('in');
    expect(codes(await change('', '9797'))).toBe('ok');
    expect(await code('9797', from('10.0.2.1'), 'odd')).toBe('in');
    expect(codes(await app.command('change-pin', { staffId: odd.id, was: '', pin: '12' }))).toBe('input-wrong');
  });

  it('are removed with their sessions, keep their name, and are let in again', async () => {
    const pia = await add('Pia');
    const answer = await signIn(app, 'Pia', '7171', from('10.0.2.2'));
    const cookie = answer.ok ? answer.value.cookie : '';
    expect((await personOf(app, { cookie }))!.name).toBe('Pia');
    expect(codes(await app.command('remove-person', { staffId: pia.id }))).toBe('ok');
    expect(await personOf(app, { cookie })).toBeUndefined();
    expect(await code('7171', from('10.0.2.2'), 'Pia')).toBe('pin-wrong');
    expect(codes(await app.command('remove-person', { staffId: pia.id }))).toBe('staff-unknown');
    expect(codes(await app.command('re-admit-person', { staffId: pia.id, pin: '6161' }))).toBe('ok');
    expect(await code('6161', from('10.0.2.2'), 'Pia')).toBe('in');
  });

  it('are never left without an owner', async () => {
    expect(codes(await app.command('remove-person', { staffId: app.owner.id }))).toBe('last-owner');
    const second = await add('Berit', 'owner');
    expect(codes(await app.command('remove-person', { staffId: second.id }))).toBe('ok');
  });

  it('end their own sessions elsewhere, and only the owner others’', async () => {
    const here = await signedIn();
    const there = await signedIn(from('10.0.2.3'));
    const { session } = (await sessionOf(app, here))!;
    const odd = { ...(await staffByName(app.db, 'Odd'))! };
    expect(codes(await app.command('end-sessions', { staffId: app.owner.id }, { as: odd }))).toBe('role-not-permitted');
    expect(codes(await app.command('end-sessions', { staffId: app.owner.id }, { session }))).toBe('ok');
    expect([await personOf(app, here), await personOf(app, there)]).toMatchObject([{ name: 'Ada' }, undefined]);
  });

  it('leave no PIN readable, neither hashed fast nor in the record of commands', async () => {
    const rows = await app.db.query<{ pin_hash: string }>('SELECT pin_hash FROM staff');
    expect(rows.every((row) => /^scrypt\$/.test(row.pin_hash))).toBe(true);
    const text = JSON.stringify([
      await app.db.query('SELECT * FROM command'),
      await app.db.query('SELECT * FROM audit'),
      await app.db.query('SELECT * FROM security_event'),
    ]);
    for (const pin of ['1357', '7171', '8181', '9797', '6161']) expect(text).not.toContain(`"${pin}"`);
    const { createHash } = await import('node:crypto');
    const fast = (value: unknown) => createHash('sha256').update(JSON.stringify(value)).digest('hex');
    const commands = await app.db.query<{ name: string; digest: string }>('SELECT name, digest FROM command');
    const guesses = Array.from({ length: 10_000 }, (_, pin) =>
      fast({ shop: 'Test shop', owner: 'Ada', pin: String(pin).padStart(4, '0'), homeUnit: 'in' }),
    );
    expect(commands.filter(({ digest }) => guesses.includes(digest))).toEqual([]);
    expect(commands.every(({ digest }) => /^[\w-]{43}$/.test(digest))).toBe(true);
  });
});
