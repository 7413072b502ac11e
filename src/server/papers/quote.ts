/** The quote, and after the yes the order on paper: each piece drawn, its lines, the total, the deposit, until when. */
import type { OrderView, ShopView } from '@/contract/views';
import { frontScene } from '@/core/drawing/front';
import type { OrderPrice } from '@/core/pricing/order-price';
import type { Length, Unit } from '@/core/units/length';
import { formatMoney } from '@/core/units/money';
import type { WorkedOut } from '@/core/work-out';
import { dayName, lineName } from '@/words/materials';
import { QUOTE } from '@/words/screens/papers';
import { type Alternative, alternativesOf, madeOf, notIncluded, orderPriceOf, resultsOf, toldOf } from '../offer';
import { type Bytes, NO_BYTES, SOFT, Sheet } from './sheet';
import { suppliedNames } from './supplied';

const LEFT = 18;

function head(sheet: Sheet, order: OrderView, shop: ShopView): void {
  const right = sheet.width - LEFT;
  sheet.text(shop.name, LEFT, 24, { size: 15, weight: 'heavy' });
  sheet.text(shop.contact.split('\n').join(' · '), LEFT, 28.5, { size: 9, colour: SOFT });
  sheet.text(order.state === 'quoted' ? QUOTE.quote : QUOTE.order, right, 24, {
    size: 15,
    weight: 'bold',
    align: 'right',
  });
  sheet.text(String(order.number), right, 33, { size: 24, weight: 'heavy', align: 'right' });
  sheet.text(order.customer.name, LEFT, 34, { size: 12 });
  sheet.text(order.customer.phone, LEFT, 39.5, { size: 11, colour: SOFT });
  sheet.text(
    order.state === 'quoted'
      ? `${QUOTE.thesePricesHoldUntil(dayName(order.quoteUntil))}. ${QUOTE.readyBy(dayName(order.promised))}`
      : QUOTE.promisedFor(dayName(order.promised)),
    right,
    39.5,
    { size: 11, colour: SOFT, align: 'right' },
  );
  sheet.rule(44, { from: LEFT, to: right, colour: '#20272b', width: 1 });
}

const TALL = 68;

const SMALL = { w: 26, h: 30 } as const;
/** The other designs that can be chosen instead, each with its picture and price; nothing of them is in the total. */
function alternatives(
  sheet: Sheet,
  others: readonly Alternative[],
  { x, y, width }: { x: number; y: number; width: number },
  pictures: readonly string[],
): number {
  sheet.text(QUOTE.insteadOf, x, y + 2, { size: 10, weight: 'bold' });
  const wide = width / 3;
  for (const [index, { letter, worked }] of others.entries()) {
    const left = x + index * wide;
    sheet.scene(frontScene(worked, false, pictures), left, y + 4, SMALL.w, SMALL.h);
    sheet.text(`${letter}  ${worked.price ? formatMoney(worked.price.price) : QUOTE.askUs}`, left, y + SMALL.h + 9, {
      size: 10.5,
      weight: 'bold',
    });
    sheet.paragraph(suppliedNames(worked).slice(0, 2).join(', '), left, y + SMALL.h + 13, wide - 3, {
      size: 8.5,
      colour: SOFT,
    });
  }
  return y + SMALL.h + 24;
}

function piece(
  sheet: Sheet,
  worked: WorkedOut,
  index: number,
  top: number,
  pictures: readonly string[],
  others: readonly Alternative[],
): number {
  const right = sheet.width - LEFT;
  const { resolved, price } = worked;
  sheet.scene(frontScene(worked, true, pictures), LEFT - 3, top, 54, 60, 8);
  const x = LEFT + 58;
  sheet.text(resolved.design.piece.title || QUOTE.piece(index + 1), x, top + 5, { size: 13.5, weight: 'bold' });
  const write = (length: Length, bare = false) => sheet.length(length, { bare, fine: false });
  sheet.text(madeOf(worked, write), x, top + 10.5, { size: 10 });
  let y = sheet.paragraph(toldOf(worked, write), x, top + 15, right - x, { size: 10, colour: SOFT }) + 2.4;
  const row = (name: string, amount: string, weight: 'text' | 'bold' = 'text') => {
    sheet.text(name, x, y, { size: 10.5, weight });
    sheet.text(amount, right, y, { size: 10.5, weight, align: 'right' });
    y += 5;
  };
  for (const line of price?.lines ?? []) row(lineName(line), formatMoney(line.amount));
  if (price && price.rounding !== 0) row(QUOTE.rounding, formatMoney(price.rounding));
  sheet.rule(y - 3.4, { from: x, to: right });
  y += 1;
  row(QUOTE.thisPiece, price ? formatMoney(price.price) : '', 'bold');
  if (resolved.design.insists)
    y = sheet.paragraph(QUOTE.youAsked(resolved.design.insists), x, y + 1, right - x, { size: 10 });
  const left = notIncluded(worked);
  if (others.length > 0) y = alternatives(sheet, others, { x, y: y + 2, width: right - x }, pictures);
  if (left.length > 0)
    y = sheet.paragraph(QUOTE.notIncluded(left.join(', ')), x, y + 1, right - x, { size: 10, colour: SOFT });
  return Math.max(top + TALL, y + 6);
}

