/** The receipt for what a customer leaves: each piece with its photos, its marked faults, its value, and the shop's terms; to be signed. */
import type { OrderView } from '@/contract/views';
import type { PieceRecord, Stroke } from '@/core/custody/record';
import type { Unit } from '@/core/units/length';
import { type Money, formatMoney } from '@/core/units/money';
import { type RecordRow, recordsOf } from '@/db/queries/records';
import { KIND_NAMES, dayName } from '@/words/materials';
import { FAULT_NAMES, FLAG_NAMES, RECORD } from '@/words/screens/care';
import { NOTICED, TAKING_IN } from '@/words/screens/record';
import { setApart } from '@/core/custody/record';
import type { CounterViewer } from '../access';
import { dayOf } from '../clock';
import { orderView } from '../views';
import { type Bytes, INK, SOFT, Sheet } from './sheet';

const LEFT = 18;
const PHOTO = { w: 56, h: 56, gap: 5 } as const;
const MOST_PHOTOS = 3;
/** The field of a signature, as wide as on the screen a third as high. */
const SIGNED = { w: 66, h: 22 } as const;

/** The photos beside each other, each with the numbers of the faults marked on it. */
function photos(
  sheet: Sheet,
  record: PieceRecord,
  y: number,
  sizes: ReadonlyMap<string, { w: number; h: number }>,
): number {
  const shown = record.photos.slice(0, MOST_PHOTOS);
  if (shown.length === 0) return y;
  for (const [index, { hash }] of shown.entries()) {
    const { w, h } = sizes.get(hash) ?? { w: 1, h: 1 };
    const scale = Math.min(PHOTO.w / w, PHOTO.h / h);
    const [wide, tall] = [w * scale, h * scale];
    const x = LEFT + index * (PHOTO.w + PHOTO.gap);
    sheet.photo(hash, x, y, wide, tall);
    for (const { number, at } of record.faults) {
      if (at?.hash !== hash) continue;
      const [mx, my] = [x + at.x * wide, y + at.y * tall];
      sheet.disc(mx, my, 2.3);
      sheet.text(String(number), mx, my + 1.1, { size: 8.5, weight: 'bold', align: 'middle' });
    }
  }
  return y + PHOTO.h + 6;
}

function signature(sheet: Sheet, strokes: readonly Stroke[], x: number, y: number): void {
  const per = SIGNED.w / 1000;
  for (const stroke of strokes)
    for (const [index, [px, py]] of stroke.entries()) {
      const before = stroke[index - 1];
      if (before) sheet.line([x + before[0] * per, y + before[1] * per], [x + px * per, y + py * per], INK, 0.9);
    }
}

interface Taken {
  readonly title: string;
  readonly size: string;
  readonly kind: string;
  readonly value: number | undefined;
  readonly row: RecordRow | undefined;
}

function pieceOf(
  sheet: Sheet,
  { title, size, kind, value, row }: Taken,
  top: number,
  sizes: ReadonlyMap<string, { w: number; h: number }>,
): number {
  const wide = sheet.width - 2 * LEFT;
  const record = row?.record;
  let y = sheet.room(top, record && record.photos.length > 0 ? 92 : 40);
  sheet.text(title, LEFT, y, { size: 14, weight: 'bold' });
  sheet.text(
    value === undefined ? TAKING_IN.noValue : TAKING_IN.value(formatMoney(value as Money)),
    sheet.width - LEFT,
    y,
    {
      size: 11,
      weight: 'bold',
      align: 'right',
    },
  );
  sheet.text(`${kind}, ${size}`, LEFT, y + 5, { size: 10.5, colour: SOFT });
  y += 10;
  if (!record) return sheet.paragraph(TAKING_IN.nothing, LEFT, y + 2, wide, { size: 10.5 }) + 6;
  y = photos(sheet, record, y, sizes);
  const line = (text: string, weight: 'text' | 'bold' = 'text') => {
    y = sheet.room(y, sheet.lines(text, wide, { size: 10.5, weight }).length * Sheet.lead(10.5));
    y = sheet.paragraph(text, LEFT, y, wide, { size: 10.5, weight }) + 0.6;
  };
  line(TAKING_IN.faults, 'bold');
  if (record.faults.length === 0) line(TAKING_IN.noFaults);
  for (const { number, kind: fault, size: large, says, noticedBy, agreed } of record.faults)
    line(
      `${TAKING_IN.fault(number, FAULT_NAMES[fault], large, says)} (${TAKING_IN.noticed(NOTICED[noticedBy], agreed)})`,
    );
  if (record.came.length > 0) {
    line(TAKING_IN.came, 'bold');
    for (const { what } of record.came) line(`–  ${what}`);
  }
  const apart = setApart(record);
  if (apart.length > 0) line(RECORD.apart(apart), 'bold');
  if (record.flags.length > 0)
    line(`${TAKING_IN.handling}: ${record.flags.map((flag) => FLAG_NAMES[flag]).join(', ')}`);
  return y + 5;
}

