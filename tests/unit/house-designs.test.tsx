// @vitest-environment happy-dom
/** Designs that the house begins with: kept from a piece, used for another, dropped; nothing of the piece goes along. */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { HouseDesignView, ShopView } from '@/contract/views';
import type { Design } from '@/core/design/design';
import { asHouseDesign, inHouseDesign } from '@/core/design/house';
import { designSchema } from '@/core/design/schema';
import { inches } from '@/core/units/length';
import { DeskScreen } from '@/features/desk/desk';
import { newDraft } from '@/features/desk/draft';
import { houseDesignsView } from '@/server/house-view';
import { shopView } from '@/server/views';
import { press, shopOfFile, show, type } from '../screens';
import { must, stockedDesign } from '../stocked';

const shop = shopOfFile();
const house = () => houseDesignsView(shop().app.viewer());
const full = (): Design => {
  const design = stockedDesign();
  return {
    ...design,
    insists: 'Red edge stays',
    value: 120_000,
    count: 4,
    rush: true,
    piece: {
      ...design.piece,
      title: 'Regatta',
      irreplaceable: true,
      kind: 'photograph',
      width2: inches(12),
      height2: inches(16),
    },
    window: { overlap: inches(0, 1, 8), opening: { left: inches(1), top: inches(1), w: inches(5), h: inches(5) } },
    border: { mode: 'equal', all: inches(4) },
    extras: [{ name: 'Card', amount: 350 }],
    discount: { percent: '5', reason: 'x', by: 'Ada' },
  } as Design;
};

describe('a house design', () => {
  it('has nothing of the piece, of its customer or of its price', () => {
    const kept = asHouseDesign(full());
    expect(designSchema.parse(kept)).toEqual(kept);
    expect(kept.border).toEqual({ mode: 'equal', all: inches(4) });
    expect(JSON.stringify(kept)).not.toMatch(/Regatta|Red edge|Card|percent|opening|width2/);
    expect([kept.value, kept.count, kept.rush, kept.discount, kept.extras]).toEqual(Array.from({ length: 5 }));
    expect(kept.piece.kind).toBe('photograph');
  });

  it('gives a piece its look, and leaves it what is its own', () => {
    const other = { ...full(), border: { mode: 'equal' as const, all: inches(1) }, glazing: { code: 'AC-CLEAR' } };
    const made = inHouseDesign(full(), asHouseDesign(other));
    expect([made.border, made.glazing]).toEqual([other.border, other.glazing]);
    const { piece, insists, value, count, rush, extras, discount } = full();
    expect(made).toMatchObject({ piece, insists, value, count, rush, extras, discount });
    expect(made.window.opening).toBeUndefined();
  });

  it('gives way to another of the same name, and is dropped once', async () => {
    const [first, second] = [crypto.randomUUID(), crypto.randomUUID()];
    const keep = (id: string, name: string) =>
      must(shop().app.command('keep-house-design', { id, name, design: full() }));
    await keep(first, 'Plain');
    await keep(second, 'PLAIN');
    expect((await house()).map(({ id, name }) => [id, name])).toEqual([[second, 'PLAIN']]);
    await must(shop().app.command('drop-house-design', { id: second }));
    const again = await shop().app.command('drop-house-design', { id: second });
    expect(again).toMatchObject({ ok: false, issues: [{ code: 'house-design-unknown' }] });
  });

  it('is refused with no name, a hidden one, or what is no design', async () => {
    for (const [name, design] of [
      ['', full()],
      ['\u202e', full()],
      ['x'.repeat(81), full()],
      ['Cake', { build: 'cake' }],
    ] as const)
      expect(
        (await shop().app.command('keep-house-design', { id: crypto.randomUUID(), name, design } as never)).ok,
      ).toBe(false);
    expect(await house()).toEqual([]);
  });
});

describe('at the desk', () => {
  let view: ShopView;
  beforeEach(async () => {
    view = (await shopView(shop().app.viewer()))!;
    Object.defineProperty(window, 'matchMedia', { value: () => ({ matches: false }), configurable: true });
  });
  it('a design is kept under a name, and makes the next piece like it; those of its kind stand first', async () => {
    for (const [name, kind] of [
      ['A canvas', 'canvas'],
      ['B print', 'print'],
    ] as const) {
      const design = full();
      await must(
        shop().app.command('keep-house-design', {
          id: crypto.randomUUID(),
          name,
          design: { ...design, piece: { ...design.piece, kind } },
        }),
      );
    }
    show(<DeskScreen order={null} who="ada" mine={null} shop={view} fresh={newDraft(view, '2031-05-05')} />);
    await screen.findByLabelText('Width');
    type('Name', 'Ferry');
    type('Width', '12 x 16');
    press('House designs');
    const dialog = within(await screen.findByRole('dialog'));
    await dialog.findByText('B print');
    expect(
      dialog
        .getAllByRole('listitem')
        .map((item) => within(item).getByText(/canvas$|print$/, { selector: 'b' }).textContent),
    ).toEqual(['B print', 'A canvas']);
    fireEvent.change(dialog.getByLabelText('This design, called'), { target: { value: 'As it is' } });
    press('Keep it');
    await dialog.findByText('As it is');
    const kept = (await house()).find(({ name }) => name === 'As it is') as HouseDesignView;
    expect(kept.design.piece.title).toBe('');
    press('Use B print');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Ferry');
    fireEvent.click(screen.getByRole('button', { name: /^2.*Mat/ }));
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Border').value).toBe('4'));
  });
});
