import { beforeAll, describe, expect, it } from 'vitest';
import type { Payload } from '@/contract/commands';
import type { Design } from '@/core/design/design';
import { borderVariants, withBorder, withGlazing, withMoulding, withTopMat } from '@/core/design/variants';
import { defaultSettings } from '@/core/settings';
import { inches } from '@/core/units/length';
import { piecesOf } from '@/db/queries/orders';
import { quotePaper } from '@/server/papers/quote';
import { shopView } from '@/server/views';
import { paperPages } from '../pdf';
import { CLEAN_LIST, type Stocked, TOTAL, codes, must, stocked, stockedDesign } from '../stocked';

let shop: Stocked;
beforeAll(async () => {
  shop = await stocked();
});
type Piece = Payload<'save-quote'>['pieces'][number];
const quote = (pieces: Piece[], over: Partial<Payload<'save-quote'>> = {}) => ({
  orderId: crypto.randomUUID(),
  revision: null,
  customerId: shop.customerId,
  promised: '2031-12-15',
  pieces,
  ...over,
});
const wider = (): Design => withBorder(stockedDesign(), { mode: 'equal', all: inches(4) });
const compared = (): Piece => ({
  id: crypto.randomUUID(),
  letter: 'B',
  design: stockedDesign(),
  others: [
    { letter: 'A', design: wider() },
    { letter: 'D', design: withMoulding(stockedDesign(), 'MAR-32'), declined: true },
  ],
});
const save = (payload: Payload<'save-quote'>) => shop.app.command('save-quote', payload);

describe('a quote with several designs of a piece', () => {
  it('costs what the chosen one costs; the others are kept with what they would cost', async () => {
    const payload = quote([compared()]);
    await must(save(payload));
    const view = await shop.viewOf(payload.orderId);
    const [piece] = view.pieces;
    expect([piece!.letter, piece!.others!.map(({ letter, declined }) => [letter, declined])]).toEqual([
      'B',
      [
        ['A', undefined],
        ['D', true],
      ],
    ]);
    const prices = piece!.others!.map(({ price }) => price!);
    expect(prices[0]).toBeGreaterThan(17300);
    await must(shop.app.command('accept-order', { orderId: payload.orderId, revision: 1, total: TOTAL, reasons: {} }));
    const agreed = await shop.viewOf(payload.orderId);
    expect(agreed.agreed!.total).toBe(TOTAL);
    // What was not chosen is declined, with its price as it was.
    expect(agreed.pieces[0]!.others!.map(({ letter, declined, price }) => [letter, declined, price])).toEqual([
      ['A', true, prices[0]],
      ['D', true, prices[1]],
    ]);
  });

  it('choosing another changes the price, and the first stays', async () => {
    const piece = compared();
    const payload = quote([piece]);
    await must(save(payload));
    const other = {
      ...piece,
      letter: 'A' as const,
      design: wider(),
      others: [{ letter: 'B' as const, design: stockedDesign() }],
    };
    await must(save({ ...payload, revision: 1, pieces: [other] }));
    const accept = (total: number) =>
      shop.app.command('accept-order', { orderId: payload.orderId, revision: 2, total, reasons: {} });
    expect(codes(await accept(TOTAL))).toBe('price-changed');
    const view = await shop.viewOf(payload.orderId);
    expect([view.pieces[0]!.letter, view.pieces[0]!.others![0]!.price]).toEqual(['A', 17300]);
  });

  it('two tabs that accept two designs: one is agreed, the other is told', async () => {
    const piece = compared();
    const payload = quote([piece]);
    await must(save(payload));
    const swapped = {
      ...piece,
      letter: 'A' as const,
      design: wider(),
      others: [{ letter: 'B' as const, design: stockedDesign() }],
    };
    const [first, second] = await Promise.all([
      shop.app.command('accept-order', { orderId: payload.orderId, revision: 1, total: TOTAL, reasons: {} }),
      save({ ...payload, revision: 1, pieces: [swapped] }),
    ]);
    const told = [codes(first), codes(second)].sort();
    expect(told[0] === 'ok' || told[1] === 'ok').toBe(true);
    expect(told).toContainEqual(expect.stringMatching(/order-(stale|agreed)/));
    expect((await shop.viewOf(payload.orderId)).jobs.length).toBe(codes(first) === 'ok' ? 1 : 0);
  });

  it('keeps one whose moulding is gone, without a price; it cannot be agreed, the other can', async () => {
    const piece = compared();
    const gone = withMoulding(stockedDesign(), 'GONE-1');
    const payload = quote([{ ...piece, others: [{ letter: 'A', design: gone }] }]);
    await must(save(payload));
    const view = await shop.viewOf(payload.orderId);
    expect(view.pieces[0]!.others![0]).toMatchObject({
      letter: 'A',
      price: null,
      design: { frame: { moulding: { code: 'GONE-1' } } },
    });
    const chosen = { ...piece, design: gone, others: [] };
    expect(codes(await save({ ...payload, revision: 1, pieces: [chosen] }))).toMatch(/material-unknown|unknown/);
    expect((await shop.viewOf(payload.orderId)).pieces[0]!.letter).toBe('B');
    await must(shop.app.command('accept-order', { orderId: payload.orderId, revision: 1, total: TOTAL, reasons: {} }));
  });

  it('figures of a material cannot be slipped in by a design that is not chosen', async () => {
    const piece = compared();
    const payload = quote([piece]);
    await must(save(payload));
    const [row] = await piecesOf(shop.app.db, payload.orderId);
    const frame = row!.quoted.frame.moulding as { given: { cost: { amount: string; per: 'ft' } } };
    const cheap = { ...frame.given, cost: { ...frame.given.cost, amount: '0.01' } };
    const slipped = { ...stockedDesign(), frame: { ...stockedDesign().frame, moulding: { given: cheap } } } as Design;
    const pieces = [{ ...piece, others: [{ letter: 'A' as const, design: slipped }] }];
    expect(codes(await save({ ...payload, revision: 1, pieces }))).toBe('material-invented');
  });

  it.each([
    ['a letter twice', { letter: 'A', others: [{ letter: 'A' }] }],
    ['a letter that is none', { letter: 'Z', others: [] }],
    ['eight others', { letter: 'A', others: ['B', 'C', 'D', 'E', 'F', 'G', 'H', 'B'].map((letter) => ({ letter })) }],
    ['a design that is none', { letter: 'A', others: [{ letter: 'B', design: { build: 'cake' } }] }],
  ])('refuses %s', async (_name, over) => {
    const others = over.others.map((other) => ({ design: stockedDesign(), ...other }));
    const piece = { id: crypto.randomUUID(), design: stockedDesign(), letter: over.letter, others } as never;
    expect(codes(await save(quote([piece])))).toMatch(/^input-wrong/);
  });

  it('holds the prices of all its designs when the books move on', async () => {
    const payload = quote([compared()]);
    await must(save(payload));
    const before = (await shop.viewOf(payload.orderId)).pieces[0]!.others![0]!.price;
    const { edition } = (await shopView(shop.app.viewer()))!.prices as { edition: number };
    const dearer = CLEAN_LIST.replace(/(MAR-31,.*?),4\.20,ft/, '$1,9.90,ft').replace(/,4\.20,/g, ',9.90,');
    await must(shop.app.command('import-list', { text: dearer, edition, file: 'dearer.csv' }));
    const view = await shop.viewOf(payload.orderId);
    expect([view.held, view.pieces[0]!.others![0]!.price]).toEqual([true, before]);
    expect(view.pieces[0]!.others![0]!.design.frame.moulding).toHaveProperty('given.cost.amount', '4.20');
    const text = (await paperPages(await quotePaper(view, (await shopView(shop.app.viewer()))!, 'in')))
      .map((page) => page.text)
      .join(' ');
    expect(text).toContain('Instead, if you like it better');
    expect(text).toContain(`A ${(before! / 100).toFixed(2)}`);
    expect(text).toContain('173.00');
    // The declined one is not offered.
    expect(text).not.toContain(`D ${(view.pieces[0]!.others![1]!.price! / 100).toFixed(2)}`);
  });
});

