/**
 * Many years of a shop, made from the orders that it has: customers, orders, pieces, jobs with their steps, plans,
 * payments, the log; and a supplier's list as long as they come. In slices, so that nobody else waits.
 */
import type { Db, Tx } from '@/db/client';

/** Filling is in no hurry: for `openDb`. */
export const PATIENT = { told: 900_000, ended: 1_200_000 };

const SLICE = 1_000;
/** Slices after which the planner looks again at what there is; PGlite never does by itself. */
const LOOK_AGAIN = 10;
const JOBS_A_PLAN = 20;
const DAYS = 20 * 365;

const FIRST =
  'Alma Bero Cilla Darro Edda Finno Gesa Haro Ilva Jorin Kessa Lumo Marit Nello Ossa Pavo Quena Rudo Sanna Tilo'.split(
    ' ',
  );
const MIDDLE =
  'Ander Brink Calder Dorn Ester Falk Gand Hollen Ister Jarn Kolm Lind Morr Norn Oster Pell Quill Rann Sund Torv'.split(
    ' ',
  );
const END = 'bach berg by dal feld ford gard ham holm lund mark mere nes rop sen stad sund ton vik wold'.split(' ');
const TITLES = 'Harbour|Low tide|Two gulls|Slipway|The long pier|Net loft|Regatta|Ferry|Salt marsh|Lamp'.split('|');

export interface Years {
  readonly orders: number;
  readonly mouldings: number;
  readonly now: Date;
  readonly tell?: (done: string) => void;
}

/** Closed orders of one piece each, copied from those that the shop has agreed on. */
async function templates(tx: Tx): Promise<string[]> {
  const rows = await tx.query<{ id: string }>(
    `SELECT p.id FROM piece p JOIN orders o ON o.id = p.order_id JOIN job j ON j.id = p.id
      WHERE p.agreed IS NOT NULL AND o.agreed IS NOT NULL
        AND (SELECT count(*) FROM piece other WHERE other.order_id = o.id) = 1
      ORDER BY o.number`,
  );
  if (rows.length === 0) throw new Error('there is no order to make years of: start the demo once in this folder');
  return rows.map(({ id }) => id);
}

const CUSTOMERS = `
INSERT INTO customer (id, name, phone, digits, email, created_at)
SELECT md5('customer' || n)::uuid,
       ($3::text[])[1 + n % 20] || ' ' || ($4::text[])[1 + n / 20 % 20] || ($5::text[])[1 + n / 400 % 20],
       '555 ' || lpad((n * 7919 % 10000000)::text, 7, '0'), '555' || lpad((n * 7919 % 10000000)::text, 7, '0'), '', $6
  FROM generate_series($1::bigint, $2::bigint) n`;

/** Every fiftieth was cancelled, every fiftieth never accepted; the rest is handed over and paid. */
const ORDERS = `
WITH made AS (
  SELECT n, ($3::uuid[])[1 + n % cardinality($3::uuid[])] AS of, $4::timestamptz - ((1 - n::float / $5) * $6 + 30) * interval '1 day' AS day
    FROM generate_series($1::bigint, $2::bigint) n)
INSERT INTO orders (id, number, customer_id, state, revision, promised, edition, quoted_at, quote_until, accepted_at, agreed, created_by_id)
SELECT md5('order' || n)::uuid, nextval('order_number'), md5('customer' || (1 + n * 7919 % $7))::uuid,
       CASE n % 50 WHEN 0 THEN 'cancelled' WHEN 1 THEN 'quoted' ELSE 'handed-over' END, 3,
       (day + interval '14 days')::date, 1, day, (day + interval '30 days')::date,
       CASE WHEN n % 50 <> 1 THEN day END, CASE WHEN n % 50 <> 1 THEN o.agreed END, $8
  FROM made JOIN piece t ON t.id = made.of JOIN orders o ON o.id = t.order_id`;

const PIECES = `
INSERT INTO piece (id, order_id, position, design, quoted, agreed)
SELECT md5('piece' || n)::uuid, md5('order' || n)::uuid, 1,
       jsonb_set(t.design, '{piece,title}', to_jsonb(($4::text[])[1 + n % 10] || ' ' || n)), t.quoted,
       CASE WHEN n % 50 <> 1 THEN t.agreed END
  FROM generate_series($1::bigint, $2::bigint) n JOIN piece t ON t.id = ($3::uuid[])[1 + n % cardinality($3::uuid[])]`;

