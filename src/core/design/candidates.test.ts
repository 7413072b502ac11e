import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exampleDesign } from '../../../tests/shop';
import { inches } from '../units/length';
import {
  type Choosing,
  LETTERS,
  type Letter,
  chosen,
  compared,
  copied,
  declined,
  inAll,
  kept,
  letterOf,
  roomFor,
  takenBack,
  withMore,
  without,
} from './candidates';
import type { Design } from './design';
import { apply, invert, set } from './edit';

const wide = (border: number): Design => exampleDesign({ border: { mode: 'equal', all: inches(border) } });
const start = (): Choosing => ({ design: wide(2), typed: {} });
const letters = (piece: Choosing) =>
  compared(piece)
    .map(({ letter }) => letter)
    .join('');
const borderOf = ({ design: { border } }: Pick<Choosing, 'design'>) =>
  border.mode === 'equal' ? border.all / inches(1) : 0;

/** What hands do to the candidates of a piece. */
type Step =
  { readonly act: 'copy' | 'more' | 'keep' } | { readonly act: 'choose' | 'back' | 'drop'; readonly letter: Letter };
const step = fc.oneof(
  fc.record({ act: fc.constantFrom('copy' as const, 'more' as const, 'keep' as const) }),
  fc.record({
    act: fc.constantFrom('choose' as const, 'back' as const, 'drop' as const),
    letter: fc.constantFrom(...LETTERS),
  }),
);
const done = (piece: Choosing, one: Step, count: number): Choosing => {
  switch (one.act) {
    case 'copy':
      return copied(piece);
    case 'more':
      return withMore(piece, [wide(1 + (count % 5)), wide(2 + (count % 5))]);
    case 'keep':
      return kept(piece);
    case 'choose':
      return chosen(piece, one.letter);
    case 'back':
      return takenBack(piece, one.letter);
    case 'drop':
      return without(piece, one.letter);
  }
};

describe('candidates', () => {
  it('begin with one, which has the first letter', () => {
    expect([letters(start()), letterOf(start()), roomFor(start())]).toEqual(['A', 'A', 3]);
    expect([without(start(), 'A'), chosen(start(), 'B'), kept(start())].every((one) => one.others === undefined)).toBe(
      true,
    );
  });

  it('are copied, chosen, kept and taken back', () => {
    const two = copied(start());
    expect([letters(two), letterOf(two), borderOf(two)]).toEqual(['AB', 'B', 2]);
    const four = withMore(two, [wide(3), wide(4), wide(5)]);
    expect([letters(four), roomFor(four), letterOf(four)]).toEqual(['ABCD', 0, 'B']);
    const onC = chosen(four, 'C');
    expect([letterOf(onC), borderOf(onC), letters(onC)]).toEqual(['C', 3, 'ABCD']);
    const only = kept(onC);
    expect([
      letters(only),
      declined(only)
        .map(({ letter }) => letter)
        .join(''),
    ]).toEqual(['C', 'ABD']);
    const back = takenBack(only, 'D');
    expect([letters(back), borderOf(chosen(back, 'D'))]).toEqual(['CD', 4]);
    expect(chosen(only, 'D')).toBe(only);
  });

  it('keep letters apart, at most four compared, one worked on; whatever is done to them', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        let piece = start();
        for (const [count, one] of steps.entries()) {
          const before = piece;
          piece = done(piece, one, count);
          const all = [letterOf(piece), ...(piece.others ?? []).map(({ letter }) => letter)];
          expect(new Set(all).size).toBe(all.length);
          expect(all.length).toBeLessThanOrEqual(LETTERS.length);
          expect(compared(piece).length).toBeGreaterThanOrEqual(1);
          expect(compared(piece).length).toBeLessThanOrEqual(4);
          expect(compared(piece).some(({ letter }) => letter === letterOf(piece))).toBe(true);
          // Only taking one out loses a design.
          if (one.act !== 'drop') {
            const left = [piece.design, ...(piece.others ?? []).map(({ design }) => design)];
            for (const design of [before.design, ...(before.others ?? []).map((other) => other.design)])
              expect(left).toContain(design);
          }
        }
      }),
      { seed: 181, numRuns: 400 },
    );
  });

  it('choosing another and back is as it was, with what was typed in each', () => {
    const two = withMore({ ...start(), typed: { 'piece.width': '12 x', 'border.all': '2 1' } }, [wide(3)]);
    const there = chosen(two, 'B');
    // What is of the piece goes along; what is of the design stays with it.
    expect(there.typed).toEqual({ 'piece.width': '12 x' });
    const typed = { ...there, typed: { ...there.typed, 'border.all': '3 /' } };
    const back = chosen(typed, 'A');
    expect(back.typed).toEqual({ 'piece.width': '12 x', 'border.all': '2 1' });
    expect(chosen(back, 'B').typed).toEqual({ 'piece.width': '12 x', 'border.all': '3 /' });
    expect(back.design).toBe(two.design);
  });
});

describe('an edit of the piece itself', () => {
  it('is made in every design, declined ones too, and undone in all; one of the design only there', () => {
    const piece = kept(withMore(start(), [wide(3), wide(4)]));
    const draft = { pieces: [piece] };
    const width = inAll(draft, ['pieces', 0], set(draft, ['pieces', 0, 'design', 'piece', 'width'], inches(20)));
    const after = apply(draft, width);
    const all = (one: typeof draft) => [one.pieces[0]!.design, ...one.pieces[0]!.others!.map(({ design }) => design)];
    expect(all(after).map(({ piece: { width: w } }) => w)).toEqual([inches(20), inches(20), inches(20)]);
    expect(apply(after, invert(width))).toEqual(draft);
    const glass = inAll(draft, ['pieces', 0], set(draft, ['pieces', 0, 'design', 'glazing'], { code: 'X' }));
    expect(all(apply(draft, glass)).map(({ glazing }) => glazing)).toEqual([
      { code: 'X' },
      draft.pieces[0]!.others![0]!.design.glazing,
      draft.pieces[0]!.others![1]!.design.glazing,
    ]);
  });

  it('of another piece touches none of these', () => {
    const draft = { pieces: [copied(start()), start()] };
    const edit = set(draft, ['pieces', 1, 'design', 'insists'], 'x');
    expect(inAll(draft, ['pieces', 0], edit)).toEqual(edit);
  });
});
