/** An owner's PIN that is asked of somebody else: how often it can be guessed, and whom that slows. */
import { beforeEach, describe, expect, it } from 'vitest';
import type { Asked } from '@/contract/commands';
import { securityEvents, staffByName } from '@/db/queries/staff';
import { sessionOf, signIn } from '@/server/sessions';
import { type Stocked, codes, must, stocked, stockedDesign } from '../stocked';

let shop: Stocked;
type Person = { readonly id: string; readonly name: string; readonly role: 'counter' | 'owner' };
let tess: Person;
const add = async (name: string, pin: string, role: Person['role'] = 'counter'): Promise<Person> => {
  const id = crypto.randomUUID();
  await must(shop.app.command('add-staff', { id, name, pin, role }));
  return { id, name, role };
};
beforeEach(async () => {
  shop = await stocked();
  tess = await add('Tess', '4711');
});
const OWNERS = '1357';
const from = (address: string, device?: string) => ({ address, device, cookie: undefined });
const later = (seconds: number) => {
  const { clock } = shop.app;
  clock.at = new Date(clock.at.getTime() + seconds * 1000);
};
const signed = async (name: string, pin: string, caller = from('10.0.0.5')) => {
  const answer = await signIn(shop.app, name, pin, caller);
  if (!answer.ok) throw new Error(codes(answer));
  const { device, cookie } = answer.value;
  return { device, session: (await sessionOf(shop.app, { cookie }))!.session };
};
/** A discount above anybody's limit, allowed by that PIN. */
const allowedBy = async (pin: string, as: Person, session: string, address = '10.0.0.5') => {
  const design = stockedDesign({ discount: { percent: '90', reason: 'x', by: '' } });
  const payload: Asked<'save-quote'> = {
    orderId: crypto.randomUUID(),
    revision: null,
    customerId: shop.customerId,
    promised: '2031-12-15',
    pieces: [{ id: crypto.randomUUID(), design }],
    pin,
  };
  const body = { id: crypto.randomUUID(), name: 'save-quote', payload };
  const { handlers, readyings } = await import('@/server/commands');
  const { handleCommand } = await import('@/server/door');
  return codes(await handleCommand(shop.app, { person: as, session, address }, body, handlers, readyings));
};

