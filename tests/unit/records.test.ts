import sharp from 'sharp';
import { beforeAll, describe, expect, it } from 'vitest';
import { USUAL_SETTINGS } from '@/contract/settings';
import { NO_RECORD, type PieceRecord } from '@/core/custody/record';
import { recordOf } from '@/db/queries/records';
import { takingInPaper } from '@/server/papers/taking-in';
import { ticketPaper } from '@/server/papers/ticket';
import { pieceView } from '@/server/records';
import { boardView, jobView, orderView, picturesView } from '@/server/views';
import { paperPages as pages } from '../pdf';
import { type Stocked, TOTAL, codes, must, stocked, stockedDesign } from '../stocked';

let shop: Stocked;
const paperPages = async (paper: Uint8Array) => (await pages(paper)).map(({ text }) => text);
beforeAll(async () => {
  shop = await stocked();
});

async function photo(shade: number): Promise<string> {
  const png = await sharp({ create: { width: 300, height: 400, channels: 3, background: { r: shade, g: 90, b: 90 } } })
    .png()
    .toBuffer();
  const kept = await shop.app.photos.keep(png);
  if (!kept.ok) throw new Error(codes(kept));
  return kept.value.hash;
}
async function recordWith(over: Partial<PieceRecord> = {}): Promise<PieceRecord> {
  const [front, back] = [await photo(40), await photo(80)];
  return {
    ...NO_RECORD,
    photos: [
      { hash: front, side: 'front' },
      { hash: back, side: 'back' },
    ],
    faults: [
      {
        number: 1,
        kind: 'tear',
        size: '12 mm',
        says: 'Lower left corner',
        noticedBy: 'customer',
        agreed: true,
        at: { hash: front, x: 0.1, y: 0.9 },
      },
    ],
    came: [{ id: crypto.randomUUID(), what: 'Old frame with its glass' }],
    flags: ['gloves'],
    place: 'Shelf 1',
    ...over,
  };
}
const takeIn = async (pieceId: string, record: PieceRecord, revision: number | null = null) =>
  shop.app.command('take-in', { pieceId, revision, record: record as never });
const STROKES = [
  [
    [100, 100],
    [400, 200],
    [700, 90],
  ],
] as [number, number][][];

