/** What the page of a link shows: what is offered or was agreed, and what was said. No cost, no margin, no staff notes. */
import type { OfferView } from '@/contract/link-views';
import { frontsOf } from '@/core/custody/record';
import type { Unit } from '@/core/units/length';
import { linkEvents } from '@/db/queries/links';
import { piecesOf } from '@/db/queries/orders';
import { recordsOf } from '@/db/queries/records';
import { settleOpenAtPage } from './card';
import type { Guest } from './guests';
import { orderPriceOf, resultsOf } from './offer';
import { designsOffered, priceOffered } from './offered';
import { orderOfGuest, shopView } from './views';

type Piece = OfferView['pieces'][number];

export async function offerView(guest: Guest, asked: Unit | undefined): Promise<OfferView | undefined> {
  const { app, orderId, expires } = guest;
  await settleOpenAtPage(app);
  const [shop, order] = [await shopView(guest), await orderOfGuest(guest)];
  if (!shop || !order) return undefined;
  const unit = asked ?? shop.homeUnit;
  const results = resultsOf(order, shop);
  const whole = results.length === order.pieces.length;
  const priced = whole ? orderPriceOf(order, results, shop) : undefined;
  const price = priced?.ok ? priced.value : undefined;
  const events = await linkEvents(app.db, orderId);
  const pieces = results.map((worked, index): Piece => {
    const piece = order.pieces[index]!;
    const designs = designsOffered(piece, worked, shop, unit, order.pictures[piece.id], order.state === 'quoted');
    const { design } = worked.resolved;
    return { id: piece.id, title: design.piece.title, insists: design.insists, designs };
  });
  const deposit = price ? price.deposit : 0;
  return {
    shop: { name: shop.name, contact: shop.contact, currency: shop.currency },
    unit,
    number: order.number,
    revision: order.revision,
    state: order.state,
    customer: order.customer.name,
    promised: order.promised,
    quoteUntil: order.quoteUntil,
    expired: order.expired,
    pieces: whole ? pieces : [],
    price: priceOffered(price),
    paid: order.paid,
    owed: order.state === 'accepted' ? Math.max(0, deposit - order.paid) : 0,
    talk: events.flatMap(({ what, detail, at }) =>
      what === 'asked' || what === 'answered' ? [{ what, text: String(detail.text), at: at.toISOString() }] : [],
    ),
    agreedAt: events.find(({ what }) => what === 'accepted')?.at.toISOString() ?? null,
    terms: shop.quoteTerms.split('\n').filter(Boolean),
    ends: expires.toISOString(),
  };
}

/** The bytes of a photo, where it is one of this order's own pictures. */
export async function photoOfGuest(
  { app, orderId }: Guest,
  hash: string,
  size: 'small' | 'full',
): Promise<Uint8Array | undefined> {
  const shown = await app.db.read(async (db) => {
    const pieces = await piecesOf(db, orderId);
    const records = await recordsOf(
      db,
      pieces.map(({ id }) => id),
    );
    return [...records.values()].flatMap(({ record }) => frontsOf(record));
  });
  return shown.includes(hash) ? app.photos.read(hash, size) : undefined;
}
