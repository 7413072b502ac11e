/** The quotes that are open, with what they came to and what they would come to today. */
import type { QuoteLine, QuotesView } from '@/contract/quote-views';
import { priceOrder } from '@/core/pricing/order-price';
import { thaw } from '@/core/design/resolve';
import type { Design } from '@/core/design/design';
import { daysBetween } from '@/core/quotes/quote-list';
import { workOut } from '@/core/work-out';
import type { Queries } from '@/db/client';
import { type QuoteRow, piecesOf, quotesFrom } from '@/db/queries/orders';
import type { CounterViewer } from './access';
import type { ShopData } from './app-context';
import { dayOf, daysLater } from './clock';

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

async function lineOf(db: Queries, row: QuoteRow, books: ShopData, today: string): Promise<QuoteLine> {
  const { quoted_at: at, quote_until: until, edition, total, ...line } = row;
  const left = daysBetween(today, until);
  const moved = left < 0 || edition !== books.prices.edition;
  const pieces = moved || total === null ? await piecesOf(db, row.id) : [];
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
  return app.db.read(async (db) => {
    const rows = await quotesFrom(db, daysLater(today, -OVER_DAYS), MOST + 1);
    const lines: QuoteLine[] = [];
    for (const row of rows.slice(0, MOST)) lines.push(await lineOf(db, row, books, today));
    return { lines, more: rows.length > MOST };
  });
}