describe('an owner’s PIN asked of somebody else', () => {
  it('is not guessed faster by signing in again: the fourth waits, and each the longer', async () => {
    const answers: string[] = [];
    for (let again = 0; again < 6; again += 1) {
      // A browser without its cookies is a new device each time.
      const { session } = await signed('Tess', '4711');
      for (let guess = 0; guess < 3; guess += 1) answers.push(await allowedBy(`90${again}${guess}`, tess, session));
    }
    expect(answers.slice(0, 3)).toEqual(['pin-wrong', 'pin-wrong', 'pin-wrong']);
    expect(new Set(answers.slice(3))).toEqual(new Set(['pin-slow']));
    const { session } = await signed('Tess', '4711');
    expect(await allowedBy(OWNERS, tess, session)).toBe('pin-slow');
  });

  it('is counted over all who ask, at whatever device', async () => {
    const odd = await add('Odd', '4142');
    const third = await add('Una', '4244');
    const asked = [tess, odd, third];
    const pins = ['4711', '4142', '4244'];
    for (const [index, person] of asked.entries()) {
      const { session } = await signed(person.name, pins[index]!, from(`10.0.1.${index}`));
      expect(await allowedBy('9009', person, session, `10.0.1.${index}`)).toBe('pin-wrong');
    }
    const { session } = await signed('Tess', '4711', from('10.0.1.9'));
    expect(await allowedBy(OWNERS, tess, session, '10.0.1.9')).toBe('pin-slow');
    later(2);
    expect(await allowedBy(OWNERS, tess, session, '10.0.1.9')).toBe('ok');
    // The owner was there: what was counted is forgotten.
    expect(await allowedBy('9009', tess, session, '10.0.1.9')).toBe('pin-wrong');
    expect(await allowedBy(OWNERS, tess, session, '10.0.1.9')).toBe('ok');
  });

  it('slows no owner who signs in, on the counter’s device or their own', async () => {
    const own = await signed('Ada', OWNERS, from('10.0.0.9'));
    const counter = await signed('Ada', OWNERS, from('10.0.0.5'));
    const { session } = await signed('Tess', '4711', from('10.0.0.5', counter.device));
    for (let guess = 0; guess < 9; guess += 1) await allowedBy(`900${guess}`, tess, session);
    expect(await allowedBy(OWNERS, tess, session)).toBe('pin-slow');
    await signed('Ada', OWNERS, from('10.0.0.9', own.device));
    await signed('Ada', OWNERS, from('10.0.0.5', counter.device));
  });

  it('may be any owner’s: one owner’s right PIN is no wrong one of another', async () => {
    await add('Berit', '8080', 'owner');
    const { session } = await signed('Tess', '4711');
    for (let time = 0; time < 6; time += 1) expect(await allowedBy('8080', tess, session)).toBe('ok');
    const ada = (await staffByName(shop.app.db, 'Ada'))!;
    expect(await shop.app.db.query('SELECT 1 AS found FROM wrong_pin WHERE staff_id = $1', [ada.id])).toEqual([]);
  });

  it('is counted though the command is refused, and written down', async () => {
    const { session } = await signed('Tess', '4711');
    await allowedBy('9009', tess, session);
    const rows = await shop.app.db.query<{ place: string; count: number }>('SELECT place, count FROM wrong_pin');
    expect(rows.map(({ place, count }) => [place.split(' ').slice(0, 2).join(' '), count]).sort()).toEqual([
      ['approvals', 1],
      ['asked at', 1],
      ['asked by', 1],
    ]);
    expect((await securityEvents(shop.app.db, 5)).map(({ what }) => what)).toContain('wrong PIN');
  });
});

describe('one’s own PIN, typed to change it', () => {
  it('is counted by who asks, in whatever session', async () => {
    const change = async (was: string) => {
      const { session } = await signed('Tess', '4711');
      const asked = { staffId: tess.id, was, pin: '2648' };
      return codes(await shop.app.command('change-pin', asked, { as: tess, session }));
    };
    for (let guess = 0; guess < 3; guess += 1) expect(await change(`900${guess}`)).toBe('pin-wrong');
    expect(await change('4711')).toBe('pin-slow');
    later(1);
    expect(await change('4711')).toBe('ok');
  });
});

describe('a PIN', () => {
  const added = async (pin: string) => {
    const asked = { id: crypto.randomUUID(), name: `Pia ${pin}`, pin, role: 'bench' as const };
    return codes(await shop.app.command('add-staff', asked));
  };
  it('that is tried first is refused', async () => {
    for (const pin of ['0000', '1111', '5555', '9999', '1234', '4321', '12345678', '77777'])
      expect([pin, await added(pin)]).toEqual([pin, 'input-wrong']);
  });
  it('of other digits is taken', async () => {
    for (const pin of ['1243', '0001', '90210']) expect([pin, await added(pin)]).toEqual([pin, 'ok']);
  });
});

describe('a name', () => {
  const added = async (name: string) =>
    codes(await shop.app.command('add-customer', { id: crypto.randomUUID(), name, phone: '', email: '' }));
  it('with a sign that nobody sees is refused', async () => {
    for (const name of [
      'Ad\u200ba',
      'A\u2060da',
      'A\ufeffda',
      'Ad\u00ada',
      'A\u200dda',
      'Ada\ufe0f',
      '\u115fAda',
      'Ada\u061c',
    ])
      expect([name, await added(name)]).toEqual([name, 'input-wrong']);
  });
  it('of people stays', async () => {
    for (const name of ['Zoë Ó Brolcháin', 'Nguyễn Thị', '王小明', 'Anna-Lena O’Neill', 'משה'])
      expect([name, await added(name)]).toEqual([name, 'ok']);
  });
});
