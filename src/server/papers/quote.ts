/** The quote, and after the yes the order on paper: each piece drawn, its lines, the total, the deposit, until when. */
import type { OrderView, ShopView } from '@/contract/views';
import { frontScene } from '@/core/drawing/front';
import { scoped } from '@/core/jobs/scope';
import { catalogueOf } from '@/core/materials';
import { type OrderPrice, priceOrder } from '@/core/pricing/order-price';
import { defaultSettings } from '@/core/settings';
import type { Unit } from '@/core/units/length';
import { good } from '@/core/issue';
import { formatMoney } from '@/core/units/money';
import { type WorkedOut, workOut } from '@/core/work-out';
import { buildName } from '@/words/builds';
import { scopeName } from '@/words/build-parts';
import { KIND_NAMES, LINE_NAMES, dayName, hangingText } from '@/words/materials';
import { type Bytes, NO_BYTES, SOFT, Sheet } from './sheet';
import { suppliedNames } from './supplied';
import { QUOTE } from '@/words/screens/papers';

const LEFT = 18;

function head(sheet: Sheet, order: OrderView, shop: string): void {
  const right = sheet.width - LEFT;
  sheet.text(shop, LEFT, 24, { size: 15, weight: 'heavy' });
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
      ? QUOTE.thesePricesHoldUntil(dayName(order.quoteUntil))
      : QUOTE.promisedFor(dayName(order.promised)),
    right,
    39.5,
    { size: 11, colour: SOFT, align: 'right' },
  );
  sheet.rule(44, { from: LEFT, to: right, colour: '#20272b', width: 1 });
}

const TALL = 68;

/** What somebody could think is in the price, and is not. */
function notIncluded({ resolved: { design }, hanging, stack }: WorkedOut): string[] {
  const { frame, assembled, delivered } = scoped(design.scope, design.build);
  return [
    !frame && QUOTE.aFrame,
    frame && stack.layers.every((layer) => layer.group !== 'glazing') && QUOTE.glazing,
    assembled === 'customer' && QUOTE.assembly,
    frame && !hanging && QUOTE.hangers,
    !delivered && QUOTE.delivery,
  ].filter((one) => one !== false);
}

interface Alternative {
  readonly letter: string;
  readonly worked: WorkedOut;
}
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
  const { resolved, sizes, price } = worked;
  const outside = sizes.outside ?? sizes.package;
  sheet.scene(frontScene(worked, true, pictures), LEFT - 3, top, 54, 60, 8);
  const x = LEFT + 58;
  sheet.text(resolved.design.piece.title || QUOTE.piece(index + 1), x, top + 5, { size: 13.5, weight: 'bold' });
  sheet.text(
    (scoped(resolved.design.scope, resolved.design.build).frame ? QUOTE.outside : QUOTE.unframed)(
      buildName(resolved.design.build),
      resolved.moulding.name,
      sheet.length(outside.w, { bare: true, fine: false }),
      sheet.length(outside.h, { fine: false }),
    ),
    x,
    top + 10.5,
    { size: 10 },
  );
  const { piece: it, scope } = resolved.design;
  const own = QUOTE.ofPiece(
    (KIND_NAMES[it.kind] ?? it.kind).toLowerCase(),
    sheet.length(it.width, { bare: true, fine: false }),
    sheet.length(it.height, { fine: false }),
  );
  const told = [
    ...(resolved.design.build === 'mirror' ? [] : [own]),
    scopeName(scope ?? 'ready to hang').toLowerCase(),
    ...suppliedNames(worked),
    hangingText(worked.hanging).toLowerCase(),
  ].join('; ');
  let y = sheet.paragraph(told, x, top + 15, right - x, { size: 10, colour: SOFT }) + 2.4;
  const row = (name: string, amount: string, weight: 'text' | 'bold' = 'text') => {
    sheet.text(name, x, y, { size: 10.5, weight });
    sheet.text(amount, right, y, { size: 10.5, weight, align: 'right' });
    y += 5;
  };
  for (const line of price?.lines ?? []) row(LINE_NAMES[line.key] ?? line.key, formatMoney(line.amount));
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

function totals(sheet: Sheet, order: OrderView, price: OrderPrice, top: number, currency: string): void {
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
}

/** The result of each piece: as agreed, or as the books are now. */
export function resultsOf(order: OrderView, shop: ShopView): WorkedOut[] {
  const books = { settings: defaultSettings(shop.homeUnit), catalogue: catalogueOf(shop.lists), prices: shop.prices };
  return order.pieces.flatMap((one) => {
    if (one.agreed) return [one.agreed];
    const result = workOut(one.design, books);
    return result.ok ? [result.value] : [];
  });
}

/** The other designs that are still compared and can be made. */
const alternativesOf = ({ others = [] }: OrderView['pieces'][number], shop: ShopView): Alternative[] => {
  const books = { settings: defaultSettings(shop.homeUnit), catalogue: catalogueOf(shop.lists), prices: shop.prices };
  return others.flatMap(({ letter, design, declined }) => {
    const result = declined ? undefined : workOut(design, books);
    return result?.ok ? [{ letter, worked: result.value }] : [];
  });
};

/** Undefined when a piece of the quote can no longer be made as it was chosen. */
export async function quotePaper(
  order: OrderView,
  shop: ShopView,
  unit: Unit,
  photos: Bytes = NO_BYTES,
): Promise<Uint8Array | undefined> {
  const results = resultsOf(order, shop);
  if (results.length !== order.pieces.length) return undefined;
  const priced = order.agreed
    ? good(order.agreed)
    : priceOrder(
        results.map((one) => one.price!),
        shop.prices,
      );
  if (!priced.ok) return undefined;
  const price = priced.value;
  const sheet = Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, QUOTE.quote2(order.number));
  sheet.photos = photos;
  head(sheet, order, shop.name);
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
  totals(sheet, order, price, y + 4, shop.currency);
  sheet.text(QUOTE.sizesAreThoseOf, LEFT, sheet.height - 12, { size: 9, colour: SOFT });
  return sheet.done();
}