/** Terms, and room for a signature; one that was given on the screen is drawn. */
function foot(sheet: Sheet, terms: string, rows: readonly (RecordRow | undefined)[], top: number): void {
  const wide = sheet.width - 2 * LEFT;
  const text = terms || TAKING_IN.noTerms;
  const paragraphs = text.split(/\n+/);
  const tall = paragraphs.reduce((sum, one) => sum + sheet.lines(one, wide, { size: 10 }).length * Sheet.lead(10), 0);
  let y = sheet.room(top, tall + 40);
  sheet.text(TAKING_IN.terms, LEFT, y, { size: 11, weight: 'bold' });
  y += 5;
  for (const one of paragraphs) y = sheet.paragraph(one, LEFT, y, wide, { size: 10 });
  const signed = rows.find((row) => row?.signed)?.signed;
  y += 4;
  if (signed?.strokes) signature(sheet, signed.strokes, LEFT, y);
  sheet.rule(y + SIGNED.h, { from: LEFT, to: LEFT + SIGNED.w, colour: INK });
  sheet.text(
    signed ? TAKING_IN.signedBy(signed.name, dayName(signed.at.slice(0, 10), 0)) : TAKING_IN.sign,
    LEFT,
    y + SIGNED.h + 4.5,
    {
      size: 9.5,
      colour: SOFT,
    },
  );
}

function head(sheet: Sheet, order: OrderView, shop: string, day: string): void {
  sheet.text(shop, LEFT, 22, { size: 15, weight: 'heavy' });
  sheet.text(String(order.number), sheet.width - LEFT, 22, { size: 22, weight: 'heavy', align: 'right' });
  sheet.text(TAKING_IN.head, LEFT, 31, { size: 13, weight: 'bold' });
  sheet.text(TAKING_IN.of(order.customer.name, dayName(day, 0)), sheet.width - LEFT, 31, { size: 11, align: 'right' });
  sheet.rule(35, { from: LEFT, to: sheet.width - LEFT, colour: INK, width: 1 });
}

/** Undefined where there is no such order. */
export async function takingInPaper(
  viewer: CounterViewer,
  number: number,
  shop: string,
  unit: Unit,
): Promise<Uint8Array | undefined> {
  const order = await orderView(viewer, number);
  if (!order) return undefined;
  const { app } = viewer;
  const rows = await recordsOf(
    app.db,
    order.pieces.map(({ id }) => id),
  );
  const bytes = new Map<string, Uint8Array>();
  const sizes = new Map<string, { w: number; h: number }>();
  for (const { hash } of [...rows.values()].flatMap(({ record }) => record.photos.slice(0, MOST_PHOTOS))) {
    const [read, known] = [await app.photos.read(hash, 'small'), await app.photos.find(hash)];
    if (!read || !known) continue;
    bytes.set(hash, read);
    sizes.set(hash, { w: known.width, h: known.height });
  }
  const sheet = Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, TAKING_IN.title(number));
  sheet.photos = bytes as Bytes;
  head(sheet, order, shop, dayOf(app.clock.now()));
  let y = 44;
  for (const { id, design } of order.pieces) {
    const { piece, value } = design;
    const size = `${sheet.length(piece.width, { bare: true, fine: false })} × ${sheet.length(piece.height, { fine: false })}`;
    const taken = {
      title: piece.title || KIND_NAMES[piece.kind] || piece.kind,
      size,
      kind: KIND_NAMES[piece.kind] ?? piece.kind,
      value,
      row: rows.get(id),
    };
    y = pieceOf(sheet, taken, y, sizes);
  }
  foot(
    sheet,
    (await app.shopSettings()).pieceTerms,
    order.pieces.map(({ id }) => rows.get(id)),
    y,
  );
  return sheet.done();
}
