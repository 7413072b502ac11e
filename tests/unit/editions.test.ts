/** The editions of the books: what each says, from which day it holds, and that nothing agreed moves with them. */
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { Asked } from '@/contract/commands';
import { editionByNumber, listMaterials, newestEdition } from '@/db/queries/books';
import { readBooks } from '@/server/app-context';
import { priceRulesSchema } from '@/core/pricing/rule-schema';
import { editionChanges } from '@/server/edition-changes';
import { pricesView } from '@/server/prices-view';
import { whatIf } from '@/server/what-if';
import { mm, toMm } from '@/core/units/length';
import { openApp } from '../app';
import { CLEAN_LIST, type Stocked, TOTAL, codes, must, stocked } from '../stocked';

let shop: Stocked;
const fresh = async () => void (shop = await stocked());
type Rules = Asked<'set-prices'>['rules'];
const TODAY = '2031-05-05';

async function rules(over: Partial<Rules> = {}): Promise<Rules> {
  const { groups: _groups, edition: _edition, ...now } = (await shop.app.books())!.prices;
  return { ...now, labourIncluded: now.labourIncluded ?? false, ...over } as Rules;
}
const set = async (over: Partial<Rules>, more: Partial<Omit<Asked<'set-prices'>, 'rules'>> = {}) =>
  shop.app.command('set-prices', {
    edition: (await newestEdition(shop.app.db))!.number,
    starts: TODAY,
    why: 'dearer',
    ...more,
    rules: await rules(over),
  });
const hourly = async () => (await shop.app.books())!.prices.labourPerHour;
const goTo = (day: string) => void (shop.app.clock.at = new Date(`${day}T10:00:00Z`));

describe('prices', () => {
  beforeEach(fresh);
  it('are another edition from today on: what is quoted next is dearer, what was quoted or agreed is not', async () => {
    const [held, agreed] = [await shop.quote(), await shop.accepted()];
    await must(set({ labourPerHour: '60.00', kit: 700 }));
    expect([(await shop.app.books())!.prices.edition, await hourly()]).toEqual([3, '60.00']);
    expect((await shop.viewOf(agreed.orderId)).agreed!.total).toBe(TOTAL);
    // A quote holds the materials' prices of its day; its work is charged as of today, and acceptance says so.
    const accept = await shop.app.command('accept-order', {
      orderId: held.orderId,
      revision: 1,
      total: TOTAL,
      reasons: {},
    });
    expect(codes(accept)).toBe('price-changed');
    const later = await shop.quote();
    // 55 min at 60.00 is 55.00, the kit 7.00: 11.00 + 1.00 more than 172.01, so 185.00, with 8 % 199.80.
    await must(shop.app.command('accept-order', { orderId: later.orderId, revision: 1, total: 19_980, reasons: {} }));
  });

  it('can begin on a later day: until then the old hold, and nothing else is changed before them', async () => {
    await must(set({ labourPerHour: '60.00' }, { starts: '2031-06-02' }));
    expect(await hourly()).toBe('48.00');
    expect(codes(await set({ kit: 800 }))).toBe('edition-scheduled');
    expect(
      codes(
        await shop.app.command('set-group-rule', {
          edition: 2,
          group: 'mat',
          rule: { school: 'cost-up', markup: '5' },
        }),
      ),
    ).toBe('edition-scheduled');
    expect(codes(await shop.app.command('import-list', { text: CLEAN_LIST, edition: 2, file: 'again.csv' }))).toBe(
      'edition-scheduled',
    );
    goTo('2031-06-01');
    expect(await hourly()).toBe('48.00');
    goTo('2031-06-02');
    expect(await hourly()).toBe('60.00');
  });

  it('are taken back before they begin, and never after', async () => {
    await must(set({ labourPerHour: '60.00' }, { starts: '2031-06-02' }));
    expect(codes(await shop.app.command('withdraw-edition', { edition: 2 }))).toBe('edition-begun');
    await must(shop.app.command('withdraw-edition', { edition: 3 }));
    expect(codes(await shop.app.command('withdraw-edition', { edition: 3 }))).toBe('edition-begun');
    goTo('2031-06-02');
    expect(await hourly()).toBe('48.00');
    await must(set({ labourPerHour: '52.00' }, { starts: '2031-06-02' }));
    expect(await hourly()).toBe('52.00');
    expect(codes(await shop.app.command('withdraw-edition', { edition: 4 }))).toBe('edition-begun');
  });
});

