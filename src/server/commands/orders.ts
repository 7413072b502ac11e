/** Quote, acceptance and cancellation of an order. */
import { shortOfAlike } from '@/core/design/alike';
import type { Payload } from '@/contract/commands';
import { agreedFrom } from '@/core/agreed';
import { type Other, letterOf } from '@/core/design/candidates';
import type { Design } from '@/core/design/design';
import { sameValue } from '@/core/design/edit';
import { freeze, givenIn, thaw } from '@/core/design/resolve';
import { type Issue, type Outcome, bad, good, issue } from '@/core/issue';
import { priceOrder } from '@/core/pricing/order-price';
import { type WorkedOut, workOut } from '@/core/work-out';
import type { Tx } from '@/db/client';
import { saleInParts } from '@/core/ledger/order-sale';
import { currentCustomer } from '@/db/queries/customers';
import { recordsOf } from '@/db/queries/records';
import { insertEvent, insertJob, insertStep } from '@/db/queries/jobs';
import { setSale } from '@/db/queries/ledger';
import {
  type OrderRow,
  type PieceRow,
  agreeOrder,
  agreePiece,
  declineOthers,
  type OtherRow,
  insertOrder,
  lockOrder,
  piecesOf,
  putPieces,
  setQuotedTotal,
  setWall,
  updateQuote,
} from '@/db/queries/orders';
import { staffById } from '@/db/queries/staff';
import { dayOf, daysAfter } from '../clock';
import { signed, withinLimit } from '../concessions';
import { ownersPin } from '../owners-pin';
import { standing } from '../quotes';
import type { Context, Handler, Readying } from '../door';
import type { ShopData } from '../app-context';
import { calendarOf } from '@/contract/settings';
import { firstOpenDay, hoursOn } from '@/core/schedule/calendar';

/** The order, held for this transaction, if it is what the caller last saw. */
export async function freshOrder(tx: Tx, id: string, revision: number): Promise<Outcome<OrderRow>> {
  const order = await lockOrder(tx, id);
  if (!order) return bad(issue('order-unknown'));
  if (order.revision !== revision)
    return bad(issue('order-stale', { number: order.number, seen: revision, now: order.revision, state: order.state }));
  return good(order);
}

const HUNDRED = 100;
const shopOf = ({ settings, catalogue, prices }: ShopData) => ({ settings, catalogue, prices });

export async function workPieces(
  tx: Tx,
  { app }: Context,
  pieces: readonly { id: string; design: Design }[],
): Promise<Outcome<{ books: ShopData; worked: WorkedOut[] }>> {
  const books = await app.booksIn(tx);
  if (!books) return bad(issue('shop-unknown'));
  const worked: WorkedOut[] = [];
  for (const [index, piece] of pieces.entries()) {
    const result = workOut(piece.design, shopOf(books));
    if (!result.ok) return bad(...result.issues.map((one) => ({ ...one, path: `pieces.${index}.${one.path ?? ''}` })));
    worked.push(result.value);
  }
  return good({ books, worked });
}

/** A day that is over, or on which nobody is there, is no promise. */
export async function noPromise(tx: Tx, day: string, { app, now }: Context): Promise<Issue | undefined> {
  if (day < dayOf(now)) return issue('promise-past', { day }, 'promised');
  const calendar = calendarOf(await app.settingsIn(tx));
  if (hoursOn(calendar, day)) return undefined;
  return issue('promise-closed', { day, next: firstOpenDay(calendar, day) ?? '' }, 'promised');
}

async function writeQuote(
  tx: Tx,
  payload: Payload<'save-quote'>,
  { now, by }: Context,
  books: ShopData,
): Promise<Outcome<{ number: number; before?: OrderRow }>> {
  const held = payload.pieces.some((piece) => givenIn(piece.design).length > 0);
  const row = {
    id: payload.orderId,
    customer_id: payload.customerId,
    promised: payload.promised,
    edition: books.prices.edition,
    quoted_at: now,
    quote_until: dayOf(daysAfter(now, books.prices.quoteDays)),
  };
  if (payload.revision === null) {
    if (await lockOrder(tx, payload.orderId))
      return bad(issue('order-stale', { number: 0, seen: 0, now: 1, state: 'quoted' }));
    return good({ number: await insertOrder(tx, { ...row, created_by: by }) });
  }
  const order = await freshOrder(tx, payload.orderId, payload.revision);
  if (!order.ok) return order;
  if (order.value.state !== 'quoted')
    return bad(issue('order-agreed', { number: order.value.number, state: order.value.state }));
  const { edition, quote_until, quoted_at } = order.value;
  await updateQuote(tx, held ? { ...row, edition, quote_until, quoted_at } : row);
  return good({ number: order.value.number, before: order.value });
}

