import { describe, expect, it } from 'vitest';
import { inch } from '../../../tests/shop';
import { type Size, halve, mm, plus, size } from '../units/length';
import { money } from '../units/money';
import { asBuilt, borderAfter } from './as-built';
import { batchOf } from './batch';
import { scoped } from './scope';
import { finishSchedule, shopMade, stripsFrom } from './shop-made';

const mms = (w: number, h: number): Size => size(mm(w), mm(h));
const ALL = { left: mm(50), right: mm(50), top: mm(50), bottom: mm(50) };

describe('batches', () => {
  const pieces = [mms(200, 300), mms(204, 302)];
  it('keeps the opening and lets the overlap vary, down to the least', () => {
    const kept = { equal: 'opening', opening: mms(194, 294), border: ALL, overlapLeast: mm(1.5) } as const;
    const batch = batchOf(pieces, kept);
    expect(batch.ok && batch.value.map((one) => one.overlap)).toEqual([mm(3), mm(4)]);
    expect(batch.ok && new Set(batch.value.map((one) => one.package.w)).size).toBe(1);
    const tight = batchOf([...pieces, mms(196, 400)], kept);
    expect(tight.ok ? [] : tight.issues).toMatchObject([
      { code: 'batch-overlap', path: 'pieces.2', figures: { overlap: mm(1), least: mm(1.5) } },
    ]);
  });

  it('keeps the outside and lets the borders vary; keeps the border and lets the outside vary', () => {
    const outside = batchOf(pieces, { equal: 'outside', package: mms(300, 400), overlap: mm(3), how: 'centred' });
    expect(outside.ok && outside.value.map((one) => one.border.left)).toEqual([mm(53), mm(51)]);
    const border = batchOf(pieces, { equal: 'border', border: ALL, overlap: mm(3) });
    expect(border.ok && border.value.map((one) => one.package)).toEqual([mms(294, 394), mms(298, 396)]);
    const small = batchOf(pieces, { equal: 'outside', package: mms(190, 400), overlap: mm(3), how: 'centred' });
    expect(small.ok ? 0 : small.issues.length).toBe(2);
  });
});

describe('as built', () => {
  it('re-sizes by the smaller measure of the seat, and says when it is beyond the allowance', () => {
    const seat = { top: mm(401), bottom: mm(400.5), left: mm(500), right: mm(502) };
    expect(asBuilt(mms(403, 503), seat, mm(3), mm(0.5))).toEqual({
      difference: mms(-2.5, -3),
      package: mms(397.5, 497),
      cut: mms(397.5, 497),
      within: true,
    });
    expect(asBuilt(mms(404, 503), seat, mm(3), mm(0.5)).within).toBe(false);
  });
  it('shares the difference between two borders without losing a unit', () => {
    for (const difference of [mm(3), mm(-3), plus(mm(1), mm(0.003125)), mm(-0.003125)]) {
      const [first, second] = borderAfter(mm(60), mm(72), difference);
      expect(first + second).toBe(mm(132) + difference);
      expect(halve(difference)[0]).toBe(first - mm(60));
    }
  });
});

describe('moulding made in the shop', () => {
  it('rips strips with a kerf between them', () => {
    expect([
      stripsFrom(mm(103), mm(50), mm(3)),
      stripsFrom(mm(102.9), mm(50), mm(3)),
      stripsFrom(mm(40), mm(50), mm(3)),
    ]).toEqual([2, 1, 0]);
  });
  it('costs what the sheet and the minutes cost, by the length it gives', () => {
    // 48 in wide: 21 strips of 2 1/8 in with 1/8 in kerf; 8 ft each = 168 ft; (84.00 + 1.5 h at 56.00) / 168 ft = 1.00
    const made = shopMade(
      { w: inch('48'), h: inch('96'), price: money(84_00) },
      inch('2 1/8'),
      inch('1/8'),
      '90',
      '56.00',
      inch('12'),
    );
    expect(made).toEqual({ strips: 21, length: inch('2016 / 12') * 12, cost: money(1_00) });
  });
  it('plans coats one after the other', () => {
    const coats = [
      { name: 'sealer', minutes: 30, dryHours: 2 },
      { name: 'varnish', minutes: 30, dryHours: 12 },
    ];
    expect(finishSchedule(coats).map((one) => [one.from, one.readyAt])).toEqual([
      [0, 2.5],
      [2.5, 15],
    ]);
  });
});

describe('scope of supply', () => {
  it('drops what is not ordered, and never cuts a frame the customer brings', () => {
    expect(scoped('mounted and bagged', 'window-mat')).toMatchObject({
      frame: false,
      backed: true,
      sleeve: true,
      hung: false,
    });
    expect(scoped('framed, not wired', 'window-mat')).toMatchObject({ frame: true, closed: true, hung: false });
    expect(scoped(undefined, 'customer-frame')).toMatchObject({ frame: false, closed: true, hung: true });
    expect(scoped('kit', 'window-mat').assembled).toBe('customer');
  });
});