describe('prices that cannot be', () => {
  beforeAll(fresh);
  it.each<[string, Partial<Rules>, string]>([
    [
      'tax over a hundred',
      { tax: { mode: 'exclusive', percent: { goods: '100.01', labour: '8' } } },
      'rules.tax.percent.goods',
    ],
    ['a deposit over a hundred', { depositPercent: '101' }, 'rules.depositPercent'],
    ['a negative hour', { labourPerHour: '-1' }, 'rules.labourPerHour'],
    ['an absurd hour', { labourPerHour: '100001' }, 'rules.labourPerHour'],
    ['a step of nothing', { sellingStep: { ft: '0', m: '0.1' } }, 'rules.sellingStep.ft'],
    [
      'breaks that go down',
      {
        quantityBreaks: [
          [10, '5'],
          [5, '10'],
        ],
      },
      'rules.quantityBreaks',
    ],
    ['a break for one', { quantityBreaks: [[1, '5']] }, 'rules.quantityBreaks.0.0'],
    ['a quote for ever', { quoteDays: 366 }, 'rules.quoteDays'],
  ])('refuse %s beside it, and nothing changes', async (_what, over, path) => {
    const answer = await set(over);
    expect(codes(answer)).toBe('input-wrong');
    expect(!answer.ok && answer.issues[0]!.path).toBe(path);
    expect((await newestEdition(shop.app.db))!.number).toBe(2);
  });

  it('take a hundred percent and a break at the edge', async () => {
    await must(
      set({
        tax: { mode: 'inclusive', percent: { goods: '100', labour: '0' } },
        quantityBreaks: [
          [2, '0'],
          [3, '100'],
        ],
        depositPercent: '100',
      }),
    );
  });

  it('refuse a day that is over, and a change of what was not seen', async () => {
    expect(codes(await set({}, { starts: '2031-05-04' }))).toBe('edition-past');
    expect(codes(await set({}, { edition: 1 }))).toBe('books-stale');
  });
});

describe('what if', () => {
  beforeAll(fresh);
  it('holds other rules against the last month’s orders, leaves out what cannot be priced, and changes nothing', async () => {
    const ask = async (over: Partial<Rules>) =>
      (await whatIf(shop.app.viewer(), priceRulesSchema.parse(await rules(over))))!;
    expect(await ask({})).toMatchObject({ days: 30, orders: 0, left: 0, before: 0, after: 0, most: [], quotes: 0 });
    const first = await shop.accepted();
    goTo('2031-05-20');
    const second = await shop.accepted();
    await shop.quote();
    const dearer = { labourPerHour: '60.00', kit: 700 };
    expect(await ask({})).toMatchObject({ orders: 2, before: 2 * TOTAL, after: 2 * TOTAL, most: [], quotes: 1 });
    // 199.80 each, as a new order would be.
    const found = await ask(dearer);
    expect(found).toMatchObject({ orders: 2, before: 2 * TOTAL, after: 2 * 19_980 });
    expect(found.most.map(({ number, before, after }) => [number, before, after])).toEqual([
      [first.number, TOTAL, 19_980],
      [second.number, TOTAL, 19_980],
    ]);
    expect((await shop.viewOf(first.orderId)).agreed!.total).toBe(TOTAL);
    expect((await newestEdition(shop.app.db))!.number).toBe(2);
    goTo('2031-06-05');
    expect(await ask(dearer)).toMatchObject({ orders: 1, before: TOTAL, after: 19_980 });
    // What an order is made of is no longer sold.
    await must(
      shop.app.command('set-prices', {
        edition: 2,
        starts: '2031-06-05',
        why: 'house',
        rules: await rules(),
        house: { ...(await shop.app.books())!.house, mat: 'RAG-CHALK' },
      }),
    );
    await must(shop.app.command('change-sheets', { edition: 3, put: [], gone: ['RAG-SHELL'] }));
    expect(await ask(dearer)).toMatchObject({ orders: 0, left: 1, before: 0, after: 0 });
  });
});

