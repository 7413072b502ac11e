/** What is offered, or was agreed, in the customer's words: the same on paper and by a link. */
import type { OrderPieceView, OrderView, ShopView } from '@/contract/views';
import type { Letter } from '@/core/design/candidates';
import { type Outcome, good } from '@/core/issue';
import { BUILDS } from '@/core/builds';
import { scoped } from '@/core/jobs/scope';
import { catalogueOf } from '@/core/materials';
import { type OrderPrice, priceOrder } from '@/core/pricing/order-price';
import { defaultSettings } from '@/core/settings';
import type { Length } from '@/core/units/length';
import { type WorkedOut, workOut } from '@/core/work-out';
import { scopeName } from '@/words/build-parts';
import { buildName } from '@/words/builds';
import { KIND_NAMES, hangingText } from '@/words/materials';
import { QUOTE } from '@/words/screens/papers';
import { suppliedNames } from './papers/supplied';

const booksOf = (shop: ShopView) => ({
  settings: defaultSettings(shop.homeUnit),
  catalogue: catalogueOf(shop.lists),
  prices: shop.prices,
});

/** The result of each piece: as agreed, or as the books are now. */
export function resultsOf(order: Pick<OrderView, 'pieces'>, shop: ShopView): WorkedOut[] {
  const work = workerOf(shop);
  return order.pieces.flatMap((one) => work(one) ?? []);
}

/** Works a piece out: as agreed, or as the books are now; undefined where it cannot be made. */
export function workerOf(shop: ShopView): (piece: Pick<OrderPieceView, 'design' | 'agreed'>) => WorkedOut | undefined {
  const books = booksOf(shop);
  return ({ design, agreed }) => {
    if (agreed) return agreed;
    const result = workOut(design, books);
    return result.ok ? result.value : undefined;
  };
}

export interface Alternative {
  readonly letter: Letter;
  readonly worked: WorkedOut;
}
/** The other designs that are still compared and can be made. */
export const alternativesOf = ({ others = [] }: Pick<OrderPieceView, 'others'>, shop: ShopView): Alternative[] => {
  const books = booksOf(shop);
  return others.flatMap(({ letter, design, declined }) => {
    const result = declined ? undefined : workOut(design, books);
    return result?.ok ? [{ letter, worked: result.value }] : [];
  });
};

export const orderPriceOf = (order: OrderView, results: readonly WorkedOut[], shop: ShopView): Outcome<OrderPrice> =>
  order.agreed
    ? good(order.agreed)
    : priceOrder(
        results.map((one) => one.price!),
        shop.prices,
      );

/** Writes a length; bare without its unit. */
type Write = (length: Length, bare?: boolean) => string;

/** How it is built and how large it comes out. */
export function madeOf({ resolved: { design, moulding }, sizes }: WorkedOut, write: Write): string {
  const outside = sizes.outside ?? sizes.package;
  const say = scoped(design.scope, design.build).frame ? QUOTE.outside : QUOTE.unframed;
  return say(buildName(design.build), moulding.name, write(outside.w, true), write(outside.h));
}
/** What it is made of: the piece itself, what is done with it, everything that is supplied, how it hangs. */
export function toldOf(worked: WorkedOut, write: Write): string {
  const { design } = worked.resolved;
  const { piece, scope } = design;
  // Of what is no thing for a wall nobody asks how it hangs.
  const { hung: hangs, frame: framed } = scoped(scope, design.build);
  const own = QUOTE.ofPiece(
    (KIND_NAMES[piece.kind] ?? piece.kind).toLowerCase(),
    write(piece.width, true),
    write(piece.height),
  );
  return [
    ...(design.build === 'mirror' ? [] : [own]),
    scopeName(scope ?? 'ready to hang').toLowerCase(),
    ...suppliedNames(worked),
    ...(hangs || framed ? [hangingText(worked.hanging).toLowerCase()] : []),
  ].join('; ');
}

/** What somebody could think is in the price, and is not. */
export function notIncluded({ resolved: { design }, hanging, stack }: WorkedOut): string[] {
  const { frame, assembled, delivered } = scoped(design.scope, design.build);
  return [
    !frame && QUOTE.aFrame,
    frame &&
      BUILDS[design.build].uses.includes('glazing') &&
      stack.layers.every((layer) => layer.group !== 'glazing') &&
      QUOTE.glazing,
    assembled === 'customer' && QUOTE.assembly,
    frame && !hanging && QUOTE.hangers,
    !delivered && !(design.extras ?? []).some(({ taxGroup }) => taxGroup === 'delivery') && QUOTE.delivery,
  ].filter((one) => one !== false);
}
