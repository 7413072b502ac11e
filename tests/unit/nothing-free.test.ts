/** Nothing is charged that is not there, and nothing twice; boards that a build brings are chosen, named and charged. */
import { describe, expect, it } from 'vitest';
import type { BuildCode } from '@/core/builds';
import type { Design } from '@/core/design/design';
import { withBuild } from '@/core/design/with-build';
import { priceWorkings } from '@/core/public-api/answer';
import { defaultSettings } from '@/core/settings';
import { inches } from '@/core/units/length';
import { type WorkedOut, workOut } from '@/core/work-out';
import type { Quantity } from '@/core/working';
import { notIncluded } from '@/server/offer';
import { exampleDesign, inch, moulding, shop } from '../shop';

const SETTINGS = defaultSettings('in');
const HOUSE = { mat: 'A1', moulding: 'M1', glazing: 'G1', backing: 'B1', boxBoard: 'B2' };
const done = (design: Design): WorkedOut => {
  const result = workOut(design, shop('in'));
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const lineOf = (worked: WorkedOut, key: string) => worked.price!.lines.find((line) => line.key === key);
const stepOf = (worked: WorkedOut, key: string) => worked.route.find(({ step }) => step === key);
const figureOf = (quantity: Quantity) => Number(quantity.value);
const without: Partial<Design> = { hanging: { rings: 'none', slack: '0.03' } };

describe('hangers that are not there', () => {
  it('are not charged: of a frame without any, and of one whose wood bears none (O6)', () => {
    expect(lineOf(done(exampleDesign()), 'hardware')!.amount).toBeGreaterThan(0);
    expect(lineOf(done(exampleDesign(without)), 'hardware')).toBeUndefined();
    const thin = moulding({ faceWidth: inch('3/8'), rabbetWidth: inch('1/4') });
    const bare = done(exampleDesign({ frame: { ...exampleDesign().frame, moulding: { given: thin } } }));
    expect(bare.hanging?.noWood).toBe(true);
    expect(lineOf(bare, 'hardware')).toBeUndefined();
  });

  it('take no minutes, and no step where nothing else closes the back (C7)', () => {
    const scope = 'framed, not wired' as const;
    const minutes = (design: Design) => stepOf(done(design), 'back-and-hang')?.minutes;
    expect(minutes(exampleDesign())).toBe(6);
    expect(minutes(exampleDesign({ scope }))).toBe(2);
    const tabs = { practice: { back: 'board with tabs' } } as const;
    expect(minutes(exampleDesign(tabs))).toBe(6);
    expect(minutes(exampleDesign({ ...tabs, scope }))).toBeUndefined();
  });
});

describe('a board that a build brings', () => {
  it.each([
    ['float', 'A1', 'mats'],
    ['dry-mount', 'B2', 'backing'],
  ] as const)('of a %s is in the design, and in the price as what it is (A3, B12)', (build: BuildCode, code, key) => {
    const begun = withBuild(exampleDesign(), build, SETTINGS, HOUSE);
    const design = { ...begun, mats: [], mountBoard: begun.mountBoard! };
    expect(design.mountBoard).toEqual({ code });
    const { mountBoard: _board, ...bare } = design;
    const amount = (of: Design) => lineOf(done(of), key)?.amount ?? 0;
    if (build === 'float') expect(amount(design)).toBeGreaterThan(amount(bare));
    // Another back is no other board.
    const other = done({ ...design, backing: { code: 'B3' } });
    const boards = other.parts.flatMap((part) => (part.kind === 'flat' && part.part === 'mount board' ? [part] : []));
    expect(boards.map((part) => part.code)).toEqual([code]);
    // It goes with its build, and what was chosen stays.
    expect(withBuild(design, 'window-mat', SETTINGS, HOUSE).mountBoard).toBeUndefined();
    expect(withBuild({ ...design, mountBoard: { code: 'A3' } }, 'window-mat', SETTINGS, HOUSE).mountBoard).toEqual({
      code: 'A3',
    });
  });
});

describe('one line of several charges', () => {
  const liner = { moulding: { given: moulding({ code: 'L1', faceWidth: inches(1) }) }, allowance: inch('1/8') };
  it('has a working for each: two liners (O4)', () => {
    const two = done(exampleDesign({ frame: { ...exampleDesign().frame, inner: [liner, liner] } }));
    const lines = two.price!.lines.filter(({ code }) => code === 'liner');
    expect(lines).toHaveLength(1);
    const workings = priceWorkings(two.price!);
    const amounts = ['price.liner.0', 'price.liner.1'].map((key) => figureOf(workings[key]!.value));
    expect(amounts.every((amount) => amount > 0)).toBe(true);
    expect(amounts[0]! + amounts[1]!).toBe(lines[0]!.amount);
  });

  it('says how much of each, where they differ (O3)', () => {
    const dry = done(exampleDesign({ build: 'dry-mount', mats: [], mountBoard: { code: 'B1' } }));
    const { quantity, workings } = lineOf(dry, 'backing')!;
    const areas = workings.map(({ inputs }) => figureOf(inputs.quantity!));
    expect(areas[0]).not.toBe(areas[1]);
    expect(quantity.split(' + ').map((one) => Number.parseFloat(one))).toEqual(
      areas.map((area) => Number(area.toFixed(2))),
    );
  });
});

describe('what a customer reads as not included', () => {
  it('is no delivery that is in the price (B9)', () => {
    const way = { name: 'Delivery, out of town', amount: 3500, taxGroup: 'delivery' } as const;
    const said = (extras: Design['extras']) => notIncluded(done(exampleDesign(extras ? { extras } : {}))).join();
    expect(said(undefined)).toContain('delivery');
    expect(said([way])).not.toContain('delivery');
  });
});
