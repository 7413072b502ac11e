/** What the screens are shown: queries put together into views. */
import type { BoardView, CustomerView, FoundView, ImportPreview, JobView, OrderView, ShopView } from '@/contract/views';
import { planImport, readMouldingList } from '@/core/books/moulding-list';
import { jobState, nextStep } from '@/core/route/state';
import { agreedOf, eventsOf, jobByTicket, jobsOfOrder, openJobs, stepsOf, stepsOfAll } from '@/db/queries/jobs';
import {
  type OrderRow,
  customerById,
  findCustomers,
  findOrders,
  openCards,
  orderById,
  orderByNumber,
  paymentsOf,
  piecesOf,
} from '@/db/queries/orders';
import { dayOf } from './clock';
import { standing } from './quotes';
import type { House } from './house';

export async function shopView(house: House): Promise<ShopView | undefined> {
  const books = await house.books();
  if (!books) return undefined;
  const { shop, prices, lists } = books;
  return { name: shop.name, homeUnit: shop.home_unit, demo: shop.demo, prices, house: shop.house, lists };
}

async function viewOf(house: House, order: OrderRow): Promise<OrderView> {
  const [customer, pieces, payments, cards, jobs] = await Promise.all([
    customerById(house.db, order.customer_id),
    piecesOf(house.db, order.id),
    paymentsOf(house.db, order.id),
    openCards(house.db, order.id),
    jobsOfOrder(house.db, order.id),
  ]);
  const edition = (await house.books())?.prices.edition ?? order.edition;
  const { designs, held, expired } = standing(order, pieces, edition, dayOf(house.clock.now()));
  const steps = await stepsOfAll(
    house.db,
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
    pieces: designs.map(({ id, design }, index) => ({ id, design, agreed: pieces[index]!.agreed })),
    payments: payments.map(({ order_id: _order, at, ...one }) => ({ ...one, at: at.toISOString() })),
    paid: payments.reduce((total, one) => total + one.amount, 0),
    openCards: cards.map(({ id, amount }) => ({ id, amount })),
    jobs: jobs.map((job) => ({ ticket: job.ticket, state: state(job.id), hold: job.hold })),
  };
}

export async function orderView(house: House, number: number): Promise<OrderView | undefined> {
  const order = await orderByNumber(house.db, number);
  return order && viewOf(house, order);
}
export async function orderViewById(house: House, id: string): Promise<OrderView | undefined> {
  const order = await orderById(house.db, id);
  return order && viewOf(house, order);
}

export async function jobView(house: House, ticket: string): Promise<JobView | undefined> {
  const job = await jobByTicket(house.db, ticket);
  const worked = job && (await agreedOf(house.db, job.id));
  if (!worked) return undefined;
  const steps = await stepsOf(house.db, job.id);
  const events = await eventsOf(house.db, job.id);
  return {
    id: job.id,
    ticket: job.ticket,
    number: job.number,
    revision: job.revision,
    customer: job.customer,
    promised: job.promised,
    hold: job.hold,
    reasons: job.reasons,
    worked,
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

export async function boardView(house: House): Promise<BoardView> {
  const jobs = await openJobs(house.db);
  const all = await stepsOfAll(
    house.db,
    jobs.map((job) => job.id),
  );
  const byJob = new Map<string, typeof all>();
  for (const step of all) byJob.set(step.job_id, [...(byJob.get(step.job_id) ?? []), step]);
  return {
    today: dayOf(house.clock.now()),
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
export const findOrdersView = (house: House, text: string, states: readonly string[]): Promise<FoundView[]> =>
  findOrders(house.db, text.slice(0, 80), states);
export const findCustomersView = (house: House, text: string): Promise<CustomerView[]> =>
  findCustomers(house.db, text.slice(0, 80));

/** What a supplier's list would do to the books, without doing it. */
export async function previewImport(house: House, text: string): Promise<ImportPreview> {
  const list = readMouldingList(text);
  const books = await house.books();
  const plan = planImport(list, new Map(books?.lists.mouldings.map((one) => [one.code, one])));
  return {
    edition: books?.prices.edition ?? 0,
    issues: list.issues,
    ignored: list.ignored,
    rows: plan.map(({ moulding: _moulding, ...row }) => row),
  };
}
