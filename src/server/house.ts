/** What every use case is given: database, clock, stand-ins, live screens. Put together in `compose.ts`. */
import type { Db, Queries } from '@/db/client';
import { type MaterialLists, type ShopRow, getShop, latestEdition, listMaterials } from '@/db/queries/books';
import { type Settings, defaultSettings } from '@/core/settings';
import { type Catalogue, catalogueOf } from '@/core/materials';
import type { PriceBook } from '@/core/pricing/book';
import type { SimulatedTerminal } from '@/standins/ports';
import type { Clock } from './clock';
import type { Bus } from './live';

export interface House {
  readonly db: Db;
  readonly clock: Clock;
  readonly bus: Bus;
  readonly terminal: SimulatedTerminal;
  /** Signs session cookies. */
  readonly secret: Buffer;
  readonly demo: boolean;
  /** The books as they are now; read once per edition. */
  readonly books: () => Promise<Books | undefined>;
}
export interface Books {
  readonly shop: ShopRow;
  readonly settings: Settings;
  readonly prices: PriceBook;
  readonly lists: MaterialLists;
  readonly catalogue: Catalogue;
}

export async function readBooks(db: Queries): Promise<Books | undefined> {
  const shop = await getShop(db);
  if (!shop) return undefined;
  const [edition, lists] = [await latestEdition(db), await listMaterials(db)];
  return { shop, settings: defaultSettings(shop.home_unit), prices: { ...shop.prices, edition }, lists, catalogue: catalogueOf(lists) };
}

/** Keeps the books until somebody changes them. A read that fails is not kept. */
export function keptBooks(db: Queries, bus: Bus): House['books'] {
  let kept: Promise<Books | undefined> | undefined;
  bus.listen(({ touched }) => {
    if (touched.includes('books')) kept = undefined;
  });
  return async () => {
    kept ??= readBooks(db);
    const reading = kept;
    const books = await reading.catch((error: unknown) => {
      if (kept === reading) kept = undefined;
      throw error;
    });
    if (!books && kept === reading) kept = undefined;
    return books;
  };
}
