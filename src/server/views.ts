/** What the screens are shown: queries put together into views. */
import type { BoardView, CustomerView, FoundView, JobView, OrderView, Pictures, ShopView } from '@/contract/views';
import { calendarOf, waitMinutesOf } from '@/contract/settings';
import { withWorkings, withoutMoney } from '@/core/agreed';
import { partsOfTickets } from '@/db/queries/rack';
import { afterwards } from '@/core/ledger/afterwards';
import { proposedKept } from '@/core/ledger/kept';
import { type OrderAccount, beyond, heldOf, newAccount, owed } from '@/core/ledger/order-account';
import { NOTHING } from '@/core/units/money';
import { termsOf } from '@/db/queries/ledger';
import { accountOf, paidOf } from './ledger';
import { designSchema } from '@/core/design/schema';
import { measuresOf } from '@/core/jobs/as-built';
import { jobState, nextStep } from '@/core/route/state';
import {
  type StepRow,
  agreedOf,
  eventsOf,
  jobByTicket,
  jobsOfOrder,
  openJobs,
  stepsOf,
  stepsOfAll,
} from '@/db/queries/jobs';
import {
  type OrderRow,
  findOrders,
  openCards,
  orderById,
  orderByNumber,
  paymentsOf,
  piecesOf,
  type PieceRow,
} from '@/db/queries/orders';
import { customerById, findCustomers } from '@/db/queries/customers';
import { type RecordRow, recordOf, recordsOf } from '@/db/queries/records';
import { frontsOf } from '@/core/custody/record';
import type { Queries } from '@/db/client';
import { dayOf, momentOf } from './clock';
import { asBuiltOf } from './as-built';
import { instructed } from './instructed';
import { careOf } from './records';
import { plannedOf } from './planned';
import { togetherWith } from './together';
import { firstDay, waitingAt } from './waiting';
import { standing } from './quotes';
import type { CounterViewer, ScreenViewer, Viewer } from './access';
import type { Guest } from './guests';
import { begunOf, minutesTaken, workedOn } from './changing';
import type { ShopData, AppContext } from './app-context';

/** The books with their prices and costs: for the desk. */
export async function shopView({ app }: ScreenViewer | Guest): Promise<ShopView | undefined> {
  const books = await app.books();
  if (!books) return undefined;
  const { shop, prices, lists } = books;
  const settings = await app.shopSettings();
  const calendar = calendarOf(settings);
  return {
    name: shop.name,
    homeUnit: shop.home_unit,
    demo: shop.demo,
    prices,
    defaults: books.house,
    lists,
    calendar,
    waits: waitMinutesOf(settings),
    now: momentOf(app.clock.now()),
    marginFloor: settings.marginFloor,
    currency: settings.currency,
    today: dayOf(app.clock.now()),
    contact: settings.contact,
    quoteTerms: settings.quoteTerms,
  };
}

