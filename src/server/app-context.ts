/** What every use case is given: database, clock, stand-ins, live screens. Put together in `compose.ts`. */
import type { Db, Queries, Tx } from '@/db/client';
import {
  type MaterialLists,
  type ShopRow,
  editionByNumber,
  editionOn,
  getShop,
  listMaterials,
} from '@/db/queries/books';
import { type Settings, defaultSettings } from '@/core/settings';
import { type Catalogue, catalogueOf } from '@/core/materials';
import type { DefaultMaterials } from '@/core/design/design';
import type { PriceBook } from '@/core/pricing/book';
import type { MatCutter, SimulatedPaymentPage, SimulatedTerminal } from '@/standins/ports';
import type { Person } from '@/db/queries/staff';
import { type Clock, dayOf } from './clock';
import type { CuttingPool } from './cutting/pool';
import { type ShopSettings, USUAL_SETTINGS, readSettings } from '@/contract/settings';
import { latestSettings } from '@/db/queries/settings';
import type { BackUps } from './back-up/back-ups';
import type { Bus } from './live';
import type { Photos } from './photos';

/** The order of somebody's desk, put on a screen that faces the customer. */
export interface Shown {
  readonly by: string;
  /** As its draft is kept: `new`, or the id of the order. */
  readonly order: string;
  readonly piece: string;
  /** When it was put on, or last changed. */
  readonly at: number;
}
/** What the program keeps in mind from request to request; kept here because its parts are bundled apart. */
export interface Mind {
  /** Sessions that were looked up lately, by the hash of their token. */
  readonly sessions: Map<string, { readonly person: Person; readonly session: string; readonly until: number }>;
  /** Sessions that could not be written down for want of room on the disk, by the hash of their token; gone with the program. */
  readonly passing: Map<string, { readonly person: Person; readonly session: string; readonly until: number }>;
  /** Wrong PINs of that time, by place and person. */
  readonly wrongPins: Map<string, { readonly count: number; readonly at: Date; readonly until: Date }>;
  /** Guesses at a PIN that wait for one another, by person and place. */
  readonly guesses: Map<string, Promise<unknown>>;
  /** How often the same was written to the security log lately. */
  readonly logged: Map<string, { since: number; written: number; left: number }>;
  /** Tries at links lately, by address. */
  readonly linkTries: Map<string, readonly number[]>;
  /** What was put on screens that face the customer, by the id of the screen. */
  readonly shown: Map<string, Shown>;
  /** The day on which photos that nobody uses were looked for last. */
  swept: string;
}
export const newMind = (): Mind => ({
  sessions: new Map(),
  passing: new Map(),
  wrongPins: new Map(),
  guesses: new Map(),
  logged: new Map(),
  linkTries: new Map(),
  shown: new Map(),
  swept: '',
});

export interface AppContext extends KeptBooks {
  readonly mind: Mind;
  readonly db: Db;
  readonly clock: Clock;
  readonly bus: Bus;
  readonly terminal: SimulatedTerminal;
  readonly paymentPage: SimulatedPaymentPage;
  readonly matCutter: MatCutter;
  /** The threads that make cutting plans. */
  readonly cutting: CuttingPool;
  /** Signs cookies and the digests of commands. */
  readonly secret: Buffer;
  readonly demo: boolean;
  /** What the console printed, to be typed when a new shop is set up; undefined when none is asked for. */
  readonly setUpCode?: string | undefined;
  readonly backUps?: BackUps | undefined;
  readonly photos: Photos;
}
export interface ShopData {
  readonly shop: ShopRow;
  readonly settings: Settings;
  readonly prices: PriceBook;
  /** The codes a new design starts with. */
  readonly house: DefaultMaterials;
  readonly lists: MaterialLists;
  readonly catalogue: Catalogue;
}

/** The books as one edition has them; undefined where there is no shop, or the edition kept no content. */
export async function readBooks(db: Queries, number: number): Promise<ShopData | undefined> {
  const shop = await getShop(db);
  const edition = await editionByNumber(db, number);
  if (!shop || !edition?.prices || !edition.house) return undefined;
  const lists = await listMaterials(db, number);
  return {
    shop,
    settings: defaultSettings(shop.home_unit),
    prices: { ...edition.prices, edition: number },
    house: edition.house,
    lists,
    catalogue: catalogueOf(lists),
  };
}

export interface KeptBooks {
  /** The books as they are now. Never call it inside a transaction: it would wait for the connection that is held. */
  readonly books: () => Promise<ShopData | undefined>;
  /** The books as the transaction sees them. */
  readonly booksIn: (tx: Tx) => Promise<ShopData | undefined>;
  /** What the owner has set; never inside a transaction either. */
  readonly shopSettings: () => Promise<ShopSettings>;
  readonly settingsIn: (tx: Queries) => Promise<ShopSettings>;
}

/** Keeps the books of the latest edition that was read; every change of the books is a new edition and is told on the bus. */
export function keptBooks(db: Queries, bus: Bus, clock: Clock): KeptBooks {
  let kept: ShopData | undefined;
  /** The day for which it is known that they are in force. */
  let current: string | undefined;
  let settings: ShopSettings | undefined;
  bus.listen(({ touched }) => {
    if (touched.includes('books')) current = undefined;
    if (touched.includes('settings')) settings = undefined;
  });
  const booksIn = async (from: Queries) => {
    const edition = await editionOn(from, dayOf(clock.now()));
    if (kept?.prices.edition !== edition) kept = await readBooks(from, edition);
    return kept;
  };
  const books = async () => {
    const day = dayOf(clock.now());
    if (current === day && kept) return kept;
    const found = await booksIn(db);
    current = found && day;
    return found;
  };
  const settingsIn = async (from: Queries) => {
    const found = await latestSettings(from);
    return found ? readSettings(found.settings) : USUAL_SETTINGS;
  };
  const shopSettings = async () => {
    if (settings) return settings;
    settings = await settingsIn(db);
    return settings;
  };
  return { books, booksIn, shopSettings, settingsIn };
}