const JOBS = `
INSERT INTO job (id, ticket, order_id, revision, reasons, handed, handed_at)
SELECT md5('piece' || n)::uuid, o.number || '-1', o.id, 3, '{}',
       CASE WHEN o.state = 'handed-over' THEN jsonb_build_object('signedBy', 'Customer', 'byId', $3::text) END,
       CASE WHEN o.state = 'handed-over' THEN o.quoted_at + interval '15 days' END
  FROM generate_series($1::bigint, $2::bigint) n JOIN orders o ON o.id = md5('order' || n)::uuid
 WHERE o.agreed IS NOT NULL`;

const STEPS = `
INSERT INTO step (job_id, position, step, station, minutes, state, times, started_at, done_at, done_by_id, waits)
SELECT j.id, s.position, s.step, s.station, s.minutes, CASE WHEN j.handed IS NULL THEN 'todo' ELSE 'done' END,
       CASE WHEN j.handed IS NULL THEN 0 ELSE 1 END, j.handed_at, j.handed_at, CASE WHEN j.handed IS NOT NULL THEN $4::uuid END, s.waits
  FROM generate_series($1::bigint, $2::bigint) n JOIN job j ON j.id = md5('piece' || n)::uuid
  JOIN step s ON s.job_id = ($3::uuid[])[1 + n % cardinality($3::uuid[])]`;

const EVENTS = `
INSERT INTO job_event (job_id, at, what, step, by_id)
SELECT s.job_id, s.done_at, 'done', s.step, s.done_by_id
  FROM generate_series($1::bigint, $2::bigint) n JOIN step s ON s.job_id = md5('piece' || n)::uuid
 WHERE s.state = 'done'`;

const PAYMENTS = `
WITH booked AS (
  SELECT md5(part.kind || n)::uuid AS id, o.id AS order_id, part.kind, CASE n % 3 WHEN 0 THEN 'cash' ELSE 'card' END AS method,
         part.amount, o.agreed, o.quoted_at + part.after * interval '1 day' AS at
    FROM generate_series($1::bigint, $2::bigint) n JOIN orders o ON o.id = md5('order' || n)::uuid
    CROSS JOIN LATERAL (VALUES
      ('deposit', (o.agreed ->> 'deposit')::bigint, 0, true),
      ('balance', (o.agreed ->> 'total')::bigint - (o.agreed ->> 'deposit')::bigint, 15, o.state = 'handed-over'),
      ('refund', -(o.agreed ->> 'deposit')::bigint, 2, o.state = 'cancelled'),
      ('sale', -(o.agreed ->> 'total')::bigint, 16, o.state = 'handed-over')) part (kind, amount, after, there)
   WHERE o.agreed IS NOT NULL AND part.there AND part.amount <> 0),
entries AS (
  INSERT INTO ledger_entry (id, at, day, by_id, kind, order_id)
  SELECT id, at, at::date, $3::uuid, kind, order_id FROM booked ORDER BY booked.at)
INSERT INTO ledger_posting (entry_id, position, account, amount, sold, rate)
SELECT id, 1, 'deposits', -amount, NULL, NULL FROM booked
UNION ALL
SELECT id, 2, method, amount, NULL, NULL FROM booked WHERE kind <> 'sale'
UNION ALL
SELECT id, 2, 'sales', -(agreed ->> 'net')::bigint, 'goods', NULL FROM booked WHERE kind = 'sale'
UNION ALL
SELECT id, 2 + ordinality, 'tax', -(t ->> 'amount')::bigint, NULL, t ->> 'percent'
  FROM booked, jsonb_array_elements(agreed -> 'tax') WITH ORDINALITY tax (t, ordinality) WHERE kind = 'sale'`;

const LOG = `
WITH told AS (
  INSERT INTO command (id, name, digest, at, result, by_id)
  SELECT 'many-' || n, 'accept-order', '', o.quoted_at, '{}', $3::uuid
    FROM generate_series($1::bigint, $2::bigint) n JOIN orders o ON o.id = md5('order' || n)::uuid
  RETURNING id, at)
INSERT INTO audit (command_id, at, what, entity, entity_id, by_id)
SELECT told.id, told.at, 'order accepted', 'order', md5('order' || substr(told.id, 6)), $3::uuid FROM told`;

