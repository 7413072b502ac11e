import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue, exampleDesign, shopView, prices } from '../../../tests/shop';
import type { OrderView } from '@/contract/views';
import { apply, begin, change, redo, undo } from '@/core/design/edit';
import { freeze, givenIn, resolve, thaw } from '@/core/design/resolve';
import type { Unit } from '@/core/units/length';
import {
  type Draft,
  commitLength,
  draftOf,
  lengthAt,
  newDraft,
  sameDraft,
  typeLength,
  typedIssue,
  unread,
} from './draft';

const shop = { ...shopView, defaults: { ...shopView.defaults, moulding: 'NOT-HERE' } };
const WIDTH = ['piece', 'width'];
const draft = (): Draft => ({
  orderId: 'o',
  customer: null,
  promised: '2031-05-05',
  pieces: [{ id: 'p', design: exampleDesign(), typed: {} }],
});
const type = (from: Draft, path: readonly string[], text: string, unit: Unit = 'in') =>
  apply(from, typeLength(from, 0, path, text, unit));
const leave = (from: Draft, path: readonly string[], unit: Unit = 'in') =>
  apply(from, commitLength(from, 0, path, unit));

describe('typing at the desk', () => {
  it('starts unmeasured, with the first moulding when the usual one is gone', () => {
    const fresh = newDraft(shop, '2031-05-05');
    expect(fresh.pieces[0]!.design.frame.moulding).toEqual({ code: 'M1' });
    expect(unread(fresh.pieces[0]!, 'in').sort()).toEqual(['piece.height', 'piece.width']);
    expect(typedIssue(fresh.pieces[0]!, WIDTH, 'in')).toBeUndefined();
  });

  it('keeps the text, takes the value only when it is a length, and says what is wrong', () => {
    const typed = type(draft(), WIDTH, '10 3/8');
    expect([lengthAt(typed.pieces[0]!, WIDTH), typed.pieces[0]!.typed['piece.width']]).toEqual([84_328, '10 3/8']);
    const broken = type(typed, WIDTH, '10 3');
    expect([lengthAt(broken.pieces[0]!, WIDTH), typedIssue(broken.pieces[0]!, WIDTH, 'in')?.code]).toEqual([
      84_328,
      'length-two-numbers',
    ]);
    expect(leave(broken, WIDTH)).toBe(broken);
    expect(leave(typed, WIDTH).pieces[0]!.typed).toEqual({});
  });

  it('fills both sides from one field, with the unit that was written', () => {
    const { piece } = type(draft(), WIDTH, '300 x 420 mm').pieces[0]!.design;
    expect([piece.width, piece.height]).toEqual([96_000, 134_400]);
    expect(type(draft(), ['piece', 'height'], '12 x 16').pieces[0]!.design.piece.height).toBe(16 * 8128);
  });

  it('takes both sides key by key, with no complaint on the way, and keeps the text until the field is left', () => {
    let typed = draft();
    for (let keys = 1; keys <= '12 x 16 1/2'.length; keys += 1) {
      const text = '12 x 16 1/2'.slice(0, keys);
      typed = type(typed, WIDTH, text);
      expect(typed.pieces[0]!.typed['piece.width']).toBe(text);
      if (!/ 1\/?$/.test(text)) expect([text, typedIssue(typed.pieces[0]!, WIDTH, 'in')]).toEqual([text, undefined]);
    }
    expect([typed.pieces[0]!.design.piece.width, typed.pieces[0]!.design.piece.height]).toEqual([
      12 * 8128,
      16.5 * 8128,
    ]);
    expect(unread(typed.pieces[0]!, 'in')).toEqual([]);
    expect(leave(typed, WIDTH).pieces[0]!.typed['piece.width']).toBeUndefined();
    const later = type(leave(typed, WIDTH), WIDTH, '9');
    expect(later.pieces[0]!.design.piece.height).toBe(16.5 * 8128);
  });

  it('lets a reveal be nothing, but not a size', () => {
    const mats = [...exampleDesign().mats, ...exampleDesign().mats];
    const two = { ...draft(), pieces: [{ id: 'p', design: exampleDesign({ mats }), typed: {} }] };
    expect(
      typedIssue(type(two, ['mats', '1', 'reveal'], '0').pieces[0]!, ['mats', '1', 'reveal'], 'in'),
    ).toBeUndefined();
    expect(typedIssue(type(two, WIDTH, '0').pieces[0]!, WIDTH, 'in')?.code).toBe('length-zero');
  });

  it('undoes a typed number as one step, and any sequence of typing back to its start', () => {
    const texts = fc.array(
      fc.tuple(
        fc.constantFrom(WIDTH, ['piece', 'height'], ['window', 'overlap']),
        fc.string({ unit: fc.constantFrom(...'0123456789 /x.'), maxLength: 6 }),
      ),
      { maxLength: 15 },
    );
    fc.assert(
      fc.property(texts, (all) => {
        const start = draft();
        let history = begin(start);
        for (const [path, text] of all) history = change(history, typeLength(history.now, 0, path, text, 'in'), true);
        const end = history.now;
        while (history.past.length > 0) history = undo(history);
        expect(history.now).toEqual(start);
        while (history.future.length > 0) history = redo(history);
        expect(history.now).toEqual(end);
      }),
      { seed: 51 },
    );
    let history = begin(draft());
    for (const text of ['1', '12', '12 ', '12 1', '12 1/', '12 1/2'])
      history = change(history, typeLength(history.now, 0, WIDTH, text, 'in'), true);
    expect(history.past).toHaveLength(1);
  });
});

