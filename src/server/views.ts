/** What the screens are shown: queries put together into views. */
import type { BoardView, CustomerView, FoundView, ImportPreview, JobView, OrderView, ShopView } from '@/contract/views';
import { resultOf, withWorkings, withoutMoney } from '@/core/agreed';
import { planningImport, readingMouldingList } from '@/core/supplier-list/moulding-list';
import { jobState, nextStep } from '@/core/route/state';
import { agreedOf, eventsOf, jobByTicket, jobsOfOrder, openJobs, stepsOf, stepsOfAll } from '@/db/queries/jobs';
import {
  type OrderRow,
  customerById,
  findCustomers,
  findOrders,
  openCards,
  orderByNumber,
  paymentsOf,
  piecesOf,
} from '@/db/queries/orders';
import type { Queries } from '@/db/client';
import { dayOf } from './clock';
import { instructed } from './instructed';
import { standing } from './quotes';
import { inSlices } from './slices';
import type { CounterViewer, Viewer } from './access';
import type { ShopData, AppContext } from './app-context';

/** The books with their prices and costs: for the desk. */
export async function shopView({ app }: CounterViewer): Promise<ShopView | undefined> {
  const books = await app.books();
  if (!books) return undefined;
  const { shop, prices, lists } = books;
  return { name: shop.name, homeUnit: shop.home_unit, demo: shop.demo, prices, defaults: shop.house, lists };
}

/** An order and all that belongs to it, as of one moment: its revision must not be older than the rest. */
async function orderAs(
  { app }: CounterViewer,
  find: (db: Queries) => Promise<OrderRow | undefined>,
): Promise<OrderView | undefined> {
  const books = await app.books();
  return (
    books &&
    app.db.read(async (db) => {
      const order = await find(db);
      return order && viewOf(app, db, order, books);
    })
  );
}
async function viewOf(app: AppContext, db: Queries, order: OrderRow, books: ShopData): Promise<OrderView> {
  const customer = await customerById(db, order.customer_id);
  const pieces = await piecesOf(db, order.id);
  const payments = await paymentsOf(db, order.id);
  const cards = await openCards(db, order.id);
  const jobs = await jobsOfOrder(db, order.id);
  const { edition } = books.prices;
  const paid = payments.reduce((total, one) => total + one.amount, 0);
  const shop = { settings: books.settings, catalogue: books.catalogue, prices: books.prices };
  const { designs, held, expired } = standing(order, pieces, edition, dayOf(app.clock.now()));
  const steps = await stepsOfAll(
    db,
    jobs.map((job) => job.id),
  );
  const state = (id: string) =>
    order.state === 'cancelled' ? 'cancelled' : jobState(steps.filter((step) => step.job_id === id));
  return {
    id: order.id,
    number: order.number,
    state: order.state,
    revision: order.revision,
    promised: order.promised,
    quoteUntil: order.quote_until,
    edition: order.edition,
    customer: customer!,
    agreed: order.agreed,
    held,
    expired,
    pieces: designs.map(({ id, design }, index) => {
      const { agreed } = pieces[index]!;
      return { id, design, agreed: agreed && withWorkings(agreed, shop) };
    }),
    payments: payments.map(({ order_id: _order, at, ...one }) => ({ ...one, at: at.toISOString() })),
    paid,
    owedBack: Math.max(0, paid - (order.state === 'cancelled' ? 0 : (order.agreed?.total ?? 0))),
    openCards: cards.map(({ id, amount }) => ({ id, amount })),
    jobs: jobs.map((job) => ({ ticket: job.ticket, state: state(job.id), hold: job.hold })),
  };
}

export const orderView = (viewer: CounterViewer, number: number): Promise<OrderView | undefined> =>
  orderAs(viewer, (db) => orderByNumber(db, number));

/** A job as the bench needs it. The bench sees no price and no cost. */
export async function jobView({ app, person }: Viewer, ticket: string): Promise<JobView | undefined> {
  const found = await app.db.read(async (db) => {
    const job = await jobByTicket(db, ticket);
    const worked = job && (await agreedOf(db, job.id));
    return (
      worked && { job, worked: resultOf(worked), steps: await stepsOf(db, job.id), events: await eventsOf(db, job.id) }
    );
  });
  if (!found) return undefined;
  const { job, worked, steps, events } = found;
  const { settings } = (await app.books())!;
  return {
    id: job.id,
    ticket: job.ticket,
    number: job.number,
    revision: job.revision,
    customer: job.customer,
    promised: job.promised,
    hold: job.hold,
    reasons: job.reasons,
    worked: person.role === 'bench' ? withoutMoney(worked) : worked,
    ...instructed(worked, settings),
    state: job.order_state === 'cancelled' ? 'cancelled' : jobState(steps),
    steps: steps.map(({ step, station, minutes, state, times, started_at }) => ({
      step,
      station,
      minutes,
      state,
      times,
      startedAt: started_at?.toISOString() ?? null,
    })),
    next: nextStep(steps) ?? null,
    events: events.map(({ at, ...one }) => ({ ...one, at: at.toISOString() })),
  };
}

export async function boardView({ app }: Viewer): Promise<BoardView> {
  const { jobs, all } = await app.db.read(async (db) => {
    const jobs = await openJobs(db);
    const ids = jobs.map((job) => job.id);
    return { jobs, all: await stepsOfAll(db, ids) };
  });
  const byJob = new Map<string, typeof all>();
  for (const step of all) byJob.set(step.job_id, [...(byJob.get(step.job_id) ?? []), step]);
  return {
    today: dayOf(app.clock.now()),
    jobs: jobs.map((job) => {
      const steps = byJob.get(job.id) ?? [];
      const next = nextStep(steps);
      return {
        ticket: job.ticket,
        title: job.title,
        customer: job.customer,
        promised: job.promised,
        state: jobState(steps),
        hold: job.hold,
        next: next ?? null,
        station: steps.find((one) => one.step === next)?.station ?? null,
        minutesLeft: steps.filter((one) => one.state !== 'done').reduce((total, one) => total + one.minutes, 0),
        steps: steps.map((one) => one.state),
        failures: job.failures,
      };
    }),
  };
}

/** Which orders are looked among. */
export const ORDER_STATES = {
  open: ['accepted'],
  all: ['quoted', 'accepted', 'handed-over', 'cancelled'],
} as const;
export const findOrdersView = ({ app }: CounterViewer, text: string, states: readonly string[]): Promise<FoundView[]> =>
  findOrders(app.db, text.slice(0, 80), states);
export const findCustomersView = ({ app }: CounterViewer, text: string): Promise<CustomerView[]> =>
  findCustomers(app.db, text.slice(0, 80));

/** What a supplier's list would do to the books, without doing it. */
export async function previewImport({ app }: Viewer<'owner'>, text: string): Promise<ImportPreview> {
  const list = await inSlices(readingMouldingList(text));
  const books = await app.books();
  const plan = await inSlices(planningImport(list, books?.lists.mouldings ?? []));
  return {
    edition: books?.prices.edition ?? 0,
    issues: list.issues,
    ignored: list.ignored,
    rows: plan.map(({ moulding: _moulding, ...row }) => row),
  };
}
