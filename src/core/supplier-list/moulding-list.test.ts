import fs from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mm } from '../units/length';
import { atOnce } from '../pausing';
import { type ReadList, planningList, readingList, writeList } from './list';
import { type Listed, MOULDINGS } from './moulding-list';

const COLUMNS = MOULDINGS.columns;
const readingMouldingList = (text: string) => readingList(MOULDINGS, text);
const planningImport = (list: ReadList<Listed>, books: readonly Listed[]) => planningList(MOULDINGS, list, books, 'in');
const readMouldingList = (text: string) => atOnce(readingMouldingList(text));
const planImport = (list: ReadList<Listed>, books: readonly Listed[]) => atOnce(planningImport(list, books));

const file = (name: string) => fs.readFileSync(`samples/${name}`, 'utf8');
const mouldings = (text: string) => readMouldingList(text).rows.flatMap((row) => ('item' in row ? [row.item] : []));
const line = 'X-1,Plain,Us,mm,30,7,16,28,wood,flat,oak,#aa8866,3000,4.20,m';

describe('a supplier’s list', () => {
  it('gives back the same rows, byte for byte', () => {
    const clean = file('mouldings-clean.csv');
    const read = mouldings(clean);
    expect(read.length).toBeGreaterThanOrEqual(60);
    expect(writeList(MOULDINGS, read, 'in')).toBe(clean);
  });

  it('refuses every kind of bad row with its reason, and reads the good ones beside them', () => {
    const { rows } = readMouldingList(file('mouldings-bad.csv'));
    const reasons = rows.map((row) =>
      'item' in row
        ? row.item.name.replace(/\s+/g, ' ')
        : row.issues.map((one) => `${one.path ?? ''} ${one.code}`.trim()).join(' + '),
    );
    expect(reasons).toEqual([
      'Good row',
      'Name with ; and "quotes" and a second line',
      'code list-empty',
      'rabbet width list-rabbet-wide',
      'rabbet depth list-rabbet-deep',
      'face width length-two-numbers',
      'material list-choice',
      'profile list-choice',
      'colour list-colour',
      'cost list-cost',
      'cost list-cost',
      'list-fields',
      'face width length-zero',
      'stick length-too-big',
      'unit list-choice',
      'per list-choice',
      'name list-formula',
      'code list-code-twice',
      'code list-code',
      'Gannet 31, smoked ash, dearer',
    ]);
    expect(mouldings(file('mouldings-bad.csv'))[1]).toMatchObject({
      faceWidth: mm(30.5),
      cost: { amount: '12.50', per: 'm' },
    });
  });

  it.each([
    ['', 'list-nothing'],
    ['code,name\nA,B', 'list-columns'],
    [`${COLUMNS.join(',')},code\n${line},X`, 'list-column-twice'],
    ['PK\u0003\u0004\u0000', 'list-binary'],
    [`${COLUMNS.join(',')}\n"X-1,Plain`, 'list-quotes'],
    [`${COLUMNS.join(',')}\n${`${line}\n`.repeat(25_001)}`, 'list-rows'],
  ])('refuses a file as a whole: %#', (text, code) => expect(readMouldingList(text).issues[0]!.code).toBe(code));

  it('plans what is added, changed and left as it is', () => {
    const books = mouldings(`${COLUMNS.join(',')}\n${line}\n${line.replace('X-1', 'X-2')}`);
    const plan = planImport(
      readMouldingList(
        `${COLUMNS.join(';')}\n${[line, line.replace('X-1', 'X-2').replace('4.20', '4,60'), line.replace('X-1', 'X-3')].join('\n').replaceAll(',', ';').replace('4;60', '4,60')}`,
      ),
      books,
    );
    expect(plan.map((row) => row.does)).toEqual(['same', 'change', 'add']);
    expect(plan[1]!.changes).toEqual([{ field: 'cost', from: '4.20', to: '4.60' }]);
  });

  it('takes codes that differ by case only for one: twice in a list, or written another way than in the books', () => {
    const head = COLUMNS.join(',');
    const twice = readMouldingList(`${head}\n${line}\n${line.replace('X-1', 'x-1')}`).rows[1]!;
    expect('issues' in twice && twice.issues.map((one) => one.code)).toEqual(['list-code-twice']);
    const plan = planImport(readMouldingList(`${head}\n${line.replace('X-1', 'x-1')}`), mouldings(`${head}\n${line}`));
    expect(plan[0]).toMatchObject({ does: 'refuse', issues: [{ code: 'list-code-case', figures: { known: 'X-1' } }] });
  });

  it('reads and plans in slices, to the same end', () => {
    const list = `${COLUMNS.join(',')}\n${Array.from({ length: 950 }, (_, row) => line.replace('X-1', `X-${row}`)).join('\n')}`;
    const count = <T>(work: Generator<undefined, T>) => {
      for (let pauses = 0; ; pauses += 1) {
        const { done, value } = work.next();
        if (done) return { pauses, value };
      }
    };
    const read = count(readingMouldingList(list));
    const plan = count(planningImport(read.value, []));
    expect([read.pauses, plan.pauses]).toEqual([4, 4]);
    expect(plan.value).toEqual(planImport(readMouldingList(list), []));
    expect(plan.value).toHaveLength(950);
  });

  it('never throws, whatever the file holds', () => {
    const text = fc.string({ unit: fc.constantFrom(...'abc,;\t"\n\r0129/.-= ½é\u0000'), maxLength: 200 });
    fc.assert(
      fc.property(text, fc.boolean(), (junk, headed) => {
        const list = readMouldingList(headed ? `${COLUMNS.join(',')}\n${junk}` : junk);
        expect(list.issues.length > 0 || list.rows.every((row) => 'item' in row || row.issues.length > 0)).toBe(true);
      }),
      { seed: 21, numRuns: 500 },
    );
  });
});