describe('drafts and orders', () => {
  const order = (design = exampleDesign()): OrderView => ({
    id: 'o',
    number: 2401,
    state: 'quoted',
    revision: 1,
    promised: '2031-05-05',
    quoteUntil: '2031-06-05',
    edition: 1,
    held: false,
    expired: false,
    customer: { id: 'c', name: 'Bo', phone: '', email: '' },
    wall: null,
    pictures: {},
    care: {},
    pieces: [{ id: 'p', design, agreed: null }],
    agreed: null,
    payments: [],
    paid: 0,
    owedBack: 0,
    balance: 0,
    received: { cash: 0, card: 0, bank: 0, vouchers: 0 },
    due: null,
    terms: { days: null, limit: null },
    begun: {},
    kept: [],
    openCards: [],
    afterwards: {},
    jobs: [],
  });

  it('are the same when they say the same, whatever the order of keys and texts left in fields', () => {
    const theirs = draftOf(order());
    const { piece, ...rest } = exampleDesign();
    const mine: Draft = {
      ...theirs,
      customer: { ...theirs.customer!, orders: 3 },
      pieces: [{ id: 'p', design: { ...rest, piece: { ...piece } }, typed: { 'piece.width': '12' } }],
    };
    expect(sameDraft(mine, theirs, 'in')).toBe(true);
    expect(sameDraft({ ...mine, promised: '2031-05-06' }, theirs, 'in')).toBe(false);
    expect(
      sameDraft({ ...mine, pieces: [{ ...mine.pieces[0]!, typed: { 'piece.width': '12 3' } }] }, theirs, 'in'),
    ).toBe(false);
  });

  it('freeze holds every material by its figures, thaw goes back to the codes', () => {
    const design = exampleDesign();
    const resolved = resolve(design, catalogue);
    const frozen = resolved.ok ? freeze(resolved.value, prices.groups) : design;
    expect(givenIn(frozen)).toHaveLength(4);
    expect(
      resolve(frozen, {
        mouldings: new Map(),
        mats: new Map(),
        glazings: new Map(),
        backings: new Map(),
        readyMades: new Map(),
      }).ok,
    ).toBe(true);
    expect(thaw(frozen)).toEqual(design);
    expect(thaw(design)).toEqual(design);
  });
});
