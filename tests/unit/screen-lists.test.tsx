// @vitest-environment happy-dom
/** A supplier's list coming in: its columns, what it would do, taken whole, taken back whole. */
import fs from 'node:fs';
import { screen, waitFor, within, fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import writeWorkbook from 'write-excel-file/node';
import { ImportList } from '@/features/books/import/import-list';
import type { ListName } from '@/core/supplier-list/names';
import { shopView } from '@/server/views';
import { button, choose, field, press, sent, shopOfFile, show, type } from '../screens';
import { CLEAN_LIST } from '../stocked';

const shop = shopOfFile();
const lists = async () => (await shopView(shop().app.viewer()))!.lists;
const edition = async () => (await shopView(shop().app.viewer()))!.prices.edition;
const importing = async (list: ListName = 'mouldings') => {
  show(<ImportList list={list} onClose={() => undefined} />);
  await screen.findByRole('heading', { name: /^Import a list of/ });
};
const give = (content: BlobPart, name = 'list.csv') =>
  fireEvent.change(field('The list, as CSV or XLSX'), { target: { files: [new File([content], name)] } });
const take = async (count: number) => {
  fireEvent.click(await screen.findByRole('button', { name: `Take all ${count}` }));
};
const OWN = [
  ['Item', 'Description', 'Face', 'Rebate', 'Depth', 'Height', 'Net'],
  ['G-10', 'Gull 10, grey', '30', '7', '16', '28', '€ 4,20'],
  ['G-11', 'Gull 11, white', '30', '7', '16', '28', '€ 1.204,00'],
];
const csv = (rows: readonly (readonly string[])[]) =>
  rows.map((row) => row.map((one) => `"${one}"`).join(';')).join('\n');
/** What the list does not say, told once for all rows. */
async function tellTheRest() {
  await screen.findByRole('region', { name: 'Which column is which' });
  for (const [column, text] of [
    ['unit', 'mm'],
    ['material', 'wood'],
    ['profile', 'flat'],
    ['finish', 'plain'],
    ['colour', '#aa8866'],
    ['per', 'm'],
  ] as const) {
    await choose(new RegExp(`^${column}`), 'the same in every row');
    type(`${column} in every row`, text);
  }
}

describe('a list that comes in', () => {
  it('is looked at first: what it would add, change and leave; then taken whole, and back whole', async () => {
    await importing();
    const before = await lists();
    give(CLEAN_LIST.replace('120,4.20,ft', '120,6.24,ft'));
    await screen.findByRole('button', { name: /^1 cost moves more than 20 %/ });
    expect(screen.getByText('+49 %')).toBeTruthy();
    type('Cost moves more than, in percent', '49');
    await screen.findByRole('button', { name: /^0 cost moves more than 49 %/ });
    await take(1);
    expect((await screen.findByText(/0 added, 1 changed/)).textContent).toContain('Edition');
    expect((await lists()).mouldings.filter((one) => one.cost?.amount === '6.24')).toHaveLength(1);
    press('Take it back whole');
    await screen.findByText(/the books are as before edition/);
    expect(await lists()).toEqual(before);
  });

  it('with a bad row is refused whole, each reason in its row, and can be filtered', async () => {
    await importing();
    const before = await edition();
    give(fs.readFileSync('samples/mouldings-bad.csv', 'utf8'));
    await screen.findByText(/17 rows are refused/);
    expect(screen.queryByRole('button', { name: /^Take all/ })).toBeNull();
    const table = within(screen.getByRole('table'));
    const all = table.getAllByRole('row').length;
    fireEvent.click(button(/^17.*refused/));
    await waitFor(() => expect(table.getAllByRole('row')).toHaveLength(18));
    expect(all).toBeGreaterThan(18);
    expect(await edition()).toBe(before);
  });

  it('in a supplier’s own columns is told once which is which; the next time it is known', async () => {
    await importing();
    type(/^Supplier/, 'Gullmark Profiles');
    give(csv(OWN));
    await tellTheRest();
    press('Look at it');
    await take(2);
    await screen.findByText(/2 added, 0 changed/);
    expect((await lists()).mouldings.filter((one) => one.supplier === 'Gullmark Profiles')).toMatchObject([
      { code: 'G-10', cost: { amount: '4.20', per: 'm' } },
      { code: 'G-11', cost: { amount: '1204.00' } },
    ]);
  });

  it('of that supplier again is looked at without a question', async () => {
    await importing();
    await waitFor(() => expect(document.querySelector('datalist option')).toBeTruthy());
    type(/^Supplier/, 'gullmark profiles');
    give(csv([...OWN.slice(0, 2), ['G-12', 'Gull 12, blue', '30', '7', '16', '28', '5,00']]));
    await take(1);
    await screen.findByText(/1 added, 0 changed/);
    expect((await lists()).mouldings.find((one) => one.code === 'G-12')).toMatchObject({ unit: 'mm', finish: 'plain' });
  });

  it('cannot be looked at while a column is missing, and says which', async () => {
    await importing();
    give(csv(OWN));
    await screen.findByText(/^Still needed: unit, material, profile, finish, colour, per$/);
    expect(button('Look at it').disabled).toBe(true);
    expect(sent(shop())).toEqual([]);
  });

  it('as a workbook is the same list: numbers, texts and empty cells', async () => {
    await importing('mats');
    const head = ['code', 'name', 'unit', 'width', 'height', 'thickness mm', 'colour', 'archival', 'cost', 'per'];
    const rows = [head, ['PEARL', 'Pearl board', 'in', 32, 40, 1.4, '#eeeae0', true, 1.35, 'sqft']];
    const book = await writeWorkbook(rows.map((row) => row.map((value) => ({ value })))).toBuffer();
    give(new Uint8Array(book), 'mats.xlsx');
    await take(1);
    await screen.findByText(/1 added/);
    expect((await lists()).mats.find((one) => one.code === 'PEARL')).toMatchObject({
      archival: true,
      cost: { amount: '1.35', per: 'sqft' },
      largest: { w: 260_096, h: 325_120 },
    });
  });

  it.each([
    ['nothing in it', '', 'list.csv', /empty/],
    ['another kind of file', '\u0000\u0001PNG', 'list.csv', /not a text file/],
    ['a workbook that is none', 'PK and nothing more', 'list.xlsx', /workbook cannot be read/],
    ['a quotation mark never closed', 'code,name\n"X,Y', 'list.csv', /never closed/],
  ])('that is %s is said to be so', async (_what, text, name, why) => {
    await importing();
    give(text, name);
    await screen.findAllByText(why, { selector: 'p' });
    expect(screen.queryByRole('button', { name: /^Take all/ })).toBeNull();
  });

  it('that is too large is not sent at all', async () => {
    await importing();
    const asked = shop().served.asked.length;
    give('x'.repeat(6_000_001), 'huge.csv');
    await screen.findByText(/huge\.csv/, { selector: 'p' });
    expect(
      shop()
        .served.asked.slice(asked)
        .filter((one) => String(one).includes('import')),
    ).toEqual([]);
  });
});
