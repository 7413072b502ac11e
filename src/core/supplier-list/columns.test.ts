/** A supplier's own columns under ours, amounts as lists write them, and lists of boards, glass and backs. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { atOnce } from '../pausing';
import { mm } from '../units/length';
import { columnsMissing, guessColumns, underOurs } from './columns';
import { plainAmount } from './fields';
import { cellsOf, planningList, readingList, textOfCells, writeList } from './list';
import { MOULDINGS } from './moulding-list';
import { BACKING_LIST, GLAZINGS, MATS } from './sheet-lists';

describe('a supplier’s own columns', () => {
  const cells = [
    ['Item No', 'Description', 'Face', 'Rebate', 'Depth', 'Height', 'Stock', 'Net price'],
    ['G-10', 'Gull 10', '30', '7', '16', '28', '12', '€ 4,20'],
    ['G-11', 'Gull 11', '30', '7', '16', '28', '', '€ 1.204,20'],
  ];
  const same = (text: string) => ({ same: text });

  it('are guessed by their names; what they do not have is told to be the same in every row', () => {
    const guessed = guessColumns(MOULDINGS, cells[0]!);
    expect(guessed).toEqual({
      code: { from: 'item no' },
      name: { from: 'description' },
      'face width': { from: 'face' },
      'rabbet width': { from: 'rebate' },
      'rabbet depth': { from: 'depth' },
      height: { from: 'height' },
      cost: { from: 'net price' },
    });
    expect(columnsMissing(MOULDINGS, guessed)).toEqual(['unit', 'material', 'profile', 'finish', 'colour', 'per']);
    expect(columnsMissing(MOULDINGS, { ...guessed, unit: same(' ') })).toContain('unit');
    const map = {
      ...guessed,
      unit: same('mm'),
      material: same('wood'),
      profile: same('flat'),
      finish: same('oak'),
      colour: same('#aa8866'),
      per: same('m'),
    };
    const read = atOnce(readingList(MOULDINGS, textOfCells(underOurs(cells, MOULDINGS.columns, map))));
    expect(read.rows).toMatchObject([
      { row: 2, item: { code: 'G-10', faceWidth: mm(30), rabbetWidth: mm(7), cost: { amount: '4.20', per: 'm' } } },
      { row: 3, item: { code: 'G-11', cost: { amount: '1204.20' } } },
    ]);
  });

  it('are taken as remembered, but not where the file no longer has them', () => {
    const remembered = { code: { from: 'Stock' }, cost: { from: 'gone' }, unit: { same: 'mm' } };
    expect(guessColumns(MOULDINGS, cells[0]!, remembered)).toMatchObject({
      code: { from: 'Stock' },
      cost: { from: 'net price' },
      unit: { same: 'mm' },
    });
  });

  it('leave a row of too few or too many cells as wrong as it was', () => {
    const short = [cells[0]!, ['G-12', 'Gull 12'], [...cells[1]!, 'more']];
    const text = textOfCells(underOurs(short, MOULDINGS.columns, guessColumns(MOULDINGS, cells[0]!)));
    const [head, ...rows] = text.trim().split('\n');
    expect(rows.map((row) => row.split(',').length > head!.split(',').length)).toEqual([true, true]);
  });

  it('come back as they were when the file has our own names', () => {
    const ours = cellsOf(writeList(MOULDINGS, [], 'in'));
    const map = 'cells' in ours ? guessColumns(MOULDINGS, ours.cells[0]!) : {};
    expect(Object.entries(map)).toEqual(MOULDINGS.columns.map((column) => [column, { from: column }]));
  });
});

describe('an amount', () => {
  it.each([
    ['4.20', '4.20'],
    ['4,20', '4.20'],
    ['€ 4,20', '4.20'],
    ['4.20 USD', '4.20'],
    ['EUR 1.204,20', '1204.20'],
    ['$1,204.20', '1204.20'],
    ["1'204.20", '1204.20'],
    ['1 204,20', '1204.20'],
  ])('written %s is %s', (text, plain) => expect(plainAmount(text)).toBe(plain));

  it.each(['four', '4.2.0', '-4', '1e3', '4/2', ''])('written “%s” is no cost', (text) => {
    const list = atOnce(
      readingList(MOULDINGS, `${MOULDINGS.columns.join(',')}\nX,X,,mm,30,7,16,28,wood,flat,oak,#aa8866,,"${text}",m`),
    );
    expect(list.rows[0]).toMatchObject({ issues: [{ code: 'list-cost', path: 'cost' }] });
  });
});

describe('boards, glass and backs', () => {
  const mat = 'RAG,Rag board,in,32,40,1.4,#f4efe3,yes,1.10,sqft';
  const glass = 'CLR,Clear glass,in,36,48,2,#ffffff,no,1.60,sqft,glass,no,no';
  const back = 'FOAM,Foam board,mm,,,5,#ffffff,no,,sqm,foam';

  it.each([
    ['mats', MATS, mat, 'in'],
    ['glass', GLAZINGS, glass, 'in'],
    ['backs', BACKING_LIST, back, 'mm'],
  ] as const)('are read and written the same: %s', (_name, kind, line, home) => {
    const text = `${kind.columns.join(',')}\n${line}\n`;
    const read = atOnce(readingList(kind as typeof MATS, text));
    const items = read.rows.flatMap((row) => ('item' in row ? [row.item] : []));
    expect([read.issues, items.length, writeList(kind as typeof MATS, items, home)]).toEqual([[], 1, text]);
  });

  it('say how large, how thick and what of; without a cost a chart prices them', () => {
    const read = atOnce(readingList(BACKING_LIST, `${BACKING_LIST.columns.join(',')}\n${back}`));
    expect(read.rows[0]).toEqual({
      row: 2,
      code: 'FOAM',
      name: 'Foam board',
      item: { code: 'FOAM', name: 'Foam board', thickness: mm(5), colour: '#ffffff', archival: false, type: 'foam' },
    });
    const glazing = atOnce(readingList(GLAZINGS, `${GLAZINGS.columns.join(',')}\n${glass}`)).rows[0];
    expect(glazing).toMatchObject({ item: { type: 'glass', uv: false, largest: { w: mm(914.4), h: mm(1219.2) } } });
  });

  it.each([
    ['in,32,40', 'in,32,', 'height', 'list-empty'],
    ['yes,1.10', 'maybe,1.10', 'archival', 'list-choice'],
    ['1.4', '0', 'thickness mm', 'length-zero'],
    ['sqft', 'ft', 'per', 'list-choice'],
    ['Rag board', '=1+1', 'name', 'list-formula'],
  ])('are refused with %s as %s', (good, wrong, path, code) => {
    const read = atOnce(readingList(MATS, `${MATS.columns.join(',')}\n${mat.replace(good, wrong)}`));
    expect(read.rows[0]).toMatchObject({ issues: [{ path, code }] });
  });

  it('keep their own rule of price when a list changes them, and say by how much their cost jumps', () => {
    const kind = MATS;
    const head = kind.columns.join(',');
    const [row] = atOnce(readingList(kind, `${head}\n${mat}`)).rows;
    const books = 'item' in row! ? [{ ...row.item, price: { markup: '5' } }] : [];
    const dearer = atOnce(readingList(kind, `${head}\n${mat.replace('1.10', '1.65')}`));
    expect(atOnce(planningList(kind, dearer, books, 'in'))).toMatchObject([
      {
        does: 'change',
        jump: 50,
        changes: [{ field: 'cost', from: '1.10', to: '1.65' }],
        item: { price: { markup: '5' } },
      },
    ]);
    expect(atOnce(planningList(kind, atOnce(readingList(kind, `${head}\n${mat}`)), books, 'in'))[0]!.does).toBe('same');
  });

  it('never throw, whatever stands in the cells', () => {
    const cell = fc.string({ unit: fc.constantFrom(...'abc0129/.,-=½é€ #'), maxLength: 12 });
    fc.assert(
      fc.property(fc.array(cell, { minLength: GLAZINGS.columns.length, maxLength: GLAZINGS.columns.length }), (row) => {
        const [read] = atOnce(readingList(GLAZINGS, textOfCells([GLAZINGS.columns, row]))).rows;
        expect(read === undefined || 'item' in read || read.issues.every((one) => one.path !== undefined)).toBe(true);
      }),
      { seed: 17, numRuns: 400 },
    );
  });
});
