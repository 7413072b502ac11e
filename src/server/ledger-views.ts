/** The till's day, the journal and what is owed, as they are shown. Every figure is read off the ledger. */
import { day as daySchema } from '@/contract/payload-parts';
import type { DayReport, DayView, EntryView, LedgerView, OwingView, TillDayView } from '@/contract/money-views';
import { ACCOUNTS, type Account, MEANS } from '@/core/ledger/accounts';
import { sumOf } from '@/core/units/money';
import type { Queries } from '@/db/client';
import { orderByNumber, piecesOf } from '@/db/queries/orders';
import {
  type JournalRow,
  type TillDayRow,
  journalBetween,
  journalOfTill,
  listTills,
  openDayOf,
  openTillsOn,
  openVouchers,
  owingOrders,
  sealedDays,
  standingAt,
  taxBetween,
  termsOf,
  tillDayById,
  tillOfSession,
  voucherByCode,
} from '@/db/queries/ledger';
import type { CounterViewer, Viewer } from './access';
import { dayOf, daysLater } from './clock';

/** Notes and coins of a currency of hundredths, the largest first. */
const MONEY = [10_000, 5_000, 2_000, 1_000, 500, 200, 100, 50, 25, 20, 10, 5, 2, 1];

export function entriesOf(rows: readonly JournalRow[]): EntryView[] {
  const entries = new Map<number, EntryView & { postings: EntryView['postings'][number][] }>();
  for (const { account, amount, sold, rate, at, ...entry } of rows) {
    const known = entries.get(entry.number) ?? { ...entry, at: at.toISOString(), postings: [] };
    known.postings.push({ account, amount, sold, rate });
    entries.set(entry.number, known);
  }
  return [...entries.values()];
}

const dayView = (row: TillDayRow): TillDayView => ({
  id: row.id,
  till: { number: row.till, name: row.name },
  day: row.day,
  openedAt: row.opened_at.toISOString(),
  openedBy: row.opened_by,
  float: row.float,
  counted: row.counted && {
    cash: row.counted.cash,
    card: row.counted.card,
    vouchers: row.counted.vouchers,
    expected: row.counted.expected,
  },
  sealedAt: row.sealed_at?.toISOString() ?? null,
  sealedBy: row.sealed_by,
  note: row.note,
});

const SEALED_SHOWN = 14;
/** The till of the device that asks. What it should hold is not among it before it is counted. */
export async function tillView({ app, session }: CounterViewer): Promise<DayView> {
  return app.db.read(async (db) => {
    const till = await tillOfSession(db, session);
    const open = await openDayOf(db, till);
    return {
      tills: await listTills(db),
      till,
      open: open ? dayView(open) : null,
      entries: open ? entriesOf(await journalOfTill(db, till, open.after_entry, null)) : [],
      sealed: (await sealedDays(db, SEALED_SHOWN)).map(dayView),
      money: MONEY,
    };
  });
}

const SALES: readonly string[] = ['sale', 'part-sale'];
/** What was let go on an order's pieces, each with its reason and who gave it. */
async function discountsOf(db: Queries, number: number): Promise<DayReport['discounts']> {
  const order = await orderByNumber(db, number);
  const pieces = order ? await piecesOf(db, order.id) : [];
  return pieces.flatMap(({ design: { discount, overrides = [] }, agreed }) => {
    const price = agreed?.price;
    if (!price) return [];
    const lower = price.lines.flatMap(({ key, amount, rule = amount }) => {
      const why = overrides.find((one) => one.key === key)?.reason ?? '';
      return rule > amount ? [{ order: number, amount: rule - amount, why, by: '' }] : [];
    });
    return discount && price.discount !== 0
      ? [{ order: number, amount: 0 - price.discount, why: discount.reason, by: discount.by }, ...lower]
      : lower;
  });
}

/** What entries come to: takings by means, sales by group, tax by rate. */
async function reportOf(
  db: Queries,
  day: string,
  tills: readonly TillDayRow[],
  entries: readonly EntryView[],
): Promise<DayReport> {
  const numbers = entries.flatMap(({ kind, order }) => (SALES.includes(kind) && order !== null ? [order] : []));
  const handed = [...new Set(numbers)];
  const discounts: DayReport['discounts'][number][] = [];
  for (const number of handed) discounts.push(...(await discountsOf(db, number)));
  const all = entries.flatMap(({ kind, postings }) => postings.map((posting) => ({ ...posting, kind })));
  const by = <T extends string>(keys: readonly T[], amount: (key: T) => number) =>
    keys.map((key) => ({ key, amount: amount(key) })).filter((one) => one.amount !== 0);
  const taking = all.filter(({ kind }) =>
    ['deposit', 'balance', 'refund', 'correction', 'voucher-sold'].includes(kind),
  );
  const total = (of: typeof all) => sumOf(of.map((one) => one.amount as never));
  const groups = [...new Set(all.flatMap(({ account, sold }) => (account === 'sales' && sold ? [sold] : [])))];
  const rates = [...new Set(all.flatMap(({ account, rate }) => (account === 'tax' && rate ? [rate] : [])))];
  return {
    day,
    tills: tills.map(dayView),
    takings: MEANS.map((means) => {
      const own = taking.filter(
        ({ account, kind }) => account === means && !(means === 'vouchers' && kind === 'voucher-sold'),
      );
      return {
        means,
        came: total(own.filter(({ amount }) => amount > 0)),
        back: 0 - total(own.filter(({ amount }) => amount < 0)),
      };
    }).filter(({ came, back }) => came !== 0 || back !== 0),
    sales: by(groups, (group) => 0 - total(all.filter((one) => one.account === 'sales' && one.sold === group))).map(
      ({ key, amount }) => ({ group: key, amount }),
    ),
    tax: by(rates, (rate) => 0 - total(all.filter((one) => one.account === 'tax' && one.rate === rate))).map(
      ({ key, amount }) => ({ rate: key, amount }),
    ),
    overShort: 0 - total(all.filter(({ account }) => account === 'overShort')),
    deposits: 0 - total(all.filter(({ account }) => account === 'deposits')),
    handed,
    discounts,
    refunds: entries
      .filter(({ kind }) => kind === 'refund')
      .map(({ order, note, postings }) => ({
        order,
        note,
        amount:
          0 -
          sumOf(
            postings
              .filter(({ account }) => (MEANS as readonly string[]).includes(account))
              .map((one) => one.amount as never),
          ),
      })),
  };
}