/** Figures given in place of a code are believed only when this very quote holds them. */
async function invented(tx: Tx, { orderId, pieces }: Payload<'save-quote'>): Promise<boolean> {
  const designsOf = (piece: (typeof pieces)[number]) => [
    piece.design,
    ...(piece.others ?? []).map((other) => other.design),
  ];
  const given = pieces.flatMap((piece) => designsOf(piece).flatMap(givenIn));
  if (given.length === 0) return false;
  const known = (await piecesOf(tx, orderId)).flatMap((piece) =>
    [piece.quoted, ...piece.others.flatMap((other) => other.quoted ?? [])].flatMap(givenIn),
  );
  return !given.every((one) => known.some((other) => sameValue(one, other)));
}

/** Where more is taken off than a person may, an owner's PIN is looked at before the transaction. */
export const readyQuote: Readying<'save-quote'> = ({ pin }, context) => ownersPin(pin, context);

/** The pieces as they were quoted, as far as they still can be worked out. */
function workedBefore(earlier: ReadonlyMap<string, PieceRow>, books: ShopData): ReadonlyMap<string, WorkedOut> {
  return new Map(
    [...earlier.values()].flatMap(({ id, quoted }) => {
      const result = workOut(quoted, shopOf(books));
      return result.ok ? [[id, result.value] as const] : [];
    }),
  );
}

/** A design worked out; undefined where it cannot be made. */
function madeOf(design: Design, books: ShopData): WorkedOut | undefined {
  const result = workOut(design, shopOf(books));
  return result.ok ? result.value : undefined;
}

/** Another design with what it costs now. One that cannot be made any more stays as it was chosen, without a price. */
function quotedOther(other: Other, books: ShopData): OtherRow {
  const result = workOut(other.design, shopOf(books));
  if (!result.ok) return { ...other, quoted: null, price: null };
  return {
    ...other,
    quoted: freeze(result.value.resolved, books.prices.groups),
    price: result.value.price?.missing.length === 0 ? result.value.price.price : null,
  };
}

export const saveQuote: Handler<'save-quote'> = async (tx, payload, context) => {
  const customer = await currentCustomer(tx, payload.customerId);
  if (!customer) return bad(issue('customer-unknown', {}, 'customerId'));
  if (customer.forgotten) return bad(issue('customer-gone', { name: customer.name }, 'customerId'));
  const promise = await noPromise(tx, payload.promised, context);
  if (promise) return bad(promise);
  if (await invented(tx, payload)) return bad(issue('material-invented'));
  const earlier = new Map((await piecesOf(tx, payload.orderId)).map((piece) => [piece.id, piece]));
  const name = context.by === null ? '' : ((await staffById(tx, context.by))?.name ?? '');
  const given = payload.pieces.map(({ id, design }) => ({ id, design: signed(design, earlier.get(id)?.design, name) }));
  const worked = await workPieces(tx, context, given);
  if (!worked.ok) return worked;
  const { books } = worked.value;
  const allowed = await withinLimit(tx, given, worked.value.worked, workedBefore(earlier, books), context);
  if (!allowed.ok) return allowed;
  // Another design can be chosen later without anybody of the shop: what it gives away is looked at now.
  const rivals = payload.pieces.map(({ id, others = [] }) =>
    others.map((other) => {
      const was = earlier.get(id)?.others.find(({ letter }) => letter === other.letter);
      return { ...other, id: `${id}:${other.letter}`, was, design: signed(other.design, was?.design, name) };
    }),
  );
  const also = await withinLimit(
    tx,
    rivals.flat(),
    rivals.flat().map(({ design }) => madeOf(design, books)),
    new Map(rivals.flat().flatMap(({ id, was }) => (was?.quoted ? [[id, madeOf(was.quoted, books)] as const] : []))),
    context,
  );
  if (!also.ok) return also;
  const priced = priceOrder(
    worked.value.worked.map((piece) => piece.price!),
    worked.value.books.prices,
  );
  if (!priced.ok) return priced;
  const written = await writeQuote(tx, { ...payload, customerId: customer.id }, context, worked.value.books);
  if (!written.ok) return written;
  const pieces = given.map((piece, index) => ({
    ...piece,
    quoted: freeze(worked.value.worked[index]!.resolved, worked.value.books.prices.groups),
    letter: letterOf(payload.pieces[index]!),
    others: rivals[index]!.map(({ id: _id, was: _was, ...other }) => quotedOther(other, books)),
  }));
  if (!(await putPieces(tx, payload.orderId, pieces))) return bad(issue('piece-elsewhere'));
  await setQuotedTotal(tx, payload.orderId, priced.value.total);
  if (payload.wall) await setWall(tx, payload.orderId, payload.wall);
  const { number, before } = written.value;
  const revision = before ? before.revision + 1 : 1;
  const after = {
    number,
    revision,
    customerId: customer.id,
    promised: payload.promised,
    pieces: given,
  };
  return good({
    result: { number, revision },
    audit: [{ what: before ? 'quote changed' : 'quoted', entity: 'order', entityId: payload.orderId, before, after }],
    touched: [`order:${payload.orderId}`],
  });
};

