/** Links to an order: made, withdrawn and answered by the shop; chosen, asked, agreed and paid by whoever holds one. */
import { createHash } from 'node:crypto';
import { LINK_DAYS, MOST_QUESTIONS, linkState } from '@/core/links/link';
import { type Outcome, bad, good, issue } from '@/core/issue';
import { priceOrder } from '@/core/pricing/order-price';
import { type WorkedOut, workOut } from '@/core/work-out';
import type { Tx } from '@/db/client';
import { type LinkRow, countOf, insertLink, insertLinkEvent, lockLink, withdrawLink } from '@/db/queries/links';
import {
  type OrderRow,
  insertCard,
  lockOrder,
  openCards,
  type OtherRow,
  piecesOf,
  putPieces,
  setQuotedTotal,
  touchOrder,
} from '@/db/queries/orders';
import { dayOf, daysAfter } from '../clock';
import type { Handler } from '../door';
import { accountOf, paidOf } from '../ledger';
import { type Standing, standing } from '../quotes';
import type { ShopData } from '../app-context';
import { acceptOrder, freshOrder, refusals, workPieces } from './orders';

export const hashOfToken = (token: string): string => createHash('sha256').update(token).digest('hex');

/** The link and its order, both held for this transaction, while the link may be used. */
async function open(tx: Tx, id: string, now: Date): Promise<Outcome<{ link: LinkRow; order: OrderRow }>> {
  const link = await lockLink(tx, id);
  if (!link) return bad(issue('link-unknown'));
  if (linkState({ expires: link.expires_at, withdrawn: link.withdrawn_at, over: link.over }, now) !== 'open')
    return bad(issue('link-over'));
  return good({ link, order: (await lockOrder(tx, link.order_id))! });
}

export const makeLink: Handler<'make-link'> = async (tx, payload, context) => {
  const { linkId, orderId, revision, token, reasons } = payload;
  const order = await freshOrder(tx, orderId, revision);
  if (!order.ok) return order;
  const { number, state } = order.value;
  if (state !== 'quoted' && state !== 'accepted') return bad(issue('order-agreed', { number, state }));
  if (state === 'quoted') {
    const edition = (await context.app.booksIn(tx))?.prices.edition ?? 0;
    const { designs } = standing(order.value, await piecesOf(tx, orderId), edition, dayOf(context.now));
    const chosen = await workPieces(tx, context, designs);
    if (!chosen.ok) return chosen;
    const { books, worked } = chosen.value;
    const unpriced = worked.flatMap(({ price }) => price!.missing);
    if (unpriced.length > 0) return bad(issue('price-missing', { name: unpriced[0]! }));
    // What can be chosen instead is agreed to without anybody of the shop beside it: its warnings are looked at now.
    const stop = designs.flatMap(({ id, others }, index) => [
      ...refusals([worked[index]!], [id], reasons),
      ...others.flatMap(({ design, declined }) => {
        const other = declined ? undefined : workOut(design, books);
        return other?.ok ? refusals([other.value], [id], reasons).filter(({ code }) => code !== 'caution-refuses') : [];
      }),
    ]);
    if (stop.length > 0) return bad(...stop);
  }
  const expires = daysAfter(context.now, LINK_DAYS);
  await insertLink(tx, {
    id: linkId,
    order_id: orderId,
    hash: hashOfToken(token),
    made_at: context.now,
    made_by: context.by,
    expires_at: expires,
    reasons,
  });
  await insertLinkEvent(tx, linkId, { at: context.now, by: context.by, what: 'made' });
  return good({
    result: { expires: expires.toISOString() },
    audit: [{ what: 'link made', entity: 'order', entityId: orderId, after: { linkId, reasons } }],
    touched: [`order:${orderId}`],
  });
};

export const takeLinkBack: Handler<'withdraw-link'> = async (tx, { linkId }, { now, by }) => {
  const link = await lockLink(tx, linkId);
  if (!link) return bad(issue('link-unknown'));
  const touched = [`order:${link.order_id}`];
  if (link.withdrawn_at) return good({ audit: [], touched });
  await withdrawLink(tx, linkId, now);
  await insertLinkEvent(tx, linkId, { at: now, by, what: 'withdrawn' });
  return good({
    audit: [{ what: 'link withdrawn', entity: 'order', entityId: link.order_id, after: { linkId } }],
    touched,
  });
};

export const answerQuestion: Handler<'answer-question'> = async (tx, { linkId, text }, { now, by }) => {
  const found = await open(tx, linkId, now);
  if (!found.ok) return found;
  await insertLinkEvent(tx, linkId, { at: now, by, what: 'answered', detail: { text } });
  const { order_id: orderId } = found.value.link;
  return good({
    audit: [{ what: 'question answered', entity: 'order', entityId: orderId, after: { linkId } }],
    touched: [`order:${orderId}`],
  });
};

/** An open quote as the customer saw it, that has not run out. */
function stillOffered(order: OrderRow, revision: number, now: Date): Outcome<undefined> {
  const { number, state } = order;
  if (state !== 'quoted') return bad(issue('order-agreed', { number, state }));
  if (order.revision !== revision) return bad(issue('link-changed'));
  return dayOf(now) > order.quote_until ? bad(issue('quote-over', { day: order.quote_until })) : good(undefined);
}

