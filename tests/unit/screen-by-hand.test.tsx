// @vitest-environment happy-dom
/** The mat moved by hand at the desk: layouts, windows by keys and by the mouse, edges and borders pulled, one step back each. */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { ShopView } from '@/contract/views';
import type { Design } from '@/core/design/design';
import { inches } from '@/core/units/length';
import { DeskScreen } from '@/features/desk/desk';
import { newDraft } from '@/features/desk/draft';
import { shopView } from '@/server/views';
import { choose, field, shopOfFile, show } from '../screens';
import { stockedDesign } from '../stocked';

const shop = shopOfFile();
let view: ShopView;
beforeEach(async () => {
  view = (await shopView(shop().app.viewer()))!;
  Object.defineProperty(window, 'matchMedia', { value: () => ({ matches: false }), configurable: true });
  HTMLElement.prototype.setPointerCapture = () => undefined;
  for (const [key, value] of [
    ['clientWidth', 700],
    ['clientHeight', 620],
  ] as const)
    Object.defineProperty(HTMLElement.prototype, key, { value, configurable: true });
});

/** 10 × 8 in an equal border of two inches, covered by an eighth: a window of 9 3/4 × 7 3/4. */
function plain(more: Partial<Design> = {}): Design {
  const design = stockedDesign();
  const piece = { ...design.piece, width: inches(10), height: inches(8) };
  return {
    ...design,
    piece,
    window: { overlap: inches(0, 1, 8) },
    border: { mode: 'equal', all: inches(2) },
    ...more,
  } as Design;
}
async function byHand(design: Design) {
  const payload = await shop().quote([design]);
  const order = await shop().viewOf(payload.orderId);
  show(<DeskScreen order={order} who="ada" mine={null} shop={view} fresh={newDraft(view, '2031-05-05')} />);
  fireEvent.keyDown(document.body, { key: 'h' });
  await screen.findByRole('heading', { name: 'Mat by hand' });
  return payload;
}
const part = (name: RegExp) => screen.getByRole('button', { name });
const label = (name: RegExp) => part(name).getAttribute('aria-label')!;
const arrow = (name: RegExp, key: string, times = 1, more = {}) => {
  for (let count = 0; count < times; count += 1) fireEvent.keyDown(part(name), { key: `Arrow${key}`, ...more });
};
const back = () => fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
const drag = (name: RegExp, x: number, y: number) => {
  const held = part(name);
  fireEvent.pointerDown(held, { clientX: 200, clientY: 200, pointerId: 1 });
  fireEvent.pointerUp(held, { clientX: 200 + x, clientY: 200 + y, pointerId: 1 });
};

describe('one window', () => {
  it('is pulled by its edges and becomes a part of the sheet, which is then moved under it', async () => {
    await byHand(plain());
    arrow(/^Left edge/, 'Right', 4);
    // Four sixteenths inwards.
    expect(label(/^Left edge/)).toContain('9 1/2 in');
    await screen.findByLabelText('From the left edge');
    expect(field('From the left edge').value).toBe('3/8');
    arrow(/^Part that is seen/, 'Left', 2, { shiftKey: true });
    // The picture moves left under the window: what is seen of it begins further to its right, as far as the sheet goes.
    expect(field('From the left edge').value).toBe('3/8');
    arrow(/^Part that is seen/, 'Right', 2);
    expect(field('From the left edge').value).toBe('1/4');
    expect(label(/^Left edge/)).toContain('9 1/2 in');
  });

  it('keeps an equal border equal, whichever side is pulled', async () => {
    await byHand(plain());
    arrow(/left border/, 'Left', 8);
    for (const side of ['left', 'right', 'upper', 'lower'])
      expect(label(new RegExp(`${side} border`))).toMatch(/^2 1\/2 in/);
    await screen.findByLabelText('Border');
    expect(field('Border').value).toBe('2 1/2');
  });

  it('has no border to pull where the mat is cut to a size, and nothing to move without a mat', async () => {
    await byHand(plain({ border: { mode: 'fit', package: { w: inches(14), h: inches(12) }, how: 'centred' } }));
    expect(screen.queryByRole('button', { name: /border, arrow/ })).toBeNull();
    part(/^Left edge/);
  });

  it('is no button when there is no mat', async () => {
    const payload = await shop().quote([plain({ build: 'bare', mats: [] } as never)]);
    const order = await shop().viewOf(payload.orderId);
    show(<DeskScreen order={order} who="ada" mine={null} shop={view} fresh={newDraft(view, '2031-05-05')} />);
    await screen.findByRole('img', { name: /framed piece/ });
    expect(screen.queryByRole('button', { name: /Mat by hand/ })).toBeNull();
  });
});

