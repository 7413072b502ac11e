/** Nothing is charged that is not there, and nothing twice; boards that a build brings are chosen, named and charged. */
import { describe, expect, it } from 'vitest';
import type { BuildCode } from '@/core/builds';
import type { Design } from '@/core/design/design';
import { withBuild, withInside } from '@/core/design/with-build';
import { priceWorkings } from '@/core/public-api/answer';
import { defaultSettings } from '@/core/settings';
import { inches } from '@/core/units/length';
import { type WorkedOut, workOut } from '@/core/work-out';
import type { Quantity } from '@/core/working';
import { wantedOf } from '@/core/cutting/demand';
import { openWorkOut } from '@/server/public-api';
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

/** As its build begins it, with everything on that puts a board somewhere. */
const DEEP = { given: moulding({ rabbetDepth: inches(3), height: inches(4) }) };
const BRINGING: readonly (readonly [name: string, design: Design])[] = [
  ['a raised float', { ...withBuild(exampleDesign(), 'float', SETTINGS, HOUSE), own: { raised: true } }],
  [
    'a garment with sleeves',
    {
      ...withBuild(exampleDesign(), 'garment', SETTINGS, HOUSE),
      own: { sleeveCuff: inches(5), sleeveOuter: inches(9), sleeveUnder: inches(6) },
    },
  ],
  ['stretched cloth', withBuild(exampleDesign(), 'fabric', SETTINGS, HOUSE)],
  [
    'a box',
    withBuild(
      { ...exampleDesign(), frame: { ...exampleDesign().frame, moulding: DEEP } },
      'shadow-box',
      SETTINGS,
      HOUSE,
    ),
  ],
  [
    'three photos',
    exampleDesign({
      several: {
        windows: [1, 2, 3].map(() => ({ width: inches(4), height: inches(6) })),
        layout: 'row',
        bridge: { across: inches(1), down: inches(1) },
      },
    }),
  ],
].map(([name, design]) => [name as string, withInside(design as Design, HOUSE)] as const);
const BOARDS = /board|insert|patch|side strip/;

describe('what a build puts inside', () => {
  it.each(BRINGING)('%s: each board is of a list, in the plan and in the price', (_name, design) => {
    const worked = done(design);
    const boards = worked.parts.filter((part) => part.kind !== 'leg' && BOARDS.test(part.part));
    expect(boards.length).toBeGreaterThan(0);
    const { parts, beside } = wantedOf(worked, '1-1', new Set(worked.route.map(({ step }) => step)));
    const planned = parts.map(({ id }) => / ([a-z ]+?)( \d+)?$/.exec(id)![1]);
    for (const board of boards) {
      if (board.kind === 'strip') expect(beside.map(({ part }) => part)).toContain(board.part);
      else if (board.kind === 'flat') expect(planned).toContain(board.part);
    }
    // Twice as dear a board makes a dearer piece, by what it is charged: nothing else changes.
    const { backings, mats } = shop('in').catalogue;
    const board = design.innerBoard!;
    const sheet = 'code' in board ? (mats.get(board.code) ?? backings.get(board.code)!) : board.given;
    const twice = { ...sheet, cost: { ...sheet.cost!, amount: String(2 * Number(sheet.cost!.amount)) } };
    const sum = (of: WorkedOut) => of.price!.lines.reduce((all, { amount }) => all + amount, 0);
    const { innerBoard: _none, ...free } = design;
    const [without, once, dear] = [free, design, { ...design, innerBoard: { given: twice } }].map((of) =>
      sum(done(of)),
    );
    expect(once!).toBeGreaterThan(without!);
    expect(Math.abs(dear! - once! - (once! - without!))).toBeLessThanOrEqual(8);
  });

  it('comes and goes with what wants it', () => {
    const float = withBuild(exampleDesign(), 'float', SETTINGS, HOUSE);
    expect(float.innerBoard).toBeUndefined();
    const raised = withInside({ ...float, own: { raised: true } }, HOUSE);
    expect(raised.innerBoard).toEqual({ code: HOUSE.boxBoard });
    expect(withInside({ ...raised, innerBoard: { code: 'B3' } }, HOUSE).innerBoard).toEqual({ code: 'B3' });
    expect(withInside({ ...raised, own: {} }, HOUSE).innerBoard).toBeUndefined();
    expect(withBuild(raised, 'window-mat', SETTINGS, HOUSE).innerBoard).toBeUndefined();
  });

  it('is as thick as its board, or as was said', () => {
    const raised = { ...withBuild(exampleDesign(), 'float', SETTINGS, HOUSE), mats: [], own: { raised: true } };
    const thick = (design: Design) => done(design).stack.layers.find(({ part }) => part === 'lift board')!.thickness;
    const given = { code: 'X', name: 'X', thickness: inch('3/8'), colour: '#ffffff', archival: true };
    expect(thick({ ...raised, innerBoard: { given } })).toBe(inch('3/8'));
    expect(thick({ ...raised, own: { raised: true, liftThickness: inch('1/2') }, innerBoard: { given } })).toBe(
      inch('1/2'),
    );
  });
});

describe('a board that a build brings through the open interface (O5)', () => {
  const rates = { mat: { costPerSquareMetre: '10', markup: '2' }, backing: { costPerSquareMetre: '3', markup: '2' } };
  const total = (over: object) => {
    const body = {
      unit: 'mm',
      piece: { width: 500, height: 300 },
      frame: { moulding: { faceWidth: 30, rabbetWidth: 10, rabbetDepth: 60, height: 70 } },
      rates,
      ...over,
    };
    const answer = openWorkOut(body, undefined, 'mm', true);
    if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
    return answer.value.price!.lines.reduce((all, line) => all + line.amount, 0);
  };
  it.each([
    ['float', { mountBoard: {} }],
    ['shadow-box', { mountBoard: { thickness: 5 }, innerBoard: { thickness: 5 }, sideBoard: {} }],
  ])('costs in a %s what the same board costs when it is chosen', (build, boards) => {
    expect(total({ build })).toBe(total({ build, ...boards }));
    expect(total({ build })).toBeGreaterThan(total({ build, rates: { ...rates, mat: { costPerSquareMetre: '0' } } }));
  });
  it('is no other board when the back is another: dry mounted (B12)', () => {
    const thick = (backing: object) => {
      const body = { build: 'dry-mount', unit: 'mm', piece: { width: 500, height: 300 }, backing };
      const answer = openWorkOut(
        { ...body, frame: { moulding: { faceWidth: 30, rabbetWidth: 10, rabbetDepth: 30, height: 40 } } },
        undefined,
        'mm',
        false,
      );
      if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
      return answer.value.stack.layers
        .filter(({ part }) => part === 'mount board')
        .map(({ thickness }) => thickness.mm);
    };
    expect(thick({ type: 'hardboard', thickness: 3 })).toEqual([5]);
  });
});

describe('the depth of a piece', () => {
  const body = { build: 'floater', unit: 'mm', piece: { width: 500, height: 300 }, wall: 8, innerDepth: 40 };
  const issues = (over: object) => {
    const answer = openWorkOut({ ...body, ...over }, undefined, 'mm', false);
    return answer.ok ? [] : answer.issues.map(({ code, path }) => `${path} ${code}`);
  };
  it('is its thickness: both may be said, not two', () => {
    expect(issues({ pieceDepth: 38, piece: { ...body.piece, thickness: 38 } })).toEqual([]);
    expect(issues({ pieceDepth: 38, piece: { ...body.piece, thickness: 20 } })).toEqual(['pieceDepth input-wrong']);
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