describe('one thing varied', () => {
  const settings = defaultSettings('in');
  it('gives the usual other borders, and none that would leave nothing', () => {
    const equal = (all: number) =>
      borderVariants(withBorder(stockedDesign(), { mode: 'equal', all: inches(0, all, 2) }), settings);
    expect(equal(5).map(({ code, border }) => [code, 'all' in border && border.all / inches(1)])).toEqual([
      ['narrower', 2],
      ['wider', 3],
      ['much wider', 3.5],
      ['heavier below', 2.5],
    ]);
    expect(equal(1).map(({ code }) => code)).toEqual(['wider', 'much wider', 'heavier below']);
    const four = {
      mode: 'four',
      left: inches(1),
      right: inches(2),
      top: inches(1),
      bottom: inches(3),
      seen: true,
    } as const;
    expect(borderVariants(withBorder(stockedDesign(), four), settings)[0]!.border).toEqual({
      mode: 'four',
      left: inches(0, 1, 2),
      right: inches(1, 1, 2),
      top: inches(0, 1, 2),
      bottom: inches(2, 1, 2),
      seen: true,
    });
    expect(borderVariants({ ...stockedDesign(), mats: [] }, settings)).toEqual([]);
    expect(borderVariants(stockedDesign(), defaultSettings('mm'))[1]!.border).toMatchObject({
      all: inches(2, 1, 2) + 3200,
    });
  });

  it('changes that thing only', () => {
    const design = stockedDesign();
    const { frame, glazing, mats } = design;
    expect(withMoulding(design, 'X')).toEqual({ ...design, frame: { ...frame, moulding: { code: 'X' } } });
    expect({ ...withGlazing(design, 'G'), glazing }).toEqual(design);
    expect({ ...withTopMat(design, 'M'), mats }).toEqual(design);
    expect(withTopMat({ ...design, mats: [] }, 'M').mats).toEqual([]);
  });
});
