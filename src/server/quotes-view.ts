/** The quotes that are open, with what they came to and what they would come to today. */
import type { QuoteLine, QuotesView } from '@/contract/quote-views';
import { priceOrder } from '@/core/pricing/order-price';
import { thaw } from '@/core/design/resolve';
import type { Design } from '@/core/design/design';
import { daysBetween } from '@/core/quotes/quote-list';
import { workOut } from '@/core/work-out';
import type { Pausing } from '@/core/pausing';
import { type PieceRow, type QuoteRow, piecesOf, quotesFrom } from '@/db/queries/orders';
import type { CounterViewer } from './access';
import type { ShopData } from './app-context';
import { dayOf, daysLater } from './clock';
import { inSlices } from './slices';

/** Quotes that ran out longer ago than this are not gone through any more. */
const OVER_DAYS = 90;
const MOST = 300;

function totalOf(designs: readonly Design[], { settings, catalogue, prices }: ShopData): number | null {
  const priced = designs.flatMap((design) => {
    const made = workOut(design, { settings, catalogue, prices });
    return made.ok && made.value.price?.missing.length === 0 ? [made.value.price] : [];
  });
  if (priced.length < designs.length) return null;
  const order = priceOrder(priced, prices);
  return order.ok ? order.value.total : null;
}

/** Whether prices moved under it, or it ran out: it is worked out anew. */
const hasMoved = ({ quote_until: until, edition }: QuoteRow, books: ShopData, today: string) =>
  daysBetween(today, until) < 0 || edition !== books.prices.edition;

interface Found {
  readonly row: QuoteRow;
  readonly pieces: readonly PieceRow[];
}
function lineOf({ row, pieces }: Found, books: ShopData, today: string): QuoteLine {
  const { quoted_at: at, quote_until: until, edition: _edition, total, ...line } = row;
  const left = daysBetween(today, until);
  const moved = hasMoved(row, books, today);
  const day = dayOf(at);
  return {
    ...line,
    day,
    until,
    age: daysBetween(day, today),
    left,
    total:
      total ??
      totalOf(
        pieces.map(({ quoted }) => quoted),
        books,
      ),
    anew: moved
      ? totalOf(
          pieces.map(({ design }) => thaw(design)),
          books,
        )
      : undefined,
  };
}

export async function quotesView({ app }: CounterViewer): Promise<QuotesView> {
  const today = dayOf(app.clock.now());
  const books = await app.books();
  if (!books) return { lines: [], more: false };
  // Read as of one moment; worked out afterwards, so that nobody waits for the database meanwhile.
  const { found, more } = await app.db.read(async (db) => {
    const rows = await quotesFrom(db, daysLater(today, -OVER_DAYS), MOST + 1);
    const read: Found[] = [];
    for (const row of rows.slice(0, MOST)) {
      const needed = row.total === null || hasMoved(row, books, today);
      read.push({ row, pieces: needed ? await piecesOf(db, row.id) : [] });
    }
    return { found: read, more: rows.length > MOST };
  });
  return { lines: await inSlices(linesOf(found, books, today)), more };
}

function* linesOf(found: readonly Found[], books: ShopData, today: string): Pausing<QuoteLine[]> {
  const lines: QuoteLine[] = [];
  for (const one of found) {
    lines.push(lineOf(one, books, today));
    yield;
  }
  return lines;
}
