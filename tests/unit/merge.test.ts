/** An order changed by two people at once: nothing of either is lost, and what both changed is said. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sameValue } from '@/core/design/edit';
import { decided, mergedWith } from '@/core/design/merge';
import { inches } from '@/core/units/length';
import { stockedDesign } from '../stocked';

const design = stockedDesign();
const piece = (id: string, more = {}) => ({ id, design: { ...design, ...more }, typed: {} as Record<string, string> });
const order = (more = {}) => ({
  promised: '2031-05-01',
  customer: { id: 'c', name: 'Orla' },
  pieces: [piece('a'), piece('b')],
  ...more,
});
const paths = (parted: readonly { path: readonly (string | number)[] }[]) => parted.map(({ path }) => path.join('.'));

describe('two who change one order', () => {
  it('each keep what only they changed', () => {
    const mine = order({ pieces: [piece('a', { insists: 'Mine' }), piece('b')] });
    const theirs = order({ promised: '2031-06-01', pieces: [piece('a', { glazing: { code: 'ACR' } }), piece('b')] });
    const { value, conflicts, taken } = mergedWith(order(), mine, theirs);
    expect(conflicts).toEqual([]);
    expect(value.promised).toBe('2031-06-01');
    expect(value.pieces[0]!.design).toMatchObject({ insists: 'Mine', glazing: { code: 'ACR' } });
    expect(paths(taken).sort()).toEqual(['pieces.a.design.glazing', 'promised']);
  });

  it('are told of a field that both changed, which stays as it is here until it is decided', () => {
    const wide = (value: number) => ({ border: { mode: 'equal', all: inches(value) } });
    const mine = order({ pieces: [piece('a', { ...wide(3), insists: 'Mine' }), piece('b')] });
    const theirs = order({ pieces: [piece('b'), piece('a', wide(4))] });
    const { value, conflicts } = mergedWith(order(), mine, theirs);
    expect(conflicts).toEqual([
      {
        path: ['pieces', 'a', 'design', 'border'],
        mine: { mode: 'equal', all: inches(3) },
        theirs: { mode: 'equal', all: inches(4) },
      },
    ]);
    expect(value.pieces.map(({ id }) => id)).toEqual(['a', 'b']);
    const after = decided(value, conflicts);
    expect(after.pieces[0]!.design).toMatchObject({ border: { all: inches(4) }, insists: 'Mine' });
    expect(decided(value, [])).toBe(value);
  });

  it('look into the piece, its frame and its hanging, and not into a border or a window', () => {
    const mine = order({ pieces: [piece('a', { piece: { ...design.piece, title: 'Mine' } }), piece('b')] });
    const theirs = order({
      pieces: [piece('a', { piece: { ...design.piece, title: 'Theirs', width: inches(20) } }), piece('b')],
    });
    const { value, conflicts } = mergedWith(order(), mine, theirs);
    expect(paths(conflicts)).toEqual(['pieces.a.design.piece.title']);
    expect(value.pieces[0]!.design.piece).toMatchObject({ title: 'Mine', width: inches(20) });
  });

  it('add pieces each; a piece that one took out is gone unless the other went on with it', () => {
    const base = order();
    const mine = order({ pieces: [piece('a'), piece('mine')] });
    const theirs = order({ pieces: [piece('a'), piece('b', { insists: 'Went on' }), piece('theirs')] });
    expect(mergedWith(base, mine, theirs).value.pieces.map(({ id }) => id)).toEqual(['a', 'mine', 'b', 'theirs']);
    const untouched = order({ pieces: [piece('a'), piece('b'), piece('theirs')] });
    expect(mergedWith(base, mine, untouched).value.pieces.map(({ id }) => id)).toEqual(['a', 'mine', 'theirs']);
    const typing = order({ pieces: [piece('a'), { ...piece('b'), typed: { 'piece.width': '1' } }] });
    expect(mergedWith(base, typing, order({ pieces: [piece('a')] })).value.pieces.map(({ id }) => id)).toEqual(['a']);
  });

  it('see a piece as one where its chosen design is another', () => {
    const other = { letter: 'B', others: [{ letter: 'A', design }] };
    const mine = order({ pieces: [piece('a', { insists: 'Mine' }), piece('b')] });
    const theirs = order({ pieces: [{ ...piece('a'), ...other }, piece('b')] });
    const { value, conflicts } = mergedWith(order(), mine, theirs);
    expect(paths(conflicts)).toEqual(['pieces.a']);
    expect(value.pieces[0]).toEqual(mine.pieces[0]);
    expect(decided(value, conflicts).pieces[0]).toMatchObject(other);
    expect(mergedWith(order(), order(), theirs).value.pieces[0]).toMatchObject(other);
  });

  it('see a name that both changed once, however many designs share it, and what only one changed of those', () => {
    const named = (title: string, more = {}) => ({ ...design, piece: { ...design.piece, title }, ...more });
    const compared = (title: string, glazing: string, insists = '') => ({
      id: 'a',
      letter: 'A',
      design: named(title, { insists }),
      others: [{ letter: 'B', design: named(title, { glazing: { code: glazing }, insists }) }],
      typed: {},
    });
    const base = order({ pieces: [compared('', 'GL-CLEAR')] });
    const mine = order({ pieces: [compared('Mine', 'GL-CLEAR')] });
    const theirs = order({ pieces: [compared('Theirs', 'GL-UV', 'No wax')] });
    const { value, conflicts, taken } = mergedWith(base, mine, theirs);
    expect(paths(conflicts)).toEqual(['pieces.a.design.piece.title']);
    expect(paths(taken).sort()).toEqual(['pieces.a.design.insists', 'pieces.a.others']);
    const both = (one: typeof value) =>
      [one.pieces[0]!.design, (one.pieces[0] as ReturnType<typeof compared>).others[0]!.design].map((of) => [
        of.piece.title,
        of.insists,
      ]);
    expect(both(value)).toEqual(Array.from({ length: 2 }, () => ['Mine', 'No wax']));
    expect((value.pieces[0] as ReturnType<typeof compared>).others[0]!.design.glazing).toEqual({ code: 'GL-UV' });
    expect(both(decided(value, conflicts))).toEqual(Array.from({ length: 2 }, () => ['Theirs', 'No wax']));
  });

  it('never end with no piece at all', () => {
    const one = order({ pieces: [piece('a')] });
    const other = order({ pieces: [piece('b')] });
    const { value } = mergedWith(order(), one, other);
    expect(value.pieces.map(({ id }) => id)).toEqual(['a']);
  });

  it('keep what is being typed here', () => {
    const mine = order({ pieces: [{ ...piece('a'), typed: { 'piece.width': '12 3/' } }, piece('b')] });
    expect(mergedWith(order(), mine, order({ promised: '2031-07-01' })).value.pieces[0]!.typed).toEqual({
      'piece.width': '12 3/',
    });
  });

  it('see every difference where nobody knows what both began from', () => {
    const mine = order({ pieces: [piece('a', { insists: 'Mine' }), piece('b')] });
    const { conflicts, taken } = mergedWith(undefined, mine, order({ promised: '2031-06-01' }));
    expect(paths(conflicts).sort()).toEqual(['pieces.a.design.insists', 'promised']);
    expect(taken).toEqual([]);
  });

  it('come to the same whatever it is, when only one of them changed anything', () => {
    const change = fc.record({
      promised: fc.constantFrom('2031-05-01', '2031-06-01', '2031-07-01'),
      insists: fc.constantFrom('', 'x', 'y'),
      title: fc.constantFrom('', 'Blue', 'Red'),
      sides: fc.constantFrom(undefined, 6),
      second: fc.boolean(),
    });
    const made = ({
      promised,
      insists,
      title,
      sides,
      second,
    }: typeof change extends fc.Arbitrary<infer T> ? T : never) =>
      order({
        promised,
        pieces: [
          piece('a', {
            insists,
            piece: { ...design.piece, title },
            frame: { ...design.frame, ...(sides ? { sides } : {}) },
          }),
          ...(second ? [piece('b')] : []),
        ],
      });
    fc.assert(
      fc.property(change, change, change, (from, one, two) => {
        const [base, mine, theirs] = [made(from), made(one), made(two)];
        expect(sameValue(mergedWith(base, mine, base).value, mine)).toBe(true);
        expect(sameValue(mergedWith(base, base, theirs).value, theirs)).toBe(true);
        const { value, conflicts } = mergedWith(base, mine, theirs);
        // Brought together the other way round, and decided for the other, it says the same.
        const back = mergedWith(base, theirs, mine);
        expect(paths(back.conflicts).sort()).toEqual(paths(conflicts).sort());
        expect(sameValue(decided(back.value, back.conflicts), value)).toBe(true);
      }),
      { seed: 71, numRuns: 400 },
    );
  });
});