function totals(sheet: Sheet, order: OrderView, price: OrderPrice, top: number, currency: string): number {
  const right = sheet.width - LEFT;
  const x = LEFT + 58;
  let y = top + 4;
  const row = (name: string, amount: string, heavy = false) => {
    sheet.text(name, x, y, { size: heavy ? 14 : 11, weight: heavy ? 'heavy' : 'text' });
    sheet.text(amount, right, y, { size: heavy ? 18 : 11, weight: heavy ? 'heavy' : 'text', align: 'right' });
    y += heavy ? 8.5 : 6;
  };
  sheet.rule(top - 3, { from: x, to: right, colour: '#20272b', width: 1 });
  if (order.pieces.length > 1) row(QUOTE.allPieces, formatMoney(price.pieces));
  for (const tax of price.tax)
    row(QUOTE.tax(tax.percent, price.taxMode === 'inclusive' ? ', contained' : ''), formatMoney(tax.amount));
  y += 2;
  row([QUOTE.total, currency].filter(Boolean).join(', '), formatMoney(price.total), true);
  if (order.state === 'quoted') row(QUOTE.depositWhenYouSay, formatMoney(price.deposit));
  else {
    row(QUOTE.paid, formatMoney(order.paid as never));
    row(QUOTE.balance, formatMoney((price.total - order.paid) as never));
  }
  return y;
}

const SIGN = 18;
/** What holds for it, and where the customer signs who agrees on paper; on another page where it does not fit. */
function terms(sheet: Sheet, order: OrderView, text: string, top: number): void {
  const [from, to] = [LEFT, sheet.width - LEFT];
  const lines = [...text.split('\n').filter(Boolean), QUOTE.sizesAreThoseOf];
  const style = { size: 9, colour: SOFT };
  const tall = lines.reduce(
    (total, line) => total + sheet.lines(line, to - from, style).length * Sheet.lead(style.size) + 1,
    0,
  );
  const signs = order.state === 'quoted' ? SIGN : 0;
  let y = top;
  if (y + tall + signs > sheet.height - 12) {
    sheet.newPage();
    y = 24;
  }
  // At the foot of the page, as far down as it goes.
  y = Math.max(y, sheet.height - 12 - tall - signs);
  sheet.rule(y - 4, { from, to });
  for (const line of lines) y = sheet.paragraph(line, from, y, to - from, style) + 1;
  if (signs === 0) return;
  y += SIGN - 5;
  for (const [name, x, wide] of [
    [QUOTE.agreed, from, 84],
    [QUOTE.day, from + 92, 40],
  ] as const) {
    sheet.rule(y, { from: x, to: x + wide, colour: '#20272b' });
    sheet.text(name, x, y + 4, { size: 9, colour: SOFT });
  }
}

/** Undefined when a piece of the quote can no longer be made as it was chosen. */
export async function quotePaper(
  order: OrderView,
  shop: ShopView,
  unit: Unit,
  photos: Bytes = NO_BYTES,
): Promise<Uint8Array | undefined> {
  const results = resultsOf(order, shop);
  if (results.length !== order.pieces.length) return undefined;
  const priced = orderPriceOf(order, results, shop);
  if (!priced.ok) return undefined;
  const price = priced.value;
  const sheet = Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, QUOTE.quote2(order.number));
  sheet.photos = photos;
  head(sheet, order, shop);
  let y = 50;
  for (const [index, worked] of results.entries()) {
    const others = order.state === 'quoted' ? alternativesOf(order.pieces[index]!, shop) : [];
    if (y + TALL + (others.length > 0 ? SMALL.h + 30 : 0) > sheet.height - 20) {
      sheet.newPage();
      y = 20;
    }
    y = piece(sheet, worked, index, y, order.pictures[order.pieces[index]!.id] ?? [], others);
  }
  if (y + 40 > sheet.height - 16) {
    sheet.newPage();
    y = 26;
  }
  y = totals(sheet, order, price, y + 4, shop.currency);
  terms(sheet, order, shop.quoteTerms, y);
  return sheet.done();
}
