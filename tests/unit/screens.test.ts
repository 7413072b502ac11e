/** Screens that face the customer: what is put on one, what it shows and hears, and that it is let in to nothing else. */
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { ShownView } from '@/contract/shown-view';
import { inches } from '@/core/units/length';
import { SHOWN_FOR, heardBy } from '@/server/screens';
import { type Served, served } from '../served';
import { type Stocked, must, stocked, stockedDesign } from '../stocked';

let shop: Stocked;
let web: Served;
let screen: string;
let other: string;
beforeAll(async () => {
  shop = await stocked();
  web = served(shop.app);
  [screen, other] = [crypto.randomUUID(), crypto.randomUUID()];
  await must(shop.app.command('add-staff', { id: screen, name: 'Window', pin: '7531', role: 'view' }));
  await must(shop.app.command('add-staff', { id: other, name: 'Door', pin: '7532', role: 'view' }));
  await must(shop.app.command('add-staff', { id: crypto.randomUUID(), name: 'Wen', pin: '9417', role: 'bench' }));
  await must(shop.app.command('add-staff', { id: crypto.randomUUID(), name: 'Oda', pin: '8520', role: 'counter' }));
});
beforeEach(async () => {
  shop.app.mind.shown.clear();
  await web.signOut();
});
const desk = () => web.signIn('Ada', '1357');
const window = () => web.signIn('Window', '7531');
const shows = async (at = 'mine') => (await web.ask('GET', `/api/view/${at}`)).body as ShownView;
const putOn = (order: string, piece: string | null, at = screen) => web.ask('PUT', `/api/view/${at}`, { order, piece });
const titled = (title: string, more = {}) => {
  const design = stockedDesign();
  return { ...design, piece: { ...design.piece, title }, ...more };
};
const keysOf = (value: unknown): string[] =>
  typeof value === 'object' && value !== null
    ? [...(Array.isArray(value) ? [] : Object.keys(value)), ...Object.values(value).flatMap(keysOf)]
    : [];