/** A till's sealed day. */
export async function tillReport({ app }: Viewer, dayId: string): Promise<DayReport | undefined> {
  return app.db.read(async (db) => {
    const day = await tillDayById(db, dayId);
    if (!day?.sealed_at) return undefined;
    return reportOf(db, day.day, [day], entriesOf(await journalOfTill(db, day.till, day.after_entry, day.up_to)));
  });
}
/**
 * The shop's day: all that the ledger has of it, what came in no drawer among it; but for tills that are still open.
 * Nothing before a till is sealed, or the day is over.
 */
export async function shopReport({ app }: Viewer, day: string): Promise<DayReport | undefined> {
  if (!isDay(day)) return undefined;
  return app.db.read(async (db) => {
    const days = await sealedDays(db, MOST_TILLS, day);
    const open = await openTillsOn(db, day);
    const over = open.length === 0 && day < dayOf(app.clock.now());
    if (days.length === 0 && !over) return undefined;
    const rows = (await journalBetween(db, day, day)).filter(({ till }) => till === null || !open.includes(till));
    return days.length === 0 && rows.length === 0 ? undefined : reportOf(db, day, days, entriesOf(rows));
  });
}
const MOST_TILLS = 999;

const AGES = [0, 30, 60, 90];
/** What customers owe for what was handed over, each order by how long it is over due. */
export async function owingViews(db: Queries, today: string, customerId: string | null = null): Promise<OwingView[]> {
  const byCustomer = new Map<string, OwingView & { orders: OwingView['orders'][number][]; ages: number[] }>();
  for (const row of await owingOrders(db, customerId)) {
    const known =
      byCustomer.get(row.customer_id) ??
      ({
        customerId: row.customer_id,
        customer: row.customer,
        ...((await termsOf(db, row.customer_id)) ?? { days: null, limit: null }),
        orders: [],
        ages: [0, 0, 0, 0, 0],
      } satisfies OwingView);
    const over = daysBetween(row.due!, today);
    known.orders.push({
      number: row.number,
      handed: row.handed,
      due: row.due!,
      total: row.total ?? 0,
      amount: row.amount,
      over,
    });
    const age = AGES.filter((days) => over > days).length;
    known.ages[age] = known.ages[age]! + row.amount;
    byCustomer.set(row.customer_id, known);
  }
  return [...byCustomer.values()].sort((a, b) => sumOf(b.ages as never[]) - sumOf(a.ages as never[]));
}
const DAY_MS = 86_400_000;
const daysBetween = (from: string, to: string) => Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);

export const voucherView = ({ app }: Viewer, code: string) => voucherByCode(app.db, code);

export const statementOf = async ({ app }: Viewer, customerId: string): Promise<OwingView | undefined> =>
  app.db.read(async (db) => (await owingViews(db, dayOf(app.clock.now()), customerId))[0]);

/** Accounts as they stand in the books: what there is, what is owed, what was earned and spent. */
const inOrder = <T extends { readonly account: Account }>(rows: readonly T[]): T[] =>
  [...rows].sort((a, b) => ACCOUNTS.indexOf(a.account) - ACCOUNTS.indexOf(b.account));
/** Postings shown at once; a longer time is read as CSV. */
const POSTINGS_SHOWN = 2000;
export async function ledgerView({ app }: Viewer, from: string, to: string): Promise<LedgerView> {
  return app.db.read(async (db) => {
    const rows = await journalBetween(db, from, to, POSTINGS_SHOWN + 1);
    const more = rows.length > POSTINGS_SHOWN;
    return {
      from,
      to,
      entries: entriesOf(more ? rows.slice(0, POSTINGS_SHOWN) : rows),
      more,
      standing: inOrder(await standingAt(db, to)),
      tax: await taxBetween(db, from, to),
      owing: await owingViews(db, dayOf(app.clock.now())),
      vouchers: (await openVouchers(db)).map(({ code, left, expires }) => ({ code, left, expires })),
    };
  });
}
const isDay = (text: string) => daySchema.safeParse(text).success;
/** The time a ledger is asked for: what was typed where it is days in order, else the last month. */
export function timeOf(app: Viewer['app'], search: URLSearchParams): { from: string; to: string } {
  const today = dayOf(app.clock.now());
  const day = (key: string) => {
    const text = search.get(key) ?? '';
    return isDay(text) ? text : undefined;
  };
  const to = day('to') ?? today;
  const from = day('from') ?? daysLater(to, -30);
  return from <= to ? { from, to } : { from: to, to: from };
}