describe('taking a piece in', () => {
  it('is possible before there is an order, and stays when the quote is saved and changed', async () => {
    const pieceId = crypto.randomUUID();
    const record = await recordWith();
    await must(takeIn(pieceId, record));
    const { customerId } = shop;
    const order = { orderId: crypto.randomUUID(), customerId, promised: '2031-12-15' };
    const pieces = [{ id: pieceId, design: stockedDesign() }];
    await must(shop.app.command('save-quote', { ...order, revision: null, pieces }));
    const again = [{ id: pieceId, design: stockedDesign({ insists: 'The stamp stays visible' }) }];
    await must(shop.app.command('save-quote', { ...order, revision: 1, pieces: again }));
    const view = (await pieceView(shop.app.viewer(), pieceId))!;
    expect([view.record, view.revision, view.order?.state]).toEqual([record, 1, 'quoted']);
    expect(await picturesView(shop.app.viewer(), [pieceId])).toEqual({ [pieceId]: [record.photos[0]!.hash] });
    const rows = await shop.app.db.query('SELECT width, height FROM photo WHERE hash = $1', [record.photos[0]!.hash]);
    expect(rows).toEqual([{ width: 300, height: 400 }]);
  });

  it('refuses photos that are not here, and changes nothing', async () => {
    const pieceId = crypto.randomUUID();
    const record = await recordWith({ photos: [{ hash: 'e'.repeat(64), side: 'front' }], faults: [] });
    expect(codes(await takeIn(pieceId, record))).toBe('photo-unknown');
    expect(await recordOf(shop.app.db, pieceId)).toBeUndefined();
    expect(await shop.app.db.query("SELECT 1 FROM photo WHERE hash = repeat('e', 64)")).toEqual([]);
  });

  it('refuses what is written on an older state, and keeps the newer', async () => {
    const pieceId = crypto.randomUUID();
    const record = await recordWith();
    await must(takeIn(pieceId, record));
    await must(takeIn(pieceId, { ...record, place: 'Drawer 2' }, 1));
    expect(codes(await takeIn(pieceId, { ...record, place: 'Drawer 3' }, 1))).toBe('record-stale');
    expect(codes(await takeIn(pieceId, record))).toBe('record-stale');
    expect((await recordOf(shop.app.db, pieceId))!.record.place).toBe('Drawer 2');
  });

  it('writes down who changed what from what', async () => {
    const pieceId = crypto.randomUUID();
    const record = await recordWith();
    await must(takeIn(pieceId, record));
    await must(takeIn(pieceId, { ...record, place: 'Drawer 2' }, 1));
    const rows = await shop.app.db.query<{ what: string; from: string; to: string }>(
      `SELECT what, before ->> 'place' AS from, after ->> 'place' AS to FROM audit WHERE entity_id = $1 ORDER BY id`,
      [pieceId],
    );
    expect(rows).toEqual([
      { what: 'taken in', from: null, to: 'Shelf 1' },
      { what: 'record changed', from: 'Shelf 1', to: 'Drawer 2' },
    ]);
  });

  it('reaches bench, board and ticket', async () => {
    const { jobId, ticket } = await shop.accepted();
    const record = await recordWith({ flags: ['gloves', 'two people'], faults: [] });
    const mould = { number: 1, kind: 'mould', size: '', says: '', noticedBy: 'shop', agreed: false } as const;
    await must(takeIn(jobId, { ...record, faults: [mould] }));
    const job = (await jobView(shop.app.viewer('bench'), ticket))!;
    expect(job.care).toEqual({
      picture: record.photos[0]!.hash,
      flags: ['gloves', 'two people'],
      apart: ['mould'],
      faults: 1,
      came: ['Old frame with its glass'],
      place: 'Shelf 1',
    });
    expect(job.instructions.find(({ step }) => step === 'final-check')!.scene!.shapes).toContainEqual(
      expect.objectContaining({ kind: 'picture', hash: record.photos[0]!.hash }),
    );
    const board = await boardView(shop.app.viewer('bench'));
    expect(board.jobs.find((one) => one.ticket === ticket)!.care!.apart).toEqual(['mould']);
    const told = await paperPages(await ticketPaper(job, 'Test shop', 'in'));
    const text = told.join(' ');
    for (const said of [
      'Set apart (mould)',
      'Gloves, Two people carry it',
      '1 fault noted before',
      'Old frame with its glass',
      'Lies: Shelf 1',
    ])
      expect(text).toContain(said);
  });
});

describe('signing for it', () => {
  it('keeps what was signed as it was, and says when something was changed after', async () => {
    const pieceId = crypto.randomUUID();
    const record = await recordWith();
    await must(takeIn(pieceId, record));
    await must(shop.app.command('sign-record', { pieceId, revision: 1, name: 'Bo', strokes: STROKES, value: 120_000 }));
    const signed = (await pieceView(shop.app.viewer(), pieceId))!;
    expect([signed.revision, signed.signed!.current, signed.signed!.strokes]).toEqual([2, true, STROKES]);
    await must(takeIn(pieceId, { ...record, flags: [] }, 2));
    const after = (await pieceView(shop.app.viewer(), pieceId))!;
    expect([after.signed!.current, after.signed!.value]).toEqual([false, 120_000]);
    expect((await recordOf(shop.app.db, pieceId))!.signed!.record.flags).toEqual(['gloves']);
  });

  it('is refused for what nobody wrote down, on an older state, and by the bench', async () => {
    const pieceId = crypto.randomUUID();
    const asked = { pieceId, revision: 1, name: 'Bo', strokes: null, value: null };
    expect(codes(await shop.app.command('sign-record', asked))).toBe('record-unknown');
    await must(takeIn(pieceId, await recordWith()));
    expect(codes(await shop.app.command('sign-record', { ...asked, revision: 7 }))).toBe('record-stale');
    const as = { id: crypto.randomUUID(), name: 'Maro', role: 'bench' as const };
    await must(shop.app.command('add-staff', { id: as.id, name: 'Maro', pin: '4711', role: 'bench' }));
    expect(codes(await shop.app.command('sign-record', asked, { as }))).toBe('not-permitted');
  });

  it('the bench is not told what it is worth', async () => {
    const { jobId } = await shop.accepted();
    await must(takeIn(jobId, await recordWith()));
    await must(
      shop.app.command('sign-record', { pieceId: jobId, revision: 1, name: 'Bo', strokes: null, value: 4500 }),
    );
    const view = (await pieceView(shop.app.viewer('bench'), jobId))!;
    expect([view.value, view.limit, view.signed!.value, view.maySign]).toEqual([null, null, null, false]);
    expect(JSON.stringify(view)).not.toContain('4500');
  });
});

