/** The table of a list: what typing, pasting, filling and filtering do to its rows. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Selection,
  changedRows,
  cleared,
  copied,
  filledDown,
  pasted,
  rowsOf,
  shownRows,
  withRow,
  written,
} from '@/features/books/grid/cells';
import { blockOf, textOfBlock, wrongIn } from '@/features/books/grid/tools';
import { MATS } from '@/core/supplier-list/sheet-lists';

const BOOKS = rowsOf([
  ['A', 'Ash', '1.00'],
  ['B', 'Birch', '2.00'],
  ['C', 'Cedar', '3.00'],
]);
const ALL = [0, 1, 2];
const START = ['', '', '9.99'];
const area = (top: number, left: number, bottom = top, right = left): Selection => ({
  from: { row: top, column: left },
  to: { row: bottom, column: right },
});
const texts = (rows: readonly { cells: readonly string[] }[]) => rows.map(({ cells }) => cells.join(' '));

describe('cells', () => {
  it('are changed by what is typed; the code of a row in the books stays, that of a new row does not', () => {
    const typed = written(withRow(BOOKS, START), [
      { row: 0, column: 2, text: '1.50' },
      { row: 1, column: 0, text: 'X' },
      { row: 3, column: 0, text: 'D' },
    ]);
    expect(texts(typed)).toEqual(['A Ash 1.50', 'B Birch 2.00', 'C Cedar 3.00', 'D  9.99']);
    expect(changedRows(typed).map(({ id }) => id)).toEqual([0, 3]);
  });

  it('typed back to what they were are no change', () => {
    const there = written(BOOKS, [{ row: 2, column: 1, text: 'Oak' }]);
    expect([changedRows(there).length, changedRows(written(there, [{ row: 2, column: 1, text: 'Cedar' }]))]).toEqual([
      1,
      [],
    ]);
  });

  it('take a block from a spreadsheet from their upper left on, and grow by rows for the rest of it', () => {
    expect(
      texts(pasted(BOOKS, ALL, area(1, 1), blockOf('Beech\t2.20\r\nCherry\t3.30\r\nDeal\t4.40\r\n'), START)),
    ).toEqual(['A Ash 1.00', 'B Beech 2.20', 'C Cherry 3.30', ' Deal 4.40']);
    // What is wider than the table is cut off; quotes hold tabs and line breaks of a cell.
    expect(texts(pasted(BOOKS, ALL, area(0, 1), blockOf('"Ash,\tnew"\t5\tmore\tand more'), START))[0]).toBe(
      'A Ash,\tnew 5',
    );
  });

  it('are all filled with one text alone', () => {
    expect(texts(pasted(BOOKS, ALL, area(2, 2, 0, 1), [['7']], START))).toEqual(['A 7 7', 'B 7 7', 'C 7 7']);
  });

  it('are filled down from the first selected row, whichever way they were selected', () => {
    for (const selection of [area(0, 1, 2, 2), area(2, 2, 0, 1)])
      expect(texts(filledDown(BOOKS, ALL, selection))).toEqual(['A Ash 1.00', 'B Ash 1.00', 'C Ash 1.00']);
  });

  it('are only touched where they are in sight', () => {
    const shown = shownRows(BOOKS, { 1: ' AR ' });
    expect(shown).toEqual([2]);
    expect(shownRows(BOOKS, { 1: 'a', 2: '3' })).toEqual([2]);
    const two = shownRows(BOOKS, { 2: '0', 1: 'a' });
    expect(texts(filledDown(BOOKS, two, area(0, 2, 1, 2)))).toEqual(['A Ash 1.00', 'B Birch 2.00', 'C Cedar 1.00']);
    expect(shownRows(withRow(BOOKS, START), { 1: 'nothing has this' })).toEqual([3]);
  });

  it('are emptied, and copied as a spreadsheet takes them', () => {
    expect(texts(cleared(BOOKS, ALL, area(0, 1, 1, 2)))).toEqual(['A  ', 'B  ', 'C Cedar 3.00']);
    expect(textOfBlock(copied(BOOKS, ALL, area(1, 2, 0, 1)))).toBe('Ash\t1.00\nBirch\t2.00');
  });

  it('say what is wrong in them, each in its column', () => {
    const wrong = wrongIn('mats', { id: 0, cells: ['RAG', '=1', 'in', '32', '', '0', '#fff', 'yes', '1.1', 'sqft'] });
    const said = [...wrong].map(([column, one]) => [MATS.columns[column], one.code]);
    expect(new Map(said as [string, string][])).toEqual(
      new Map([
        ['name', 'list-formula'],
        ['height', 'list-empty'],
        ['thickness mm', 'length-zero'],
        ['colour', 'list-colour'],
      ]),
    );
  });

  it('copied and pasted elsewhere are the same texts again', () => {
    const cell = fc.string({ unit: fc.constantFrom(...'ab1"\t\n ,;½'), maxLength: 6 }).map((text) => text.trim());
    const table = fc.array(fc.tuple(cell, cell, cell), { minLength: 2, maxLength: 6 });
    fc.assert(
      fc.property(table, (cells) => {
        const rows = rowsOf(cells);
        const all = rows.map((_, at) => at);
        const copy = textOfBlock(copied(rows, all, area(0, 1, rows.length - 1, 2)));
        // One empty text alone is nothing to paste.
        fc.pre(copy.trim() !== '');
        const back = pasted(cleared(rows, all, area(0, 1, rows.length - 1, 2)), all, area(0, 1), blockOf(copy), START);
        expect(back.slice(0, rows.length).map((row) => row.cells)).toEqual(rows.map((row) => row.cells));
      }),
      { seed: 5, numRuns: 300 },
    );
  });
});
