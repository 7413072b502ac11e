/** Lists of materials at the one door: whole or not at all, remembered, and taken back whole. */
import { beforeEach, describe, expect, it } from 'vitest';
import { listKind } from '@/core/supplier-list/lists';
import { LIST_NAMES, type ListName } from '@/core/supplier-list/names';
import { columnsKept, listAsCsv, listAsWorkbook, previewList } from '@/server/list-views';
import { CLEAN_LIST, type Stocked, codes, must, stocked } from '../stocked';

let shop: Stocked;
beforeEach(async () => void (shop = await stocked()));
const lists = async () => (await shop.app.books())!.lists;
const edition = async () => (await shop.app.books())!.prices.edition;
const bring = async (list: ListName, text: string, more: object = {}) =>
  shop.app.command('import-list', { list, text, edition: await edition(), file: `${list}.csv`, ...more });
const undo = async () => shop.app.command('undo-edition', { edition: await edition() });
const row = (list: ListName, ...lines: readonly string[]) =>
  `${[listKind(list).columns.join(','), ...lines].join('\n')}\n`;
const NEW_MAT = 'PEARL,Pearl board,in,32,40,1.4,#eeeae0,yes,1.35,sqft';

describe('a list', () => {
  it.each(LIST_NAMES)('of %s goes out and comes back with nothing new in it', async (list) => {
    const text = await listAsCsv(shop.app.viewer(), list);
    expect(text.split('\n').length).toBeGreaterThan(3);
    expect(codes(await bring(list, text))).toBe('list-unchanged');
    expect((await previewList(shop.app.viewer(), list, text)).counts).toMatchObject({ add: 0, change: 0, refuse: 0 });
    expect(new TextDecoder('latin1').decode((await listAsWorkbook(shop.app.viewer(), list)).slice(0, 2))).toBe('PK');
  });

  it('of boards adds and changes them, for whoever quotes next', async () => {
    const text = (await listAsCsv(shop.app.viewer(), 'mats')).replace(/,1\.10,sqft/, ',1.21,sqft');
    expect(await bring('mats', `${text}${NEW_MAT}\n`)).toMatchObject({ ok: true, value: { added: 1, changed: 1 } });
    expect((await lists()).mats.find((one) => one.code === 'PEARL')).toMatchObject({
      name: 'Pearl board',
      archival: true,
    });
  });

  it('holds no code that the books have as something else, and says so in its row', async () => {
    const text = row('mats', NEW_MAT.replace('PEARL', 'MAR-31'));
    const before = await edition();
    expect((await previewList(shop.app.viewer(), 'mats', text)).rows).toMatchObject([
      { row: 2, does: 'refuse', issues: [{ code: 'code-taken', path: 'code' }] },
    ]);
    expect(codes(await bring('mats', text))).toBe('list-refused');
    expect(await edition()).toBe(before);
  });

  it('that was seen in an older edition changes nothing', async () => {
    const seen = await edition();
    await must(bring('mats', row('mats', NEW_MAT)));
    const late = await shop.app.command('import-list', {
      list: 'mats',
      text: row('mats', NEW_MAT),
      edition: seen,
      file: 'x',
    });
    expect(codes(late)).toBe('books-stale');
  });

  it('leaves its columns with the supplier, once it was taken', async () => {
    const columns = { code: { from: 'Item' }, unit: { same: 'in' } };
    const remember = { supplier: 'Gullmark', columns };
    expect(codes(await bring('mats', row('mats', '=1,x'), { remember }))).toBe('list-refused');
    expect(await columnsKept(shop.app.viewer(), 'mats')).toEqual([]);
    await must(bring('mats', row('mats', NEW_MAT), { remember }));
    expect(await columnsKept(shop.app.viewer(), 'mats')).toEqual([{ supplier: 'Gullmark', columns }]);
    await must(
      bring('mats', row('mats', NEW_MAT.replace('1.35', '1.40')), { remember: { supplier: 'Gullmark', columns: {} } }),
    );
    expect(await columnsKept(shop.app.viewer(), 'mats')).toEqual([{ supplier: 'Gullmark', columns: {} }]);
  });

  it('of 20,000 rows says how many of each, and shows the first of them', async () => {
    const many = Array.from({ length: 20_000 }, (_, index) => NEW_MAT.replace('PEARL', `P-${index}`));
    const preview = await previewList(shop.app.viewer(), 'mats', row('mats', ...many));
    expect([preview.counts, preview.rows.length]).toEqual([{ refuse: 0, change: 0, add: 20_000, same: 0 }, 500]);
  });
});

describe('what was taken', () => {
  it('goes back whole: what was added is gone, what was changed is as it was; prices and house too', async () => {
    const before = await lists();
    await must(
      bring(
        'mouldings',
        CLEAN_LIST.replace('120,4.20,ft', '120,9.90,ft').concat(
          CLEAN_LIST.split('\n')[1]!.replace('MAR-31', 'MAR-99'),
          '\n',
        ),
      ),
    );
    expect((await lists()).mouldings).toHaveLength(before.mouldings.length + 1);
    await must(undo());
    expect(await lists()).toEqual(before);
  });

  it('goes back for new quotes only: what was agreed under it keeps its price', async () => {
    await must(bring('mouldings', CLEAN_LIST.replace('120,4.20,ft', '120,4.60,ft')));
    const dear = await shop.quote();
    // Moulding 7.25 × 4.60 × 3 = 100.05, 8.70 more than 172.01: 181.00, with 8 % 195.48.
    await must(shop.app.command('accept-order', { orderId: dear.orderId, revision: 1, total: 19_548, reasons: {} }));
    await must(undo());
    expect((await shop.viewOf(dear.orderId)).agreed!.total).toBe(19_548);
    await shop.accepted();
  });

  it('can be undone once more, which brings it again', async () => {
    await must(bring('mats', row('mats', NEW_MAT)));
    const brought = await lists();
    await must(undo());
    await must(undo());
    expect(await lists()).toEqual(brought);
  });

  it('goes back only from the newest edition, by the owner, and not before the first', async () => {
    expect(codes(await shop.app.command('undo-edition', { edition: 1 }))).toBe('books-stale');
    await must(undo());
    expect((await lists()).mouldings).toEqual([]);
    const fresh = await stocked();
    await fresh.app.db.transaction((tx) => tx.query("UPDATE price_edition SET state = 'dropped' WHERE number < 2"));
    expect(codes(await fresh.app.command('undo-edition', { edition: 2 }))).toBe('edition-first');
  });
});