describe('boards, glass and backs', () => {
  beforeAll(fresh);
  type Sheet = Asked<'change-sheets'>['put'][number];
  const mat = (over: object = {}): Sheet => ({
    kind: 'mat',
    spec: {
      code: 'RAG-LICHEN',
      name: 'Lichen, 4-ply rag',
      thickness: mm(1.4),
      colour: '#9aa58b',
      cost: { amount: '1.25', per: 'sqft' },
      archival: true,
      ...over,
    } as never,
  });
  const newest = async () => (await newestEdition(shop.app.db))!.number;
  const change = async (put: Sheet[], gone: string[] = []) =>
    shop.app.command('change-sheets', { edition: await newest(), put, gone });
  const mats = async () => (await shop.app.books())!.lists.mats.map(({ code }) => code);

  it('are added at the end, changed where they stand, and retired; older editions keep what they said', async () => {
    const before = await mats();
    await must(change([mat()]));
    expect(await mats()).toEqual([...before, 'RAG-LICHEN']);
    await must(change([mat({ cost: { amount: '9.99', per: 'sqft' } }), mat({ code: 'RAG-MOSS' })]));
    expect(await mats()).toEqual([...before, 'RAG-LICHEN', 'RAG-MOSS']);
    const cost = async (edition: number) =>
      (await readBooks(shop.app.db, edition))!.catalogue.mats.get('RAG-LICHEN')?.cost!.amount;
    const last = await newest();
    expect([await cost(last - 1), await cost(last)]).toEqual(['1.25', '9.99']);
    await must(change([], ['RAG-LICHEN']));
    expect(await mats()).toEqual([...before, 'RAG-MOSS']);
    expect([await cost(last), await cost(last + 1)]).toEqual(['9.99', undefined]);
    await must(change([mat()]));
    expect(await mats()).toEqual([...before, 'RAG-LICHEN', 'RAG-MOSS']);
  });

  it.each<[string, () => Sheet[], string[], string, string]>([
    ['the code of another kind', () => [mat({ code: 'GL-CLEAR' })], [], 'code-taken', 'put.0.spec.code'],
    ['a code twice', () => [mat(), mat()], [], 'code-twice', 'put.1.spec.code'],
    ['a formula for a name', () => [mat({ name: '=HYPERLINK("x")' })], [], 'list-formula', 'put.0.spec.name'],
    ['no thickness', () => [mat({ thickness: 0 })], [], 'input-wrong', 'put.0.spec.thickness'],
    [
      'a cost below nothing',
      () => [mat({ cost: { amount: '-1', per: 'sqft' } })],
      [],
      'input-wrong',
      'put.0.spec.cost.amount',
    ],
    ['retiring what new orders begin with', () => [], ['RAG-SHELL'], 'article-needed', 'gone.0'],
    ['retiring what is not there', () => [], ['NOT-THERE'], 'material-unknown', 'gone.0'],
  ])('refuse %s, and nothing is changed', async (_what, put, gone, code, path) => {
    const [before, edition] = [await mats(), await newest()];
    const answer = await change(put(), gone);
    expect([codes(answer), !answer.ok && answer.issues[0]!.path]).toEqual([code, path]);
    expect([await mats(), await newest()]).toEqual([before, edition]);
    expect(codes(await change([]))).toBe('list-unchanged');
  });

  it('may go once new orders begin with another; what is not in the books is refused', async () => {
    const { house } = (await shop.app.books())!;
    const sets = async (mat: string) =>
      shop.app.command('set-prices', {
        edition: await newest(),
        starts: TODAY,
        why: 'house',
        rules: await rules(),
        house: { ...house, mat },
      });
    const wrong = await sets('RAG-NONE');
    expect([codes(wrong), !wrong.ok && wrong.issues[0]!.path]).toEqual(['material-unknown', 'house.mat']);
    await must(sets('RAG-CHALK'));
    await must(change([], ['RAG-SHELL']));
    expect((await shop.app.books())!.house.mat).toBe('RAG-CHALK');
  });
});

describe('a new shop', () => {
  const begun = async (homeUnit: 'in' | 'mm', tax?: Asked<'set-up-shop'>['tax']) => {
    const app = await openApp();
    const answer = await app.command(
      'set-up-shop',
      { shop: 'Own', owner: 'Ada', pin: '1357', homeUnit, code: '', ...(tax ? { tax } : {}) },
      { as: undefined },
    );
    return answer.ok ? (await app.books())! : codes(answer);
  };
  const told = (books: Awaited<ReturnType<typeof begun>>) => {
    if (typeof books === 'string') throw new Error(books);
    return books;
  };

  it('that measures in millimetres sells by the metre, in sheets and frames of centimetres, and taxes as it says', async () => {
    const { lists, prices } = told(await begun('mm', { mode: 'inclusive', percent: '20' }));
    expect(prices.tax).toEqual({ mode: 'inclusive', percent: { goods: '20', labour: '20' } });
    expect(new Set([...lists.mats, ...lists.glazings, ...lists.backings].map(({ cost }) => cost!.per))).toEqual(
      new Set(['sqm']),
    );
    // 1.10 a square foot is 1.10 ÷ 0.09290304 = 11.84 a square metre.
    expect(lists.mats[0]!.cost!.amount).toBe('11.84');
    expect(lists.mats[0]!.largest).toEqual({ w: mm(810), h: mm(1020) });
    expect(lists.readyMades.map(({ size }) => toMm(size.w))).toContain(300);
    expect(prices.bars).toEqual({ per: 'm', price: '7.90' });
  });

  it('that measures in inches sells by the foot, with eight percent added until it says otherwise', async () => {
    const { lists, prices } = told(await begun('in'));
    expect([prices.tax.mode, prices.tax.percent.goods]).toEqual(['exclusive', '8']);
    expect(lists.mats[0]!.cost).toEqual({ amount: '1.10', per: 'sqft' });
    expect(told(await begun('in', { mode: 'exclusive', percent: '0' })).prices.tax.percent.labour).toBe('0');
    expect(await begun('in', { mode: 'exclusive', percent: '100.5' })).toBe('input-wrong');
  });
});

