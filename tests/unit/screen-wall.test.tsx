// @vitest-environment happy-dom
/** The frames of an order on their wall: its colour, something beside them, each moved by keys and by hand, kept with the order. */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { ShopView } from '@/contract/views';
import { inches } from '@/core/units/length';
import { DeskScreen } from '@/features/desk/desk';
import { newDraft } from '@/features/desk/draft';
import { meanColour } from '@/features/desk/photo-colour';
import { setCardPaper } from '@/server/papers/set-card';
import { shopView } from '@/server/views';
import { paperPages } from '../pdf';
import { press, shopOfFile, show } from '../screens';
import { codes, must, stockedDesign } from '../stocked';

const shop = shopOfFile();
let view: ShopView;
beforeEach(async () => {
  view = (await shopView(shop().app.viewer()))!;
  Object.defineProperty(window, 'matchMedia', { value: () => ({ matches: false }), configurable: true });
  for (const [key, value] of [
    ['clientWidth', 980],
    ['clientHeight', 620],
  ] as const)
    Object.defineProperty(HTMLElement.prototype, key, { value, configurable: true });
});
const small = () => {
  const design = stockedDesign();
  return { ...design, piece: { ...design.piece, width: inches(5), height: inches(7), title: 'Small one' } };
};
async function hungOrder() {
  const payload = await shop().quote([stockedDesign(), small(), stockedDesign()]);
  const order = await shop().viewOf(payload.orderId);
  show(<DeskScreen order={order} who="ada" mine={null} shop={view} fresh={newDraft(view, '2031-05-05')} />);
  fireEvent.keyDown(document.body, { key: 'w' });
  await screen.findByRole('heading', { name: 'On the wall' });
  return payload;
}
const frame = (name: RegExp) => screen.getByRole('button', { name });
const save = () => fireEvent.keyDown(document.body, { key: 's', ctrlKey: true });

describe('on the wall', () => {
  it('hangs every piece with its hook over the floor, moved by keys, and undone', async () => {
    await hungOrder();
    // 57 + 14 1/4 / 2 − what the wire's peak lies below the top.
    const before = await screen.findByRole('button', { name: /^Small one: hook/ });
    const label = before.getAttribute('aria-label')!;
    for (let step = 0; step < 4; step += 1) fireEvent.keyDown(frame(/^Small one: hook/), { key: 'ArrowUp' });
    const figure = (text: string) => Number(/hook (\d+)/.exec(text)![1]);
    await waitFor(() => expect(figure(frame(/^Small one: hook/).getAttribute('aria-label')!)).toBe(figure(label) + 2));
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    await waitFor(() => expect(frame(/^Small one: hook/).getAttribute('aria-label')).toBe(label));
  });

  it('is moved by hand: on the screen while it is held, in the order where it is let go', async () => {
    await hungOrder();
    const held = await screen.findByRole('button', { name: /^Small one: hook/ });
    held.setPointerCapture = () => undefined;
    const left = held.style.left;
    fireEvent.pointerDown(held, { clientX: 100, clientY: 100, pointerId: 1 });
    fireEvent.pointerMove(held, { clientX: 150, clientY: 80, pointerId: 1 });
    await waitFor(() => expect(held.style.transform).toBe('translate(50px, -20px)'));
    expect(held.style.left).toBe(left);
    fireEvent.pointerUp(held, { clientX: 150, clientY: 80, pointerId: 1 });
    await waitFor(() => expect(frame(/^Small one: hook/).style.left).not.toBe(left));
    expect(frame(/^Small one: hook/).style.transform).toBe('');
  });

  it('keeps colour, what stands beside and where each hangs with the order, and prints the card of the set', async () => {
    const payload = await hungOrder();
    press('Wall #c8cfc6');
    press('Sofa');
    screen.getByRole('img', { name: 'Sofa' });
    fireEvent.keyDown(frame(/^Small one: hook/), { key: 'ArrowUp' });
    press('Even gaps');
    save();
    await waitFor(async () => expect((await shop().viewOf(payload.orderId)).wall?.thing).toBe('sofa'));
    const order = await shop().viewOf(payload.orderId);
    expect(order.wall!.colour).toBe('#c8cfc6');
    expect(order.wall!.hung!.map(({ id }) => id)).toEqual(payload.pieces.map(({ id }) => id));
    const text = (await paperPages(await setCardPaper(order, view, 'in', new Map())))
      .map((page) => page.text)
      .join(' ');
    for (const said of [
      'Where it hangs',
      String(order.number),
      'Small one',
      'Hook over the floor',
      'From the left edge',
    ])
      expect(text).toContain(said);
    // The first hangs with its middle half of its own width from the left edge: 18 7/8 ÷ 2.
    expect(text).toContain('9 7⁄16');
    press('In a row');
    save();
    await waitFor(async () =>
      expect(new Set((await shop().viewOf(payload.orderId)).wall!.hung!.map(({ y }) => y)).size).toBe(1),
    );
  });
});

describe('a wall that comes to the door', () => {
  it.each([
    ['a colour that is none', { colour: 'url(x)' }],
    ['a thing that nobody draws', { thing: 'elephant' }],
    ['a place that is no length', { hung: [{ id: crypto.randomUUID(), x: 1.5, y: 0 }] }],
    ['a thousand frames', { hung: Array.from({ length: 1000 }, () => ({ id: crypto.randomUUID(), x: 0, y: 0 })) }],
  ])('with %s is refused', async (_name, wall) => {
    const payload = await shop().quote();
    const answer = await shop().app.command('save-quote', { ...payload, revision: 1, wall: wall as never });
    expect(codes(answer)).toMatch(/^input-wrong/);
  });

  it('is left as it was by a quote that does not speak of it', async () => {
    const payload = await shop().quote();
    await must(shop().app.command('save-quote', { ...payload, revision: 1, wall: { thing: 'door' } }));
    await must(shop().app.command('save-quote', { ...payload, revision: 2 }));
    expect((await shop().viewOf(payload.orderId)).wall).toEqual({ thing: 'door' });
  });
});

describe('a colour from a photo', () => {
  it('is the mean round the place, within the picture', () => {
    const width = 20;
    const data = new Uint8ClampedArray(width * width * 4);
    for (let at = 0; at < width * width; at += 1) data.set([at % width < 10 ? 200 : 100, 50, 25, 255], at * 4);
    const of = (x: number, y: number) => meanColour({ data, width, height: width }, x, y);
    expect(of(0, 0)).toBe('#c83219');
    expect(of(19, 19)).toBe('#643219');
    // Columns 6 to 14: four of 200, five of 100.
    expect(of(10, 10)).toBe(`#${Math.round((4 * 200 + 5 * 100) / 9).toString(16)}3219`);
  });
});
