import { beforeAll, describe, expect, it } from 'vitest';
import { personOf, signIn, signOut } from '@/server/sessions';
import { type TestHouse, openHouse } from '../house';

let house: TestHouse;
beforeAll(async () => {
  house = await openHouse();
  await house.command(
    'set-up-shop',
    { shop: 'Test shop', owner: 'Ada', pin: '1234', homeUnit: 'in' },
    { as: undefined },
  );
});
const later = (seconds: number) => (house.clock.at = new Date(house.clock.at.getTime() + seconds * 1000));
const code = async (pin: string) => {
  const answer = await signIn(house, 'ada', pin);
  return answer.ok ? 'in' : answer.issues[0]!.code;
};

describe('signing in', () => {
  it('locks a name after five wrong PINs, even for the right one, and opens again after a minute', async () => {
    for (let k = 0; k < 4; k += 1) expect(await code('0000')).toBe('pin-wrong');
    expect(await code('0000')).toBe('pin-locked');
    expect(await code('1234')).toBe('pin-locked');
    later(61);
    expect(await code('0000')).toBe('pin-wrong');
    expect(await code('1234')).toBe('in');
  });

  it('counts guesses that are sent side by side', async () => {
    const all = await Promise.all(Array.from({ length: 12 }, () => code('9999')));
    expect(all.filter((one) => one === 'pin-wrong')).toHaveLength(4);
    later(61);
  });

  it('knows a signed cookie, not a forged, foreign, old or signed-out one', async () => {
    const answer = await signIn(house, 'Ada', '1234');
    const cookie = answer.ok ? answer.value.cookie : '';
    expect((await personOf(house, cookie))!.name).toBe('Ada');
    expect(await personOf(house, `${cookie.slice(0, -2)}xx`)).toBeUndefined();
    expect(await personOf({ ...house, secret: Buffer.alloc(32, 8) }, cookie)).toBeUndefined();
    expect(await personOf(house, 'a.b.c')).toBeUndefined();
    await signOut(house, cookie);
    expect(await personOf(house, cookie)).toBeUndefined();
    const again = await signIn(house, 'Ada', '1234');
    later(15 * 86_400);
    expect(await personOf(house, again.ok ? again.value.cookie : '')).toBeUndefined();
  });

  it('keeps no PIN readable', async () => {
    const rows = await house.db.query<{ pin_hash: string }>('SELECT pin_hash FROM staff');
    expect(rows[0]!.pin_hash).toMatch(/^scrypt\$/);
    expect(rows[0]!.pin_hash).not.toContain('1234');
  });
});