describe('an edition', () => {
  beforeEach(fresh);
  it('can be looked up again with all it said: rules and materials', async () => {
    await must(set({ labourPerHour: '60.00' }));
    const dearer = CLEAN_LIST.replace('120,4.20,ft', '120,9.90,ft');
    await must(shop.app.command('import-list', { text: dearer, edition: 3, file: 'dearer.csv' }));
    const cost = async (edition: number) => {
      const books = (await readBooks(shop.app.db, edition))!;
      return [books.prices.labourPerHour, books.catalogue.mouldings.get('MAR-31')!.cost!.amount];
    };
    expect(await cost(2)).toEqual(['48.00', '4.20']);
    expect(await cost(3)).toEqual(['60.00', '4.20']);
    expect(await cost(4)).toEqual(['60.00', '9.90']);
    // Before the list there was no moulding; boards and glass stood there from the first.
    const first = await listMaterials(shop.app.db, 1);
    expect([first.mouldings.length, first.mats.length > 5, first.glazings.length > 3]).toEqual([0, true, true]);
    expect(await readBooks(shop.app.db, 9)).toBeUndefined();
  });

  it('says who made it, why, and from when', async () => {
    await must(set({ labourPerHour: '60.00' }, { starts: '2031-06-02', why: 'the new year' }));
    const view = (await pricesView(shop.app.viewer()))!;
    expect(view.editions[0]).toMatchObject({ number: 3, by: 'Ada', why: 'the new year', starts: '2031-06-02' });
    expect([view.shop.prices.edition, view.newest.number, view.newest.prices.labourPerHour]).toEqual([2, 3, '60.00']);
    expect((await editionByNumber(shop.app.db, 3))!.prices).not.toHaveProperty('edition');
  });
});

describe('what an edition changed', () => {
  beforeEach(fresh);
  it('is told against the one before: rules, house, and each material with its fields', async () => {
    await must(set({ labourPerHour: '60.00', rush: '25' }));
    const viewer = shop.app.viewer();
    expect(await editionChanges(viewer, 3)).toEqual({
      number: 3,
      before: 2,
      rules: [
        { path: ['rush'], from: '', to: '25' },
        { path: ['labourPerHour'], from: '48.00', to: '60.00' },
      ],
      materials: [],
      more: 0,
    });
    const dearer = CLEAN_LIST.replace('120,4.20,ft', '120,4.60,ft');
    await must(shop.app.command('import-list', { text: dearer, edition: 3, file: 'dearer.csv' }));
    expect(await editionChanges(viewer, 4)).toMatchObject({
      rules: [],
      materials: [
        { list: 'mouldings', code: 'MAR-31', does: 'changed', changes: [{ field: 'cost', from: '4.20', to: '4.60' }] },
      ],
    });
    await must(shop.app.command('undo-edition', { edition: 4 }));
    expect((await editionChanges(viewer, 5))!.materials).toMatchObject([{ changes: [{ from: '4.60', to: '4.20' }] }]);
  });

  it('names what came and went, shows the first of many, and knows no edition that is none', async () => {
    const viewer = shop.app.viewer();
    const first = (await editionChanges(viewer, 2))!;
    expect(first.materials.every(({ does }) => does === 'added')).toBe(true);
    expect(first.materials.length + first.more).toBe(CLEAN_LIST.trim().split('\n').length - 1);
    await must(shop.app.command('change-sheets', { edition: 2, put: [], gone: ['RAG-CHALK'] }));
    expect((await editionChanges(viewer, 3))!.materials).toMatchObject([
      { code: 'RAG-CHALK', does: 'gone', changes: [] },
    ]);
    expect([await editionChanges(viewer, 0), await editionChanges(viewer, 99)]).toEqual([undefined, undefined]);
    expect(await editionChanges(viewer, 1)).toMatchObject({ before: null });
  });
});