/** An open quote once more, at today's prices and for as long as a new one holds. */
export const reQuote: Handler<'re-quote'> = async (tx, { orderId, revision }, context) => {
  const order = await freshOrder(tx, orderId, revision);
  if (!order.ok) return order;
  const { number, state } = order.value;
  if (state !== 'quoted') return bad(issue('order-agreed', { number, state }));
  const pieces = (await piecesOf(tx, orderId)).map((piece) => ({ ...piece, design: thaw(piece.design) }));
  const found = await workPieces(tx, context, pieces);
  if (!found.ok) return found;
  const { books, worked } = found.value;
  const priced = priceOrder(
    worked.map((piece) => piece.price!),
    books.prices,
  );
  if (!priced.ok) return priced;
  await updateQuote(tx, {
    id: orderId,
    customer_id: order.value.customer_id,
    promised: order.value.promised,
    edition: books.prices.edition,
    quoted_at: context.now,
    quote_until: dayOf(daysAfter(context.now, books.prices.quoteDays)),
  });
  const again = pieces.map((piece, index) => ({
    ...piece,
    quoted: freeze(worked[index]!.resolved, books.prices.groups),
    others: piece.others.map((other) =>
      quotedOther({ letter: other.letter, design: thaw(other.design), declined: other.declined }, books),
    ),
  }));
  await putPieces(tx, orderId, again);
  const { total } = priced.value;
  await setQuotedTotal(tx, orderId, total);
  return good({
    result: { revision: revision + 1, total },
    audit: [
      {
        what: 'quoted anew',
        entity: 'order',
        entityId: orderId,
        before: { edition: order.value.edition, until: order.value.quote_until },
        after: { edition: books.prices.edition, total },
      },
    ],
    touched: [`order:${orderId}`],
  });
};

/** What stands in the way of agreeing to these pieces: what is refused, and warnings that nobody gave a reason for. */
export const refusals = (worked: readonly WorkedOut[], ids: readonly string[], reasons: Record<string, string>) =>
  worked.flatMap((piece, index) =>
    piece.cautions.flatMap((caution) => {
      const path = `pieces.${index}.${caution.path}`;
      if (caution.level === 'refuse')
        return [issue('caution-refuses', { caution: caution.code, piece: index + 1 }, path)];
      const key = `${ids[index]}:${caution.code}`;
      return caution.level === 'warn' && !Object.hasOwn(reasons, key)
        ? [issue('caution-needs-reason', { caution: caution.code, piece: index + 1 }, path)]
        : [];
    }),
  );

