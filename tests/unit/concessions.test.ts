/** Discounts and prices by hand: a reason always, a limit for each person, an owner's PIN above it. */
import { beforeEach, describe, expect, it } from 'vitest';
import type { Payload } from '@/contract/commands';
import type { Design } from '@/core/design/design';
import { staffByName } from '@/db/queries/staff';
import { TOTAL, type Stocked, codes, must, stocked, stockedDesign } from '../stocked';

let shop: Stocked;
let tess: { id: string; name: string; role: 'counter' };
beforeEach(async () => {
  shop = await stocked();
  const id = crypto.randomUUID();
  await must(shop.app.command('add-staff', { id, name: 'Tess', pin: '4711', role: 'counter' }));
  tess = { id, name: 'Tess', role: 'counter' };
});

const off = (percent: string, reason = 'a regular'): Partial<Design> => ({ discount: { percent, reason, by: '' } });
const asPayload = (over: Partial<Design>, more: object = {}): Payload<'save-quote'> => ({
  orderId: crypto.randomUUID(),
  revision: null,
  customerId: shop.customerId,
  promised: '2031-12-15',
  pieces: [{ id: crypto.randomUUID(), design: stockedDesign(over) }],
  ...more,
});
const give = async (over: Partial<Design>, more: object = {}) =>
  shop.app.command('save-quote', asPayload(over, more), { as: tess });
const ownersPin = '1357';

describe('a discount', () => {
  it('is given up to the person’s limit, and says who gave it', async () => {
    const payload = asPayload(off('10'));
    await must(shop.app.command('save-quote', payload, { as: tess }));
    const { pieces } = await shop.viewOf(payload.orderId);
    expect(pieces[0]!.design.discount).toEqual({ percent: '10', reason: 'a regular', by: 'Tess' });
  });

  it('above it needs an owner’s PIN, for that order only', async () => {
    expect(codes(await give(off('10.01')))).toBe('discount-needs-owner');
    expect(codes(await give(off('10.01'), { pin: '9999' }))).toBe('pin-wrong');
    expect(codes(await give(off('10.01'), { pin: '4711' }))).toBe('pin-wrong');
    await must(give(off('10.01'), { pin: ownersPin }));
    expect(codes(await give(off('10.01')))).toBe('discount-needs-owner');
  });

  it('of an order that an owner allowed can be saved again, and lowered, but not raised', async () => {
    const payload = asPayload(off('25'), { pin: ownersPin });
    await must(shop.app.command('save-quote', payload, { as: tess }));
    const again = (percent: string, revision: number) =>
      shop.app.command(
        'save-quote',
        {
          ...payload,
          pin: undefined,
          revision,
          pieces: [{ ...payload.pieces[0]!, design: stockedDesign(off(percent)) }],
        },
        { as: tess },
      );
    await must(again('25', 1));
    expect(codes(await again('26', 2))).toBe('discount-needs-owner');
    await must(again('20', 2));
    expect(codes(await again('25', 3))).toBe('discount-needs-owner');
  });

  it('of an owner has no limit; whoever it is says why', async () => {
    await must(shop.app.command('save-quote', asPayload(off('90'))));
    for (const reason of ['', '  '])
      expect(codes(await shop.app.command('save-quote', asPayload(off('5', reason))))).toBe('discount-reason');
    expect(codes(await shop.app.command('save-quote', asPayload(off('101'))))).toBe('input-wrong');
  });

  it('keeps its giver when somebody else saves the order', async () => {
    const payload = asPayload(off('40'));
    await must(shop.app.command('save-quote', payload));
    await must(shop.app.command('save-quote', { ...payload, revision: 1 }, { as: tess }));
    const [piece] = (await shop.viewOf(payload.orderId)).pieces;
    expect(piece!.design.discount).toMatchObject({ by: (await staffByName(shop.app.db, shop.app.owner.name))!.name });
  });

  it('follows the limit that the owner sets, from nothing to everything', async () => {
    const limit = (percent: number) => shop.app.command('set-discount-limit', { staffId: tess.id, percent });
    await must(limit(0));
    expect(codes(await give(off('0.01')))).toBe('discount-needs-owner');
    await must(give({}));
    await must(limit(100));
    await must(give(off('100')));
    expect(codes(await limit(101))).toBe('input-wrong');
    const other = await shop.app.command('set-discount-limit', { staffId: crypto.randomUUID(), percent: 5 });
    expect(codes(other)).toBe('staff-unknown');
  });
});

describe('a line priced by hand', () => {
  const moulding = (amount: number): Partial<Design> => ({
    overrides: [{ key: 'moulding', amount, reason: 'old stock' }],
  });

  it('is agreed as it was set, beside what the rules ask', async () => {
    const payload = asPayload(moulding(8000));
    await must(shop.app.command('save-quote', payload, { as: tess }));
    // 172.01 − 11.35 = 160.66: 161.00, with 8 % 173.88.
    await must(shop.app.command('accept-order', { orderId: payload.orderId, revision: 1, total: 17_388, reasons: {} }));
    const line = (await shop.viewOf(payload.orderId)).pieces[0]!.agreed!.price!.lines.find(
      ({ key }) => key === 'moulding',
    );
    expect(line).toMatchObject({ amount: 8000, rule: 9135 });
  });

  it('counts against the limit together with a discount', async () => {
    // 91.35 of 172.01: 17.20 may go, which leaves 74.15 or more.
    await must(give(moulding(7415)));
    expect(codes(await give(moulding(7414)))).toBe('discount-needs-owner');
    expect(codes(await give({ ...moulding(8000), ...off('5') }))).toBe('discount-needs-owner');
    await must(give({ ...moulding(12_000) }));
  });

  it('is priced once, with a reason, at no less than nothing', async () => {
    const line = { key: 'moulding', amount: 9000, reason: 'x' };
    for (const overrides of [
      [line, line],
      [{ ...line, reason: ' ' }],
      [{ ...line, amount: -1 }],
      [{ ...line, amount: 1.5 }],
    ])
      expect(codes(await give({ overrides }))).toBe('input-wrong');
    await must(give({ overrides: [{ ...line, key: 'not a line' }] }));
    expect(TOTAL).toBe(18_684);
  });
});
