/** A line of the price is told by its code: an extra may have whatever name. */
import { describe, expect, it } from 'vitest';
import { exampleDesign, prices, shop } from '../shop';
import { lineName } from '@/words/materials';
import type { Design } from '@/core/design/design';
import { designSchema } from '@/core/design/schema';
import { soldIn } from '@/core/ledger/order-sale';
import { workOut } from '@/core/work-out';
import { LINE_CODES, extraKeys } from '@/core/pricing/price-line';

const NAMES = ['moulding', 'constructor', '__proto__', 'Plate', 'Plate', 'Plate (2)', 'labour'];
const extras = NAMES.map((name, index) => ({ name, amount: 100 * (index + 1) }));
const priceOf = (over: Partial<Design>) => {
  const worked = workOut(exampleDesign(over), shop());
  if (!worked.ok) throw new Error('cannot be built');
  return worked.value.price!;
};
const groups = (over: Partial<Design>) =>
  Object.fromEntries(soldIn(priceOf(over), () => '0').map(({ group, amount }) => [group, Number(amount)]));

describe('an extra with a name of the program’s own', () => {
  it('is called by its name, as text, and sold as goods', () => {
    const lines = priceOf({ extras }).lines.filter(({ code }) => code === 'extra');
    expect(lines.map(lineName)).toEqual(NAMES);
    const free = { ending: 'none' as const };
    const sold = (over: Partial<Design>) => {
      const worked = workOut(exampleDesign(over), shop('in', { prices: { ...prices, ...free } }));
      if (!worked.ok) throw new Error('cannot be built');
      return Object.fromEntries(soldIn(worked.value.price!, () => '0').map(({ group, amount }) => [group, +amount]));
    };
    const [without, with_] = [sold({}), sold({ extras })];
    expect([with_.frames, with_.labour]).toEqual([without.frames, without.labour]);
    expect(with_.goods! - without.goods!).toBe(2800);
  });

  it('has a key of its own: a price by hand of one line is of that line only', () => {
    const keys = priceOf({ extras }).lines.map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
    const overrides = [{ key: 'moulding', amount: 5000, reason: 'old stock' }];
    const changed = priceOf({ extras, overrides }).lines.filter(({ rule }) => rule !== undefined);
    expect(changed.map(({ code, amount }) => [code, amount])).toEqual([['moulding', 5000]]);
    expect(groups({ extras, overrides }).frames).toBeLessThan(groups({ extras }).frames!);
    const second = priceOf({ extras, overrides: [{ key: 'Plate (2)', amount: 1, reason: 'x' }] });
    expect(second.lines.filter(({ amount }) => amount === 1).map(({ name }) => name)).toEqual(['Plate']);
  });

  it('keeps its key while others come and go', () => {
    expect(extraKeys(['Plate'])).toEqual(['Plate']);
    expect(extraKeys(['Wax', 'Plate'])).toEqual(['Wax', 'Plate']);
    for (const code of LINE_CODES) expect(extraKeys([code])).toEqual([`${code} (2)`]);
  });

  it('may be as long as its field takes, and priced by hand', () => {
    const name = 'x'.repeat(80);
    const overrides = [{ key: extraKeys([name, name])[1]!, amount: 5, reason: 'r' }];
    const twice = [1, 2].map((amount) => ({ name, amount }));
    expect(designSchema.safeParse(exampleDesign({ extras: twice, overrides })).success).toBe(true);
  });
});