/** What is worth more than the shop's limit is signed for and lies locked before anything is agreed. */
export async function valuedAbove(
  tx: Tx,
  worked: readonly WorkedOut[],
  pieces: readonly { readonly id: string }[],
  { app }: Context,
): Promise<Issue[]> {
  const { valueLimit, lockedPlaces } = await app.settingsIn(tx);
  const limit = valueLimit * HUNDRED;
  if (limit === 0) return [];
  const records = await recordsOf(
    tx,
    pieces.map(({ id }) => id),
  );
  return pieces.flatMap(({ id }, index) => {
    const { value = 0 } = worked[index]!.resolved.design;
    if (value <= limit) return [];
    const found = records.get(id);
    const figures = { piece: index + 1, value, limit };
    if (!found?.signed || (found.signed.value ?? 0) < value)
      return [issue('value-not-signed', figures, `pieces.${index}.value`)];
    return lockedPlaces.includes(found.record.place)
      ? []
      : [issue('value-not-locked', figures, `pieces.${index}.value`)];
  });
}

/** The reasons given for the warnings of one piece, by the caution's code. */
export const reasonsOf = (pieceId: string, reasons: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(reasons).flatMap(([key, reason]) =>
      key.startsWith(`${pieceId}:`) ? [[key.slice(pieceId.length + 1), reason]] : [],
    ),
  );

async function makeJob(
  tx: Tx,
  order: OrderRow,
  position: number,
  pieceId: string,
  worked: WorkedOut,
  reasons: Record<string, string>,
  { now, by, link }: Context,
) {
  const own = reasonsOf(pieceId, reasons);
  await insertJob(tx, pieceId, `${order.number}-${position}`, order.id, own);
  for (const [index, step] of worked.route.entries()) {
    await insertStep(tx, {
      job_id: pieceId,
      position: index + 1,
      step: step.step,
      station: step.station,
      minutes: step.minutes,
      waits: step.waits ?? null,
    });
  }
  await insertEvent(tx, pieceId, { at: now, by, what: 'accepted', step: null, detail: own, link });
}

export const acceptOrder: Handler<'accept-order'> = async (tx, { orderId, revision, total, reasons }, context) => {
  const order = await freshOrder(tx, orderId, revision);
  if (!order.ok) return order;
  if (order.value.state !== 'quoted')
    return bad(issue('order-agreed', { number: order.value.number, state: order.value.state }));
  const promise = await noPromise(tx, order.value.promised, context);
  if (promise) return bad(promise);
  const edition = (await context.app.booksIn(tx))?.prices.edition ?? 0;
  const { designs: pieces } = standing(order.value, await piecesOf(tx, orderId), edition, dayOf(context.now));
  const found = await workPieces(tx, context, pieces);
  if (!found.ok) return found;
  const { books, worked } = found.value;
  const short = shortOfAlike(pieces.map(({ design }) => design));
  if (short) return bad(issue('alike-missing', { said: short.said, there: short.there }, `pieces.${short.at}.count`));
  const stop = refusals(
    worked,
    pieces.map((piece) => piece.id),
    reasons,
  );
  if (stop.length > 0) return bad(...stop);
  const custody = await valuedAbove(tx, worked, pieces, context);
  if (custody.length > 0) return bad(...custody);
  const unpriced = worked.flatMap((piece) => piece.price!.missing);
  if (unpriced.length > 0) return bad(issue('price-missing', { name: unpriced[0]! }));
  const priced = priceOrder(
    worked.map((piece) => piece.price!),
    books.prices,
  );
  if (!priced.ok) return priced;
  const agreed = priced.value;
  if (agreed.total !== total) return bad(issue('price-changed', { seen: total, now: agreed.total }));

  for (const [index, piece] of pieces.entries()) {
    const again = workOut(freeze(worked[index]!.resolved, books.prices.groups), shopOf(books));
    if (!again.ok) return again;
    await agreePiece(tx, piece.id, agreedFrom(again.value));
    if (piece.others.length > 0) await declineOthers(tx, piece.id, piece.others);
    await makeJob(tx, order.value, index + 1, piece.id, again.value, reasons, context);
  }
  await agreeOrder(tx, orderId, agreed, context.now);
  const sold = new Map(pieces.map(({ id }, index) => [id, worked[index]!.price!]));
  const { sale, parts } = saleInParts(sold, books.prices.tax, agreed);
  await setSale(tx, orderId, sale, parts);
  return good({
    result: { number: order.value.number, revision: revision + 1 },
    audit: [
      {
        what: 'accepted',
        entity: 'order',
        entityId: orderId,
        before: { state: 'quoted' },
        after: { state: 'accepted', agreed, edition: books.prices.edition, reasons },
      },
    ],
    touched: [`order:${orderId}`, 'board'],
  });
};
