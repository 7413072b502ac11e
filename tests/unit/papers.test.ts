import { describe, expect, it } from 'vitest';
import type { JobView, OrderView } from '@/contract/views';
import type { Design } from '@/core/design/design';
import { mustPriceOrder } from '@/core/pricing/order-price';
import { inches } from '@/core/units/length';
import { workOut } from '@/core/work-out';
import { Sheet } from '@/server/papers/sheet';
import { quotePaper } from '@/server/papers/quote';
import { ticketPaper } from '@/server/papers/ticket';
import { wallCard } from '@/server/papers/wall-card';
import { paperPages } from '../pdf';
import { exampleDesign, inch, prices, shop, shopView } from '../shop';

const HOSTILE = 'Zażółć 漢字 👩‍🎨 <script> ${x} %s \u0000 '.repeat(6);
const worked = (design: Design) => {
  const result = workOut(design, shop());
  if (!result.ok) throw new Error('cannot be built');
  return result.value;
};
const job = (design: Design = exampleDesign()): JobView => ({
  id: 'j',
  ticket: '2401-1',
  number: 2401,
  revision: 1,
  customer: design.insists || 'Bo',
  promised: '2031-05-05',
  state: 'in-work',
  hold: null,
  reasons: { 'depth-proud': design.insists || 'clips' },
  next: 'fit',
  events: [],
  worked: worked(design),
  steps: worked(design).route.map((one) => ({ ...one, state: 'todo', times: 0, startedAt: null })),
});
const order = (designs: Design[]): OrderView => ({
  id: 'o',
  number: 2401,
  state: 'quoted',
  revision: 1,
  promised: '2031-05-05',
  quoteUntil: '2031-06-05',
  edition: 1,
  held: false,
  expired: false,
  customer: { id: 'c', name: designs[0]!.insists || 'Bo', phone: '555', email: '' },
  agreed: null,
  payments: [],
  paid: 0,
  owedBack: 0,
  openCards: [],
  jobs: [],
  pieces: designs.map((design, index) => ({ id: String(index), design, agreed: null })),
});
const pages = paperPages;
const textOf = async (bytes: Uint8Array | undefined) => (await paperPages(bytes)).map(({ text }) => text).join(' ');

/** Of the worked example, as its cases have them. */
const FIGURES: readonly (readonly [string, string])[] = [
  ['18', '7⁄8'],
  ['22', '7⁄8'],
  ['16', '3⁄4'],
  ['20', '3⁄4'],
  ['11', '3⁄4'],
  ['15', '3⁄4'],
];

describe('papers', () => {
  it('come on the paper of the unit: letter for inches, A4 for millimetres, a card for the wall', async () => {
    expect((await pages(await ticketPaper(job(), 'Test', 'in'))).map(({ size }) => size)).toEqual([[215.9, 279.4]]);
    expect((await pages(await ticketPaper(job(), 'Test', 'mm'))).map(({ size }) => size)).toEqual([[210, 297]]);
    expect((await pages(await wallCard(job(), 'Test', 'in'))).map(({ size }) => size)).toEqual([[152.4, 101.6]]);
  });

  it('take names and wishes in any script, and of any length, without breaking', async () => {
    const odd = exampleDesign({
      insists: HOSTILE.slice(0, 400),
      piece: { ...exampleDesign().piece, title: HOSTILE.slice(0, 120) },
    });
    expect(await pages(await ticketPaper(job(odd), HOSTILE, 'in'))).toHaveLength(1);
    expect(await pages(await quotePaper(order([odd]), shopView, 'mm'))).toHaveLength(1);
    expect(await pages(await wallCard(job(odd), HOSTILE, 'mm'))).toHaveLength(1);
  });

  it('print names as they are written: Latin of every kind, Greek, Cyrillic', async () => {
    const names = ['Łukasz Żółć', 'Đặng Thị Hương', 'Καλλιόπη Ἀρχή', 'Ирина Ґречко', 'Søren Ŵynn'];
    for (const name of names) {
      const design = exampleDesign({ insists: name, piece: { ...exampleDesign().piece, title: name } });
      for (const paper of [
        await ticketPaper(job(design), name, 'in'),
        await quotePaper(order([design]), shopView, 'mm'),
        await wallCard(job(design), name, 'in'),
      ]) {
        const text = await textOf(paper);
        // Letters of two scripts lie in two faces; a reader joins them without the blanks between.
        expect(text.replace(/ /g, '')).toContain(name.replace(/ /g, ''));
        expect(text).not.toContain('?');
      }
    }
  });

  it('say the figures of the piece, fractions as fractions', async () => {
    const text = (await textOf(await ticketPaper(job(), 'Test', 'in'))).replace(/\s*⁄\s*/g, '⁄');
    for (const [whole, fraction] of FIGURES) expect(text).toMatch(new RegExp(`${whole} ?${fraction}`));
    const quote = await textOf(await quotePaper(order([exampleDesign()]), shopView, 'in'));
    expect(quote).toContain('186.84');
  });

  it('take the smallest and the largest piece, three mats, and no wire', async () => {
    const start = exampleDesign();
    const piece = (w: number, h: number) => ({ ...start.piece, width: inches(w), height: inches(h) });
    const mats = [0, 1016, 1016].map((reveal) => ({ board: { code: 'A2' }, reveal: reveal as never }));
    for (const design of [
      exampleDesign({ piece: piece(1, 1) }),
      exampleDesign({ piece: piece(40, 90), mats }),
      exampleDesign({ hanging: { rings: 'none', slack: '0.05' } }),
    ]) {
      expect(await pages(await ticketPaper(job(design), 'Test', 'in'))).toHaveLength(1);
      expect(await pages(await wallCard(job(design), 'Test', 'in'))).toHaveLength(1);
    }
  });

  it('spread a long quote over pages, and make none for a piece that cannot be made', async () => {
    expect(
      await pages(await quotePaper(order(Array.from({ length: 8 }, () => exampleDesign())), shopView, 'in')),
    ).toHaveLength(3);
    const gone = exampleDesign({ frame: { moulding: { code: 'GONE' }, allowance: inch('1/8') } });
    expect(await quotePaper(order([gone]), shopView, 'in')).toBeUndefined();
    expect(mustPriceOrder([worked(exampleDesign()).price!], prices).total).toBe(18_684);
  });
});

describe('a sheet', () => {
  it('sets a fraction as one, narrower than its figures side by side, and says lengths with their unit', async () => {
    const sheet = Sheet.open('letter', 'in', 'Test');
    expect(sheet.measure('16 7/8', 20)).toBeLessThan(
      sheet.measure('16', 20) + sheet.measure('7', 20) + sheet.measure('8', 20),
    );
    expect([
      sheet.length(inch('16 51/64')),
      sheet.length(inch('16 51/64'), { fine: false }),
      sheet.length(inch('1/8'), { unit: 'mm', bare: true }),
    ]).toEqual(['16 51/64 in', '16 13/16 in', '3.2–']);
  });

  it('breaks a paragraph into lines that fit', async () => {
    const sheet = Sheet.open('card', 'in', 'Test');
    const lead = 5;
    const lines = (text: string) => (sheet.paragraph(text, 10, 10, 40, { size: 10, lead }) - 10) / lead;
    expect(lines('short')).toBe(1);
    expect(lines('a text that is a good deal longer than forty millimetres at ten points')).toBeGreaterThan(2);
    expect(lines('x'.repeat(300))).toBeGreaterThan(4);
  });
});
