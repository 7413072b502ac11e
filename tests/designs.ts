/** Random designs of every build, within what a shop might be asked for. For properties and for the bench. */
import fc from 'fast-check';
import { BUILDS, BUILD_CODES, type BuildCode } from '@/core/builds';
import type { Field } from '@/core/builds/fields';
import type { Design } from '@/core/design/design';
import type { Border } from '@/core/design/common';
import { MOUNTS, PIECE_KINDS, SCOPES } from '@/core/design/choices';
import { SHAPES } from '@/core/sizing/shapes';
import { type Length, length, mm } from '@/core/units/length';
import { exampleDesign } from './shop';

const len = (from: number, to: number): fc.Arbitrary<Length> =>
  fc.integer({ min: Math.round(from * 320), max: to * 320 }).map((units) => length(units));
const maybe = <T>(one: fc.Arbitrary<T>) => fc.option(one, { nil: undefined, freq: 3 });
const wide = len(50, 900);

function ownValue(key: string, field: Field): fc.Arbitrary<unknown> {
  switch (field.kind) {
    case 'length':
      return /inner|objectDepth|pieceDepth/.test(key)
        ? len(10, 70)
        : /width|height|roll|flat|visible|garment|sleeve/i.test(key) && !/strip/i.test(key)
          ? len(100, 900)
          : len(1, 40);
    case 'choice':
      return fc.constantFrom(...field.of);
    case 'flag':
      return fc.boolean();
    case 'lengths':
      return fc.array(len(50, 600), { maxLength: 6 });
    case 'sides':
      return fc.record({ left: wide, right: wide, top: wide, bottom: wide });
    case 'size':
      return fc.record({ w: wide, h: wide });
  }
}
const ownOf = (build: BuildCode) =>
  fc.record(
    Object.fromEntries(Object.entries(BUILDS[build].fields).map(([key, field]) => [key, maybe(ownValue(key, field))])),
  );

const border: fc.Arbitrary<Border> = fc.oneof(
  fc.record({ mode: fc.constant('equal' as const), all: len(10, 120) }),
  fc.record({ mode: fc.constant('weighted' as const), all: len(10, 120), extra: len(1, 30), seen: fc.boolean() }),
  fc.record({ mode: fc.constant('sides' as const), all: len(30, 120), less: len(1, 20) }),
  fc.record({
    mode: fc.constant('four' as const),
    left: len(10, 90),
    right: len(10, 90),
    top: len(10, 90),
    bottom: len(10, 90),
  }),
  fc.record({
    mode: fc.constant('fit' as const),
    package: fc.record({ w: len(200, 1000), h: len(200, 1000) }),
    how: fc.constantFrom('centred' as const, 'bottom-heavy' as const, 'optical' as const),
  }),
);

const several = fc.record({
  windows: fc.array(fc.record({ width: len(40, 200), height: len(40, 200) }), { minLength: 2, maxLength: 5 }),
  layout: fc.constantFrom('row' as const, 'column' as const, 'grid' as const),
  bridge: fc.record({ across: len(10, 40), down: len(10, 40) }),
});

/** What is absent is left out, as a stored design has it. */
const lean = <T extends object>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const usual = exampleDesign();

export const designOf = (build: BuildCode): fc.Arbitrary<Design> => {
  const { uses, needsMat } = BUILDS[build];
  return fc
    .record({
      width: wide,
      height: wide,
      second: maybe(len(0, 3)),
      thickness: len(0.3, 30),
      kind: fc.constantFrom(...PIECE_KINDS),
      irreplaceable: fc.boolean(),
      keyed: maybe(fc.boolean()),
      own: ownOf(build),
      overlap: len(1, 8),
      floatGap: maybe(len(2, 15)),
      shape: maybe(fc.constantFrom(...SHAPES)),
      several: fc.option(several, { nil: undefined, freq: 2 }),
      boards: fc.array(fc.constantFrom('A1', 'A2', 'A3'), { minLength: needsMat ? 1 : 0, maxLength: 3 }),
      reveal: len(1, 8),
      style: maybe(fc.constantFrom('bevel' as const, 'turned' as const)),
      border,
      spacer: maybe(len(2, 8)),
      moulding: fc.constantFrom('M1', 'M2', 'M3', 'M4'),
      inner: maybe(fc.constantFrom('M1', 'M2')),
      allowance: len(0, 6),
      outside: fc.option(fc.record({ w: wide, h: wide }), { nil: undefined, freq: 1 }),
      glazing: fc.constantFrom('G1', 'G2'),
      backing: fc.constantFrom('B1', 'B2', 'B3'),
      mountBoard: maybe(fc.constantFrom('A1', 'A2')),
      mount: maybe(fc.constantFrom(...MOUNTS)),
      slack: fc.constantFrom('0.01', '0.05', '0.2', '0.123'),
      rings: fc.constantFrom('third' as const, 'quarter' as const, 'none' as const),
      by: maybe(fc.constantFrom('wire' as const, 'hooks' as const, 'sawtooth' as const)),
      scope: maybe(fc.constantFrom(...SCOPES)),
      count: maybe(fc.integer({ min: 1, max: 12 })),
      discount: maybe(fc.integer({ min: 0, max: 30_000 })),
    })
    .map((one): Design => {
      const matted = uses.includes('mats') && one.boards.length > 0;
      return lean({
        ...usual,
        build,
        own: one.own,
        piece: {
          ...usual.piece,
          width: one.width,
          height: one.height,
          width2: one.second && length(one.width + one.second),
          thickness: one.thickness,
          kind: one.kind,
          irreplaceable: one.irreplaceable,
          keyed: one.keyed,
        },
        window: { overlap: one.overlap, floatGap: one.floatGap, shape: one.shape },
        several: matted ? one.several : undefined,
        mats: matted
          ? one.boards.map((code, index) => ({
              board: { code },
              reveal: index === 0 ? length(0) : one.reveal,
              style: one.style,
            }))
          : [],
        border: one.border,
        spacer: matted && one.spacer ? { setBack: one.spacer } : undefined,
        frame: {
          moulding: { code: one.moulding },
          allowance: one.allowance,
          inner: one.inner && uses.includes('mats') ? [{ moulding: { code: one.inner }, allowance: mm(2) }] : undefined,
          outside: one.outside,
        },
        glazing: { code: one.glazing },
        backing: { code: one.backing },
        mountBoard: one.mountBoard ? { code: one.mountBoard } : undefined,
        mount: one.mount,
        hanging: { rings: one.rings, slack: one.slack, by: one.by },
        scope: one.scope,
        count: one.count,
        discount: one.discount ? { amount: one.discount, reason: 'test', by: 'test' } : undefined,
      } as Design);
    });
};
export const anyDesign = fc.oneof(...BUILD_CODES.map(designOf));