describe('several windows', () => {
  it('are laid out, moved by keys, taken out, and each is undone', async () => {
    await byHand(plain());
    await choose('Windows', 'One large, others beside it');
    await waitFor(() => expect(screen.getAllByRole('button', { name: /^Window \d.*arrow/ })).toHaveLength(3));
    const top = (number: number) => Number.parseFloat(part(new RegExp(`^Window ${number}.*arrow`)).style.top);
    const gap = top(3) - top(2);
    arrow(/^Window 3.*arrow/, 'Down', 1, { shiftKey: true });
    await waitFor(() => expect(top(3) - top(2)).toBeGreaterThan(gap));
    fireEvent.keyDown(part(/^Window 2.*arrow/), { key: 'Delete' });
    expect(screen.getAllByRole('button', { name: /^Window \d.*arrow/ })).toHaveLength(2);
    // Two are the fewest: the last of them is not taken out.
    fireEvent.keyDown(part(/^Window 2.*arrow/), { key: 'Delete' });
    expect(screen.getAllByRole('button', { name: /^Window \d.*arrow/ })).toHaveLength(2);
    back();
    expect(screen.getAllByRole('button', { name: /^Window \d.*arrow/ })).toHaveLength(3);
  });

  it('tell the bridges between them, and which is too narrow to be cut', async () => {
    await byHand(plain());
    await choose('Windows', 'Row');
    await waitFor(() => expect(document.querySelectorAll('[data-narrow]')).toHaveLength(1));
    expect(document.querySelector('[data-narrow]')!.textContent).toBe('1');
    expect(document.querySelector('[data-narrow]')!.getAttribute('data-narrow')).toBe('false');
    arrow(/^Window 2.*arrow/, 'Left', 5);
    // 1 less 5/16: below three quarters.
    expect(document.querySelector('[data-narrow]')!.textContent).toBe('11/16');
    expect(document.querySelector('[data-narrow]')!.getAttribute('data-narrow')).toBe('true');
    // At the tape; the foot says it too, as soon as its words are there.
    within(screen.getByRole('group', { name: 'Tape of sizes and prices' })).getByText(
      /^A bridge or border of .* will not hold/,
    );
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /^Accept/ }).disabled).toBe(true);
  });

  it('are moved by the mouse, catch on a bridge, and come back in one step', async () => {
    await byHand(plain());
    await choose('Windows', 'Row');
    await waitFor(() => expect(screen.getAllByRole('button', { name: /^Window \d.*arrow/ })).toHaveLength(2));
    drag(/^Window 2.*arrow/, 120, 0);
    await waitFor(() => expect(document.querySelector('[data-narrow]')!.textContent).not.toBe('1'));
    expect(screen.getByRole('combobox', { name: /^Windows$/ }).textContent).toContain('Freely');
    back();
    await waitFor(() => expect(document.querySelector('[data-narrow]')!.textContent).toBe('1'));
    drag(/^Window 2.*arrow/, 3, 0);
    // Three pixels are within reach of the bridge: it is where it was.
    expect(document.querySelector('[data-narrow]')!.textContent).toBe('1');
  });

  it('write on a plate what is engraved, and ask for it', async () => {
    await byHand(plain());
    await choose('Windows', 'Window over a plate');
    const text = await screen.findByLabelText<HTMLInputElement>('Text on it');
    fireEvent.change(text, { target: { value: 'Second place, summer regatta' } });
    const drawing = screen.getByRole('img', { name: 'Mat by hand' });
    await waitFor(() => expect(drawing.textContent).toContain('regatta'));
    screen.getByText(/Title plate with its text/);
  });
});