/** A confirmed plan for each twenty jobs, with the parts of the first one the shop made. */
const PLANS = `
WITH made AS (
  SELECT n, md5('plan' || n)::uuid AS id, nextval('cut_plan_number') AS number
    FROM generate_series(ceil($1::numeric / $3)::bigint, floor($2::numeric / $3)::bigint) n),
plans AS (
  INSERT INTO cut_plan (id, number, state, at, request, plan, figures, effect, by_id)
  SELECT made.id, made.number, 'undone', t.at, t.request, t.plan, t.figures, t.effect, t.by_id
    FROM made CROSS JOIN (SELECT * FROM cut_plan ORDER BY number LIMIT 1) t
  RETURNING id)
INSERT INTO cut_part (plan_id, part, ticket, active)
SELECT made.id, j.ticket || ' ' || side, j.ticket, false
  FROM made JOIN plans ON plans.id = made.id
  CROSS JOIN LATERAL generate_series((made.n - 1) * $3 + 1, made.n * $3) k
  JOIN job j ON j.id = md5('piece' || k)::uuid
  CROSS JOIN unnest(ARRAY['frame left', 'frame right', 'frame top', 'frame bottom', 'mat', 'glazing', 'backing', 'mount board']) side`;

const LISTED = `
INSERT INTO moulding (code, name, supplier, face_width, rabbet_width, rabbet_depth, height, material, profile, finish, colour, stick, cost, cost_per, unit, edition, position)
SELECT 'MANY-' || lpad(n::text, 5, '0'), split_part(t.name, ',', 1) || ' ' || n || ', ' || t.finish, t.supplier, t.face_width, t.rabbet_width, t.rabbet_depth,
       t.height, t.material, t.profile, t.finish, t.colour, t.stick, t.cost, t.cost_per, t.unit, $3, 10000 + n
  FROM generate_series($1::bigint, $2::bigint) n
  JOIN (SELECT *, row_number() OVER (ORDER BY position, code) - 1 AS place FROM moulding WHERE edition < $3) t ON t.place = n % 40`;

/** Fills the shop that is open; it must have accepted orders and a confirmed plan to copy. */
export async function fillYears(db: Db, { orders, mouldings, now, tell = () => undefined }: Years): Promise<void> {
  const people = await db.query<{ id: string }>("SELECT id FROM staff WHERE role = 'owner' ORDER BY name LIMIT 1");
  const by = people[0]?.id;
  const customers = Math.max(1, Math.ceil(orders * 0.4));
  const from = await db.transaction((tx) => templates(tx));
  const slices = (count: number) =>
    Array.from({ length: Math.ceil(count / SLICE) }, (_, index) => [
      index * SLICE + 1,
      Math.min(count, (index + 1) * SLICE),
    ]);
  for (const [first, last] of slices(customers))
    await db.transaction((tx) => tx.query(CUSTOMERS, [first, last, FIRST, MIDDLE, END, now]));
  tell(`${customers} customers`);
  for (const [first, last] of slices(orders)) {
    await db.transaction(async (tx) => {
      await tx.query(ORDERS, [first, last, from, now, orders, DAYS, customers, by]);
      await tx.query(PIECES, [first, last, from, TITLES]);
      await tx.query(JOBS, [first, last, by]);
      await tx.query(STEPS, [first, last, from, by]);
      await tx.query(EVENTS, [first, last]);
      await tx.query(PAYMENTS, [first, last, by]);
      await tx.query(LOG, [first, last, by]);
      await tx.query(PLANS, [first, last, JOBS_A_PLAN]);
    });
    if (first === 1 || (first! - 1) % (SLICE * LOOK_AGAIN) === 0) await db.transaction((tx) => tx.query('ANALYZE'));
    tell(`${last} orders`);
  }
  if (mouldings > 0)
    await db.transaction(async (tx) => {
      const rows = await tx.query<{ number: number }>(
        `INSERT INTO price_edition (number, at, why, state, by_id, starts, prices, house)
         SELECT number + 1, $1, 'a long list', 'made', $2, $1::timestamptz::date, prices, house
           FROM price_edition WHERE number = (SELECT max(number) FROM price_edition) RETURNING number`,
        [now, by],
      );
      await tx.query(
        "INSERT INTO article (code, kind) SELECT 'MANY-' || lpad(n::text, 5, '0'), 'moulding' FROM generate_series(1, $1::int) n",
        [mouldings],
      );
      await tx.query(LISTED, [1, mouldings, rows[0]!.number]);
    });
  tell(`${mouldings} mouldings`);
  await db.transaction((tx) => tx.query('ANALYZE'));
}