/** An order and all that belongs to it, as of one moment: its revision must not be older than the rest. */
async function orderAs(
  app: AppContext,
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
/** The photos that stand for these pieces, by the piece's id; those without are left out. */
const picturesIn = (records: ReadonlyMap<string, RecordRow>): Pictures =>
  Object.fromEntries(
    [...records].flatMap(([id, { record }]) => (frontsOf(record).length > 0 ? [[id, frontsOf(record)]] : [])),
  );
export const picturesView = async ({ app }: ScreenViewer, ids: readonly string[]): Promise<Pictures> =>
  picturesIn(await recordsOf(app.db, ids));

const NOTHING_SOLD = { total: NOTHING, net: [], tax: [] };
/** What is the customer's: all that is held of a cancelled order, else what came beyond the total. */
const owedBackOf = (account: OrderAccount, cancelled: boolean): number =>
  cancelled && !account.handed ? heldOf(account) : beyond(account);
/** What each piece came to so far, by its ticket. */
async function afterwardsOf(
  db: Queries,
  jobs: readonly { readonly id: string; readonly ticket: string }[],
  pieces: readonly PieceRow[],
  steps: readonly StepRow[],
  perHour: string,
): Promise<OrderView['afterwards']> {
  if (jobs.length === 0) return {};
  const cut = await partsOfTickets(
    db,
    jobs.map(({ ticket }) => ticket),
  );
  return Object.fromEntries(
    jobs.flatMap(({ id, ticket }) => {
      const agreed = pieces.find((piece) => piece.id === id)?.agreed;
      if (!agreed) return [];
      const own = steps
        .filter((step) => step.job_id === id)
        .map((step) => ({
          step: step.step,
          planned: step.minutes,
          done: step.state === 'done',
          taken: minutesTaken(step),
        }));
      const spoiled = cut.flatMap((one) =>
        one.ticket === ticket && one.spoiled ? [{ part: one.part, why: one.spoiled.why }] : [],
      );
      return [[ticket, afterwards(agreed, ticket, own, spoiled, perHour)] as const];
    }),
  );
}

async function viewOf(app: AppContext, db: Queries, order: OrderRow, books: ShopData): Promise<OrderView> {
  const customer = await customerById(db, order.customer_id);
  const pieces = await piecesOf(db, order.id);
  const payments = await paymentsOf(db, order.id);
  const records = await recordsOf(
    db,
    pieces.map(({ id }) => id),
  );
  const cards = await openCards(db, order.id);
  const jobs = await jobsOfOrder(db, order.id);
  const { edition } = books.prices;
  const account = order.agreed ? await accountOf(db, order) : undefined;
  const paid = account ? paidOf(account) : 0;
  const shop = { settings: books.settings, catalogue: books.catalogue, prices: books.prices };
  const { designs, held, expired } = standing(order, pieces, edition, dayOf(app.clock.now()));
  const steps = await stepsOfAll(
    db,
    jobs.map((job) => job.id),
  );
  const parts = await partsOfTickets(
    db,
    jobs.map(({ ticket }) => ticket),
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
    customer: { id: customer!.id, name: customer!.name, phone: customer!.phone, email: customer!.email },
    wall: order.wall,
    pictures: picturesIn(records),
    care: Object.fromEntries([...records].map(([id, row]) => [id, careOf(row)!])),
    agreed: order.agreed,
    held,
    expired,
    pieces: designs.map(({ id, design, letter, others }, index) => {
      const { agreed } = pieces[index]!;
      const alternatives = others.map(({ quoted: _quoted, ...other }) => other);
      return { id, design, letter, others: alternatives, agreed: agreed && withWorkings(agreed, shop) };
    }),
    payments: payments.map(({ order_id: _order, at, ...one }) => ({ ...one, at: at.toISOString() })),
    paid,
    balance: account && order.state !== 'cancelled' ? owed(account) : 0,
    received: account?.received ?? newAccount(NOTHING_SOLD).received,
    due: order.due,
    terms: (await termsOf(db, order.customer_id)) ?? { days: null, limit: null },
    begun:
      order.state === 'accepted'
        ? Object.fromEntries(
            jobs.map((job) => {
              const agreed = pieces.find(({ id }) => id === job.id)?.agreed ?? null;
              const worked = workedOn(steps, job.id, agreed);
              return [job.id, begunOf(job, steps, parts, worked, books.prices.labourPerHour)];
            }),
          )
        : {},
    kept:
      order.state === 'accepted'
        ? proposedKept(
            pieces.map(({ id, agreed }) => workedOn(steps, id, agreed)),
            books.prices.labourPerHour,
          )
        : [],
    owedBack: account ? owedBackOf(account, order.state === 'cancelled') : 0,
    openCards: cards.map(({ id, amount }) => ({ id, amount })),
    afterwards: await afterwardsOf(db, jobs, pieces, steps, books.prices.labourPerHour),
    jobs: jobs.map((job) => ({ ticket: job.ticket, state: state(job.id), hold: job.hold })),
  };
}

/** An order for a screen that faces the customer, which shows some of it. */
export const orderOnScreen = ({ app }: ScreenViewer, id: string): Promise<OrderView | undefined> =>
  orderAs(app, (db) => orderById(db, id));

/** An order for whoever holds a link to it: what is shown of it is chosen by the page of the link. */
export const orderOfGuest = ({ app, orderId }: Guest): Promise<OrderView | undefined> =>
  orderAs(app, (db) => orderById(db, orderId));

export const orderView = (viewer: CounterViewer, number: number): Promise<OrderView | undefined> =>
  orderAs(viewer.app, (db) => orderByNumber(db, number));

/** An agreed order to be changed: its designs hold the materials as they were agreed. */
export const asAgreed = (order: OrderView): OrderView => ({
  ...order,
  pieces: order.pieces.map((piece) => ({
    ...piece,
    design: piece.agreed ? designSchema.parse(piece.agreed.resolved.design) : piece.design,
    others: [],
  })),
});

/** A job as the bench needs it. The bench sees no price and no cost. */
export async function jobView({ app, person }: Viewer, ticket: string): Promise<JobView | undefined> {
  const found = await app.db.read(async (db) => {
    const job = await jobByTicket(db, ticket);
    const worked = job && (await agreedOf(db, job.id));
    return (
      worked && {
        row: await recordOf(db, job.id),
        job,
        agreed: worked,
        steps: await stepsOf(db, job.id),
        events: await eventsOf(db, job.id),
        cut: await plannedOf(db, ticket),
        others: (await jobsOfOrder(db, job.order_id)).filter(({ id, hold }) => id !== job.id && !hold),
      }
    );
  });
  if (!found) return undefined;
  const { job, agreed, steps, events, cut, row, others } = found;
  const pictures = row ? frontsOf(row.record) : [];
  const { settings } = (await app.books())!;
  const { worked, issues } = asBuiltOf(job, agreed, steps, settings);
  const waiting = waitingAt(steps, app.clock.now(), await app.shopSettings());
  const next = nextStep(steps, (step) => waiting(step) !== undefined) ?? null;
  return {
    id: job.id,
    ticket: job.ticket,
    number: job.number,
    revision: job.revision,
    customer: job.customer,
    promised: job.promised,
    care: careOf(row),
    pictures,
    hold: job.hold,
    reasons: job.reasons,
    worked: person.role === 'bench' ? withoutMoney(worked) : worked,
    ...instructed(worked, settings, pictures),
    state: job.order_state === 'cancelled' ? 'cancelled' : jobState(steps),
    built: job.built,
    measures: measuresOf(worked),
    disagrees: issues,
    ...cut,
    steps: steps.map((row) => ({
      step: row.step,
      station: row.station,
      minutes: row.minutes,
      state: row.state,
      times: row.times,
      startedAt: row.started_at?.toISOString() ?? null,
      spent: minutesTaken(row),
      waiting: (row.state === 'todo' && waiting(row.step)) || null,
    })),
    next,
    together: await togetherWith(app, others, next),
    events: events.map(({ at, ...one }) => ({ ...one, at: at.toISOString() })),
  };
}

/** A day that comes after the promised one; null for another. */
const after = (day: string | undefined, promised: string): string | null =>
  day !== undefined && day > promised ? day : null;

export async function boardView({ app }: Viewer): Promise<BoardView> {
  const { jobs, all, records } = await app.db.read(async (db) => {
    const jobs = await openJobs(db);
    const ids = jobs.map((job) => job.id);
    return { jobs, all: await stepsOfAll(db, ids), records: await recordsOf(db, ids) };
  });
  const settings = await app.shopSettings();
  const now = app.clock.now();
  const today = dayOf(now);
  const byJob = new Map<string, typeof all>();
  for (const step of all) byJob.set(step.job_id, [...(byJob.get(step.job_id) ?? []), step]);
  return {
    today,
    jobs: jobs.map((job) => {
      const steps = byJob.get(job.id) ?? [];
      const waiting = waitingAt(steps, now, settings);
      const next = nextStep(steps, (step) => waiting(step) !== undefined);
      return {
        ticket: job.ticket,
        title: job.title,
        customer: job.customer,
        promised: job.promised,
        care: careOf(records.get(job.id)),
        state: jobState(steps),
        hold: job.hold,
        notBefore: job.promised < today ? null : after(firstDay(steps, job.hold, now, settings), job.promised),
        next: next ?? null,
        station: steps.find((one) => one.step === next)?.station ?? null,
        waiting: (next && waiting(next)) || null,
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