describe('a declared value above the limit', () => {
  it('is signed for and locked away before anything is agreed', async () => {
    const settings = { ...USUAL_SETTINGS, valueLimit: 500, lockedPlaces: ['Cabinet'] };
    await must(shop.app.command('change-settings', { edition: 0, settings }));
    const order = await shop.quote([stockedDesign({ value: 50_001 })]);
    const pieceId = order.pieces[0]!.id;
    const accept = () =>
      shop.app.command('accept-order', { orderId: order.orderId, revision: 1, total: TOTAL, reasons: {} });
    expect(codes(await accept())).toBe('value-not-signed');
    await must(takeIn(pieceId, await recordWith()));
    const sign = (value: number, revision: number) =>
      shop.app.command('sign-record', { pieceId, revision, name: 'Bo', strokes: STROKES, value });
    // Signed for less than is declared now does not count.
    await must(sign(50_000, 1));
    expect(codes(await accept())).toBe('value-not-signed');
    await must(sign(50_001, 2));
    expect(codes(await accept())).toBe('value-not-locked');
    await must(takeIn(pieceId, await recordWith({ place: 'Cabinet' }), 3));
    await must(accept());
    // At the limit itself nothing is asked.
    const below = await shop.quote([stockedDesign({ value: 50_000 })]);
    await must(shop.app.command('accept-order', { orderId: below.orderId, revision: 1, total: TOTAL, reasons: {} }));
    await must(shop.app.command('change-settings', { edition: 1, settings: USUAL_SETTINGS }));
  });
});

describe('the receipt for what is left here', () => {
  it('says faults, what came along, value and terms, and who signed', async () => {
    const settings = { ...USUAL_SETTINGS, pieceTerms: 'Kept dry and dark.\nUncollected after 60 days: storage.' };
    await must(shop.app.command('change-settings', { edition: 2, settings }));
    const order = await shop.quote([stockedDesign({ value: 12_345 }), stockedDesign()]);
    const [first] = order.pieces;
    await must(takeIn(first!.id, await recordWith()));
    await must(
      shop.app.command('sign-record', {
        pieceId: first!.id,
        revision: 1,
        name: 'Zoë Ąd',
        strokes: STROKES,
        value: 12_345,
      }),
    );
    const { number } = await shop.viewOf(order.orderId);
    const paper = (await takingInPaper(shop.app.viewer(), number, 'Test shop', 'in'))!;
    const text = (await paperPages(paper)).join(' ');
    for (const said of [
      String(number),
      'Declared value 123.45',
      'Tear, 12 mm: Lower left corner',
      'noticed by the customer, agreed',
      'Old frame with its glass',
      'Handling: Gloves',
      'Kept dry and dark.',
      'Uncollected after 60 days: storage.',
      'Zoë',
      'No photo and no condition was written down.',
    ])
      expect(text).toContain(said);
    expect(await takingInPaper(shop.app.viewer(), 999_999, 'Test shop', 'in')).toBeUndefined();
    expect((await orderView(shop.app.viewer(), number))!.care[first!.id]!.came).toEqual(['Old frame with its glass']);
  });

  it('holds sixty faults and hostile words on as many pages as they take', async () => {
    const order = await shop.quote();
    const hostile = 'Zażółć 漢字 <script> %s ${x} '.repeat(9).slice(0, 290);
    const faults = Array.from({ length: 60 }, (_, index) => ({
      number: index + 1,
      kind: 'stain' as const,
      size: 'large',
      says: hostile,
      noticedBy: 'both' as const,
      agreed: false,
    }));
    await must(takeIn(order.pieces[0]!.id, await recordWith({ faults })));
    const { number } = await shop.viewOf(order.orderId);
    const told = await paperPages((await takingInPaper(shop.app.viewer(), number, 'Test shop', 'mm'))!);
    expect(told.length).toBeGreaterThan(3);
    expect(told.join(' ')).toContain('60 Stain');
    expect(told.at(-1)).toContain('Signature');
  });
});