/** What the order comes to with that piece as it is chosen now; undefined where another cannot be worked out. */
function worthOf(
  designs: Standing['designs'],
  { pieceId, chosen }: { pieceId: string; chosen: WorkedOut },
  books: ShopData,
): number | undefined {
  const prices = designs.flatMap(({ id, design }) => {
    const worked = id === pieceId ? chosen : resultIn(workOut(design, books));
    return worked?.price ? [worked.price] : [];
  });
  if (prices.length < designs.length) return undefined;
  return resultIn(priceOrder(prices, books.prices))?.total;
}
const resultIn = <T>(outcome: Outcome<T>): T | undefined => (outcome.ok ? outcome.value : undefined);

export const linkChoose: Handler<'link-choose'> = async (tx, { linkId, revision, pieceId, letter }, context) => {
  const found = await open(tx, linkId, context.now);
  if (!found.ok) return found;
  const { order } = found.value;
  const offered = stillOffered(order, revision, context.now);
  if (!offered.ok) return offered;
  const books = await context.app.booksIn(tx);
  if (!books) return bad(issue('shop-unknown'));
  const pieces = await piecesOf(tx, order.id);
  const { designs } = standing(order, pieces, books.prices.edition, dayOf(context.now));
  const piece = pieces.find(({ id }) => id === pieceId);
  const other = piece?.others.find((one) => one.letter === letter && !one.declined);
  if (!piece || !other) return bad(issue('choice-gone'));
  const now = designs.find(({ id }) => id === pieceId)!;
  const wanted = workOut(now.others.find((one) => one.letter === letter)!.design, books);
  const refused = wanted.ok && wanted.value.cautions.some(({ level }) => level === 'refuse');
  if (!wanted.ok || refused || !other.quoted || wanted.value.price!.missing.length > 0)
    return bad(issue('choice-gone'));
  const before = workOut(now.design, books);
  const left: OtherRow = {
    letter: piece.letter,
    design: piece.design,
    quoted: piece.quoted,
    price: before.ok ? before.value.price!.price : null,
  };
  const chosen = {
    ...piece,
    letter,
    design: other.design,
    quoted: other.quoted,
    others: piece.others.map((one) => (one === other ? left : one)),
  };
  await putPieces(
    tx,
    order.id,
    pieces.map((one) => (one === piece ? chosen : one)),
  );
  await touchOrder(tx, order.id);
  const sum = worthOf(designs, { pieceId, chosen: wanted.value }, books);
  if (sum !== undefined) await setQuotedTotal(tx, order.id, sum);
  const detail = { piece: piece.position, letter, instead: piece.letter };
  await insertLinkEvent(tx, linkId, { at: context.now, what: 'chose', detail });
  return good({
    result: { revision: revision + 1 },
    audit: [{ what: 'chosen', entity: 'order', entityId: order.id, after: { linkId, ...detail } }],
    touched: [`order:${order.id}`],
  });
};

export const linkAsk: Handler<'link-ask'> = async (tx, { linkId, text }, { now }) => {
  const found = await open(tx, linkId, now);
  if (!found.ok) return found;
  if ((await countOf(tx, linkId, 'asked')) >= MOST_QUESTIONS) return bad(issue('questions-many'));
  await insertLinkEvent(tx, linkId, { at: now, what: 'asked', detail: { text } });
  const { order } = found.value;
  return good({
    audit: [{ what: 'asked', entity: 'order', entityId: order.id, after: { linkId } }],
    touched: [`order:${order.id}`],
  });
};

export const linkAccept: Handler<'link-accept'> = async (tx, { linkId, revision, total, name }, context) => {
  const found = await open(tx, linkId, context.now);
  if (!found.ok) return found;
  const { order, link } = found.value;
  const offered = stillOffered(order, revision, context.now);
  if (!offered.ok) return offered;
  const { reasons } = link;
  const done = await acceptOrder(tx, { orderId: order.id, revision, total, reasons }, context);
  if (!done.ok) return done;
  await insertLinkEvent(tx, linkId, { at: context.now, what: 'accepted', detail: { name, total } });
  return done;
};

/** The deposit, as far as it has not come yet, is asked for at the payment page; asked once, however often it is begun. */
export const linkPay: Handler<'link-pay'> = async (tx, { linkId, requestId }, { now }) => {
  const found = await open(tx, linkId, now);
  if (!found.ok) return found;
  const { order } = found.value;
  const { number, state, agreed } = order;
  if (state !== 'accepted' || !agreed) return bad(issue('payment-not-agreed', { number, state }));
  const paid = paidOf(await accountOf(tx, order));
  const amount = agreed.deposit - paid;
  if (amount <= 0) return bad(issue('deposit-there'));
  const [waiting] = await openCards(tx, order.id);
  if (waiting)
    return waiting.link_id === null || waiting.amount !== amount
      ? bad(issue('deposit-elsewhere'))
      : good({ result: { requestId: waiting.id, amount }, audit: [], touched: [] });
  await insertCard(
    tx,
    { id: requestId, order_id: order.id, kind: paid === 0 ? 'deposit' : 'balance', amount, at: now, link_id: linkId },
    null,
  );
  await insertLinkEvent(tx, linkId, { at: now, what: 'paying', detail: { amount } });
  return good({
    result: { requestId, amount },
    audit: [{ what: 'deposit asked', entity: 'order', entityId: order.id, after: { requestId, amount } }],
    touched: [`order:${order.id}`],
  });
};
