import { describe, expect, it } from 'vitest';
import type { KeptDraftView, OrderView } from '@/contract/views';
import { begin, change, set, undo } from '@/core/design/edit';
import { inches } from '@/core/units/length';
import { exampleDesign, shopView } from '../../../tests/shop';
import { activeOf, committed, edited, firstState, moved, withBrowser } from './desk-state';
import { type Draft, commitLength, newDraft, typeLength } from './draft';
import type { Kept } from './keep';

const fresh = newDraft(shopView, '2031-05-05');
const titled = (draft: Draft, title: string): Draft => ({
  ...draft,
  pieces: draft.pieces.map((piece) => ({
    ...piece,
    typed: {},
    design: { ...piece.design, piece: { ...piece.design.piece, title } },
  })),
});
const titleOf = (draft: Draft) => draft.pieces[0]!.design.piece.title;
const mine = (version: number, title: string, base: number | null = null): KeptDraftView => ({
  version,
  base,
  draft: titled(fresh, title),
});
const here = (version: number, title: string, base: number | null = null): Kept => ({
  history: begin(titled(fresh, title)),
  active: 0,
  base,
  version,
});
const order: OrderView = {
  id: fresh.orderId,
  number: 2401,
  state: 'quoted',
  revision: 3,
  promised: '2031-05-19',
  quoteUntil: '2031-06-05',
  edition: 1,
  held: false,
  expired: false,
  customer: { id: 'c', name: 'Bo', phone: '', email: '' },
  wall: null,
  pictures: {},
  care: {},
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
  pieces: [{ id: 'p', design: exampleDesign(), agreed: null }],
};

describe('what the desk begins with', () => {
  it('is what the server keeps, else the order, else a new one', () => {
    expect(titleOf(firstState(null, mine(4, 'kept'), fresh).history.now)).toBe('kept');
    expect(firstState(order, null, fresh)).toMatchObject({ base: 3, version: 0, stale: false });
    expect(firstState(null, null, fresh).history.now).toBe(fresh);
  });

  it('is stale where the order went on since it was typed', () => {
    expect(firstState(order, mine(2, 'typed', 3), fresh).stale).toBe(false);
    expect(firstState(order, mine(2, 'typed', 2), fresh).stale).toBe(true);
  });
});

describe('what the browser adds', () => {
  const server = firstState(null, mine(4, 'server'), fresh);
  it('wins when it is as new or newer', () => {
    expect(titleOf(withBrowser(server, here(5, 'here'), null, 'in').history.now)).toBe('here');
    expect(titleOf(withBrowser(server, here(4, 'here'), null, 'in').history.now)).toBe('here');
  });
  it('is kept aside and said when it is older and says something else', () => {
    const state = withBrowser(server, here(3, 'older'), null, 'in');
    expect([titleOf(state.history.now), state.other && titleOf(state.other.history.now)]).toEqual(['server', 'older']);
  });
  it('changes nothing when it is older and says the same, or is not there', () => {
    expect(withBrowser(server, here(3, 'server'), null, 'in')).toBe(server);
    expect(withBrowser(server, undefined, null, 'in')).toBe(server);
  });
});

describe('a change', () => {
  it('counts a version only when something changed, and undo is one as well', () => {
    const start = firstState(null, null, fresh);
    const same = edited(start, () => [], false);
    expect(same).toBe(start);
    const next = edited(start, (draft) => set(draft, ['promised'], '2031-06-01'), false);
    expect([next.version, next.history.now.promised]).toEqual([1, '2031-06-01']);
    const back = moved(next, undo(next.history));
    expect([back.version, back.history.now.promised]).toEqual([2, fresh.promised]);
    expect(moved(back, undo(back.history))).toBe(back);
  });
  it('is made in the last piece when the one that was shown is gone', () => {
    const two = { ...fresh, pieces: [...fresh.pieces, ...newDraft(shopView, '2031-05-05').pieces] };
    const state = { ...firstState(null, null, two), active: 1 };
    expect(activeOf(state)).toBe(1);
    const history = change(state.history, set(two, ['pieces'], two.pieces.slice(0, 1)), false);
    expect(activeOf({ ...state, history })).toBe(0);
  });
});

describe('a text that leaves its field', () => {
  const WIDTH = ['piece', 'width'];
  const start = firstState(order, null, fresh);
  const typed = edited(start, (now, index) => typeLength(now, index, WIDTH, '10', 'in'), true);

  it('changes nothing of an order that was saved while it stood there', () => {
    const saved = { ...typed, saved: typed.history.now };
    const left = committed(saved, (now, index) => commitLength(now, index, WIDTH, 'in'));
    expect(left.history.now.pieces[0]!.typed).toEqual({});
    expect([left.saved === left.history.now, left.version]).toEqual([true, saved.version]);
  });

  it('leaves one that was not saved as it is: changed', () => {
    const left = committed(typed, (now, index) => commitLength(now, index, WIDTH, 'in'));
    expect(left.history.now.pieces[0]!.design.piece.width).toBe(inches(10));
    expect([left.saved === left.history.now, left.version]).toEqual([false, typed.version + 1]);
    expect(committed(left, () => [])).toBe(left);
  });
});