describe('a screen', () => {
  it('shows nothing until something is put on it, then that order with its prices and no cost', async () => {
    const { orderId, pieces } = await shop.quote([
      titled('Blue boat', { insists: 'Call about the red edge' }),
      titled('Gull'),
    ]);
    await window();
    expect((await shows()).order).toBeNull();
    await desk();
    expect((await putOn(orderId, pieces[0]!.id)).status).toBe(200);
    await window();
    const { order } = await shows();
    const saved = await shop.viewOf(orderId);
    expect(order).toMatchObject({ number: saved.number, agreed: false, promised: saved.promised });
    expect(order!.pieces.map(({ title, here, designs }) => [title, here, designs.length])).toEqual([
      ['Blue boat', true, 1],
      ['Gull', false, 0],
    ]);
    const sum = order!.pieces.reduce((all, { price }) => all + price!, 0);
    expect(order!.price!.pieces).toBe(sum);
    expect(order!.price!.total).toBe(sum + order!.price!.tax.reduce((all, { amount }) => all + amount, 0));
    const told = keysOf(order).filter((key) =>
      ['cost', 'margin', 'markup', 'labourPerHour', 'phone', 'customer', 'insists', 'minutes', 'rates'].includes(key),
    );
    expect(told).toEqual([]);
    expect(JSON.stringify(order)).not.toContain('red edge');
  });

  it('follows what is typed at that desk and not saved, and goes to the piece that is spoken of', async () => {
    const { orderId, pieces } = await shop.quote([titled('Blue boat'), titled('Gull')]);
    await desk();
    await putOn(orderId, pieces[1]!.id);
    const saved = await shop.viewOf(orderId);
    const typed = {
      orderId,
      customer: { id: saved.customer.id, name: saved.customer.name, phone: '', email: '' },
      promised: '2031-07-01',
      pieces: saved.pieces.map(({ id, design }) => ({
        id,
        design: { ...design, piece: { ...design.piece, width: inches(20), title: 'As typed' } },
        typed: {},
      })),
    };
    const kept = await web.ask('PUT', `/api/drafts/${orderId}`, { version: 3, base: saved.revision, draft: typed });
    expect(kept.status).toBe(200);
    await window();
    const { order } = await shows();
    expect(order!.promised).toBe('2031-07-01');
    expect(order!.pieces.map(({ title, here }) => [title, here])).toEqual([
      ['As typed', false],
      ['As typed', true],
    ]);
    expect(order!.pieces[1]!.designs[0]!.told).toContain('20 × ');
  });

  it('says of a piece that nobody measured yet that it has no price, and gives no sum', async () => {
    await desk();
    const piece = crypto.randomUUID();
    const draft = {
      orderId: crypto.randomUUID(),
      customer: null,
      promised: '2031-07-01',
      pieces: [{ id: piece, design: titled('New'), typed: { 'piece.width': '', 'piece.height': '' } }],
    };
    await web.ask('PUT', '/api/drafts/new', { version: 1, base: null, draft });
    await putOn('new', piece);
    await window();
    expect((await shows()).order).toMatchObject({
      number: null,
      price: null,
      pieces: [{ id: piece, price: null, designs: [] }],
    });
  });

  it('shows the designs of a piece beside one another, the chosen one marked', async () => {
    const plain = titled('Compared');
    const { orderId, pieces, customerId } = await shop.quote([plain]);
    const wide = { ...plain, border: { mode: 'equal' as const, all: inches(4) } };
    await must(
      shop.app.command('save-quote', {
        orderId,
        revision: 1,
        customerId,
        promised: '2031-12-15',
        pieces: [{ ...pieces[0]!, letter: 'B', design: wide, others: [{ letter: 'A', design: plain }] }],
      }),
    );
    await desk();
    await putOn(orderId, pieces[0]!.id);
    await window();
    const { designs } = (await shows()).order!.pieces[0]!;
    expect(designs.map(({ letter, chosen }) => [letter, chosen])).toEqual([
      ['A', false],
      ['B', true],
    ]);
    expect(designs[1]!.price).toBeGreaterThan(designs[0]!.price!);
  });

  it('is empty again when it is taken off, when the desk is quiet too long, and after what somebody else put on stays', async () => {
    const { orderId, pieces } = await shop.quote([titled('Blue boat')]);
    await desk();
    await putOn(orderId, pieces[0]!.id);
    await web.signIn('Oda', '8520');
    // Not hers: it stays.
    await putOn(orderId, null);
    await window();
    expect((await shows()).order).not.toBeNull();
    await desk();
    await putOn('new', null);
    expect((await shows(screen)).order).not.toBeNull();
    await putOn(orderId, null);
    expect((await shows(screen)).order).toBeNull();
    await putOn(orderId, pieces[0]!.id);
    shop.app.mind.shown.set(screen, {
      ...shop.app.mind.shown.get(screen)!,
      at: shop.app.clock.now().getTime() - SHOWN_FOR - 1,
    });
    expect((await shows(screen)).order).toBeNull();
  });

  it('of one’s own is a second window; another person’s is not there', async () => {
    const { orderId, pieces } = await shop.quote([titled('Blue boat')]);
    await desk();
    await putOn(orderId, pieces[0]!.id, 'mine');
    expect((await shows()).order!.pieces[0]!.title).toBe('Blue boat');
    await web.signIn('Oda', '8520');
    expect((await shows()).order).toBeNull();
    for (const named of [crypto.randomUUID(), 'nonsense', shop.app.owner.id, '__proto__'])
      expect([named, (await web.ask('GET', `/api/view/${named}`)).status]).toEqual([named, 404]);
    expect((await putOn(orderId, pieces[0]!.id, crypto.randomUUID())).status).toBe(404);
    await window();
    expect((await web.ask('GET', `/api/view/${other}`)).status).toBe(404);
    expect((await web.ask('GET', `/api/view/${screen}`)).status).toBe(200);
  });

  it('is refused what is not an order and a piece, and cannot put anything on itself', async () => {
    await desk();
    for (const body of [{}, { order: 'x', piece: null }, { order: 'new', piece: 'x' }, [], null, 'new'])
      expect((await web.ask('PUT', `/api/view/${screen}`, body)).status).toBe(400);
    await window();
    expect((await putOn('new', crypto.randomUUID(), 'mine')).status).toBe(403);
  });

  it('hears that its own order was changed, and nothing else of the shop', async () => {
    const { orderId, pieces } = await shop.quote([titled('Blue boat')]);
    await desk();
    await putOn(orderId, pieces[0]!.id);
    const hears = (...touched: string[]) => heardBy(shop.app, screen, { what: 'save-quote', touched });
    const own = { what: 'shown', touched: [`shown:${screen}`] };
    expect(hears(`order:${orderId}`, 'job:secret')).toEqual(own);
    expect(hears(`shown:${screen}`)).toEqual(own);
    expect(hears(`shown:${other}`)).toBeUndefined();
    expect(hears('order:another', 'rack', 'till')).toBeUndefined();
  });

  it('reads no photo but those of its order, and computes nothing', async () => {
    await window();
    for (const path of [
      `/api/photos/${'a'.repeat(64)}`,
      '/api/find?what=all&text=a',
      '/api/orders/2401',
      '/api/screens',
    ])
      expect([path, (await web.ask('GET', path)).status]).toEqual([path, 403]);
    expect((await web.ask('GET', `/api/view/mine/${'a'.repeat(64)}`)).status).toBe(404);
    const design = await web.ask('POST', '/api/v1/work-out', { width: '10 in', height: '8 in' });
    expect(design.status).toBe(403);
  });
});
