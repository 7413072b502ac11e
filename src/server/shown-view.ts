/** What a screen that faces the customer shows: the order that was put on it, as it is typed. */
import type { ShownView } from '@/contract/shown-view';
import type { OrderPieceView } from '@/contract/views';
import { frontsOf } from '@/core/custody/record';
import { priceOrder } from '@/core/pricing/order-price';
import { recordsOf } from '@/db/queries/records';
import type { ScreenViewer } from './access';
import type { Shown } from './app-context';
import { keptBy } from './drafts';
import { workerOf } from './offer';
import { designsOffered, priceIn, priceOffered } from './offered';
import { screenOf, shownOn } from './screens';
import { orderOnScreen, picturesView, shopView } from './views';

type Piece = Pick<OrderPieceView, 'id' | 'design' | 'letter' | 'others' | 'agreed'>;

/** A piece whose size nobody has typed yet has none. */
const NOT_MEASURED = ['piece.width', 'piece.height'];

/** The order as it stands on the desk: what is typed, else as it was saved. */
async function onDesk(viewer: ScreenViewer, { by, order }: Shown) {
  const saved = order === 'new' ? undefined : await orderOnScreen(viewer, order);
  const typed = saved?.state === 'quoted' || !saved ? (await keptBy(viewer.app, by, order))?.draft : undefined;
  if (!typed && !saved) return undefined;
  const pieces: readonly (Piece & { measured: boolean })[] = typed
    ? typed.pieces.map(
        (piece) => ({ ...piece, measured: NOT_MEASURED.every((key) => piece.typed[key] !== '') }) as never,
      )
    : saved!.pieces.map((piece) => ({ ...piece, measured: true }));
  return { pieces, saved, promised: typed?.promised ?? saved!.promised };
}

export async function shownView(viewer: ScreenViewer, named: string): Promise<ShownView | undefined> {
  const { app } = viewer;
  const screen = await screenOf(viewer, named);
  const shop = screen === undefined ? undefined : await shopView(viewer);
  if (screen === undefined || !shop) return undefined;
  const shown = shownOn(app, screen);
  const desk = shown && (await onDesk(viewer, shown));
  const { homeUnit: unit } = shop;
  const about = { shop: { name: shop.name, currency: shop.currency }, unit };
  if (!shown || !desk) return { ...about, order: null };
  const { pieces, saved, promised } = desk;
  const work = workerOf(shop);
  const here = pieces.some(({ id }) => id === shown.piece) ? shown.piece : pieces[0]!.id;
  const pictures = await picturesView(viewer, [here]);
  const worked = pieces.map((piece) => (piece.measured ? work(piece) : undefined));
  const prices = worked.flatMap((one) => (one?.price ? [one.price] : []));
  const priced = prices.length === pieces.length ? priceOrder(prices, shop.prices) : undefined;
  const open = saved?.state !== 'accepted';
  return {
    ...about,
    order: {
      number: saved?.number ?? null,
      agreed: !open,
      promised,
      pieces: pieces.map((piece, index) => {
        const one = worked[index];
        return {
          id: piece.id,
          title: piece.design.piece.title,
          here: piece.id === here,
          price: one ? priceIn(one) : null,
          designs: one && piece.id === here ? designsOffered(piece, one, shop, unit, pictures[piece.id], open) : [],
        };
      }),
      price: priceOffered(saved?.agreed ?? (priced?.ok ? priced.value : undefined)),
    },
  };
}

/** The bytes of a photo, where it is a picture of the order on this screen. */
export async function photoOnScreen(
  viewer: ScreenViewer,
  named: string,
  hash: string,
  size: 'small' | 'full',
): Promise<Uint8Array | undefined> {
  const { app } = viewer;
  const screen = await screenOf(viewer, named);
  const shown = screen === undefined ? undefined : shownOn(app, screen);
  const desk = shown && (await onDesk(viewer, shown));
  if (!desk) return undefined;
  const ids = desk.pieces.map(({ id }) => id);
  const records = await app.db.read((db) => recordsOf(db, ids));
  return [...records.values()].some(({ record }) => frontsOf(record).includes(hash))
    ? app.photos.read(hash, size)
    : undefined;
}
