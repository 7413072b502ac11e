/** Jobs, their steps and what happened to them. */
import { z } from 'zod';
import { STATIONS, STEPS, WAITS } from '@/core/route/steps';
import type { Built } from '@/core/jobs/as-built';
import { type Agreed, readAgreed } from '@/core/agreed';
import type { Queries, Tx } from '../client';
import { type By, BY_LINK, named, readRow, readRows } from './rows';

const holdSchema = z.object({
  reason: z.string(),
  who: z.enum(['customer', 'supplier', 'conservator', 'shop']),
  /** The name of who put it on hold. */
  by: named,
  at: z.string(),
  /** The day it is expected to go on. Null: none can be given; holds of before have none. */
  until: z.string().nullable().default(null),
});
export type Hold = z.infer<typeof holdSchema>;
/** A hold as it is stored: the person by id. */
export type HoldKept = Omit<Hold, 'by' | 'until'> & { readonly byId: By; readonly until?: string };

const jobRow = z.object({
  id: z.string(),
  ticket: z.string(),
  order_id: z.string(),
  revision: z.int(),
  hold: holdSchema.nullable(),
  reasons: z.record(z.string(), z.string()),
  handed: z.object({ signedBy: z.string(), byId: z.string().nullable() }).nullable(),
  built: z.custom<Built>((value) => typeof value === 'object' && value !== null),
  order_state: z.string(),
  number: z.int(),
  promised: z.string(),
  customer: z.string(),
});
export type JobRow = z.infer<typeof jobRow>;

const JOB = `SELECT j.id, j.ticket, j.order_id, j.revision, j.hold || jsonb_build_object('by', h.name) AS hold, j.reasons, j.handed, j.built,
                    o.state AS order_state, o.number, o.promised::text, c.name AS customer`;
const FROM = `FROM job j JOIN orders o ON o.id = j.order_id JOIN customer c ON c.id = o.customer_id
                   LEFT JOIN staff h ON h.id = (j.hold ->> 'byId')::uuid`;

export const jobByTicket = async (db: Queries, ticket: string) =>
  readRow(jobRow, await db.query(`${JOB} ${FROM} WHERE j.ticket = $1`, [ticket]));
export const lockJob = async (tx: Tx, id: string) =>
  readRow(jobRow, await tx.query(`${JOB} ${FROM} WHERE j.id = $1 FOR UPDATE OF j`, [id]));
export const jobsOfOrder = async (db: Queries, orderId: string) =>
  readRows(jobRow, await db.query(`${JOB} ${FROM} WHERE j.order_id = $1 ORDER BY j.ticket`, [orderId]));

/** What was agreed about pieces, by their ids. */
export async function agreedOfAll(db: Queries, ids: readonly string[]): Promise<Map<string, Agreed>> {
  const rows = await db.query<{ id: string; agreed: unknown }>(
    'SELECT id, agreed FROM piece WHERE id = ANY ($1) AND agreed IS NOT NULL',
    [ids],
  );
  return new Map(rows.map((row) => [row.id, readAgreed(row.agreed)]));
}
export const agreedOf = async (db: Queries, id: string): Promise<Agreed | undefined> =>
  (await agreedOfAll(db, [id])).get(id);

export const insertJob = (tx: Tx, id: string, ticket: string, orderId: string, reasons: Record<string, string>) =>
  tx.query('INSERT INTO job (id, ticket, order_id, revision, reasons) VALUES ($1, $2, $3, 1, $4)', [
    id,
    ticket,
    orderId,
    JSON.stringify(reasons),
  ]);

export const setBuilt = (tx: Tx, id: string, built: Built) =>
  tx.query('UPDATE job SET built = $2, revision = revision + 1 WHERE id = $1', [id, JSON.stringify(built)]);
export const touchJob = (tx: Tx, id: string) => tx.query('UPDATE job SET revision = revision + 1 WHERE id = $1', [id]);
export const setHold = (tx: Tx, id: string, hold: HoldKept | null) =>
  tx.query('UPDATE job SET hold = $2, revision = revision + 1 WHERE id = $1', [
    id,
    hold === null ? null : JSON.stringify(hold),
  ]);
export const setHanded = (tx: Tx, id: string, handed: { signedBy: string; byId: By }, at: Date) =>
  tx.query('UPDATE job SET handed = $2, handed_at = $3, revision = revision + 1 WHERE id = $1', [
    id,
    JSON.stringify(handed),
    at,
  ]);

const stepRow = z.object({
  job_id: z.string(),
  position: z.int(),
  step: z.enum(STEPS),
  station: z.enum(STATIONS),
  minutes: z.int(),
  state: z.enum(['todo', 'doing', 'done']),
  waits: z.enum(WAITS).nullable(),
  times: z.int(),
  started_at: z.date().nullable(),
  done_at: z.date().nullable(),
});
export type StepRow = z.infer<typeof stepRow>;

const STEP = 'SELECT job_id, position, step, station, minutes, state, waits, times, started_at, done_at FROM step';
export const stepsOf = async (db: Queries, jobId: string) =>
  readRows(stepRow, await db.query(`${STEP} WHERE job_id = $1 ORDER BY position`, [jobId]));
export const stepsOfAll = async (db: Queries, jobIds: readonly string[]) =>
  readRows(stepRow, await db.query(`${STEP} WHERE job_id = ANY ($1) ORDER BY job_id, position`, [jobIds]));

export const insertStep = (
  tx: Tx,
  one: Pick<StepRow, 'job_id' | 'position' | 'step' | 'station' | 'minutes' | 'waits'>,
) =>
  tx.query(
    "INSERT INTO step (job_id, position, step, station, minutes, waits, state) VALUES ($1, $2, $3, $4, $5, $6, 'todo')",
    [one.job_id, one.position, one.step, one.station, one.minutes, one.waits],
  );

/** The steps of a job that is another design now, none of them begun; what was measured at the former one is forgotten. */
export async function replaceSteps(
  tx: Tx,
  jobId: string,
  reasons: Record<string, string>,
  steps: readonly Pick<StepRow, 'position' | 'step' | 'station' | 'minutes' | 'waits'>[],
): Promise<void> {
  await tx.query('DELETE FROM step WHERE job_id = $1', [jobId]);
  for (const step of steps) await insertStep(tx, { ...step, job_id: jobId });
  await tx.query("UPDATE job SET reasons = $2, built = '{}', revision = revision + 1 WHERE id = $1", [
    jobId,
    JSON.stringify(reasons),
  ]);
}

export const startStep = (tx: Tx, jobId: string, step: string, at: Date) =>
  tx.query("UPDATE step SET state = 'doing', started_at = $3 WHERE job_id = $1 AND step = $2", [jobId, step, at]);
export const finishStep = (tx: Tx, jobId: string, step: string, at: Date, by: By) =>
  tx.query(
    "UPDATE step SET state = 'done', times = times + 1, started_at = coalesce(started_at, $3), done_at = $3, done_by_id = $4 WHERE job_id = $1 AND step = $2",
    [jobId, step, at, by],
  );
/** Back to do; how often it was done stays counted unless the last time was a slip. */
export const reopenStep = (tx: Tx, jobId: string, step: string, slip: boolean) =>
  tx.query(
    `UPDATE step SET times = times - CASE WHEN $3 AND state = 'done' THEN 1 ELSE 0 END,
                     state = 'todo', started_at = NULL, done_at = NULL, done_by_id = NULL
      WHERE job_id = $1 AND step = $2`,
    [jobId, step, slip],
  );

const eventRow = z.object({
  at: z.date(),
  by: named,
  what: z.string(),
  step: z.string().nullable(),
  detail: z.record(z.string(), z.unknown()),
});
export type JobEvent = z.infer<typeof eventRow>;
export const eventsOf = async (db: Queries, jobId: string) =>
  readRows(
    eventRow,
    await db.query(
      `SELECT e.at, coalesce(s.name, CASE WHEN e.link_id IS NOT NULL THEN '${BY_LINK}' END) AS by, e.what, e.step, e.detail
         FROM job_event e LEFT JOIN staff s ON s.id = e.by_id WHERE e.job_id = $1 ORDER BY e.id`,
      [jobId],
    ),
  );
export const insertEvent = (
  tx: Tx,
  jobId: string,
  one: Omit<JobEvent, 'by'> & { readonly by: By; readonly link?: string | undefined },
) =>
  tx.query(
    'INSERT INTO job_event (job_id, at, by_id, what, step, detail, link_id) VALUES ($1, $2, $3, $4, $5, $6, $7)',
    [jobId, one.at, one.by, one.what, one.step, JSON.stringify(one.detail), one.link ?? null],
  );

const boardRow = jobRow.extend({ title: z.string(), failures: z.int() });
export type BoardRow = z.infer<typeof boardRow>;
/** Every job that is not handed over or cancelled, the earliest promise first. */
export const openJobs = async (db: Queries) =>
  readRows(
    boardRow,
    await db.query(
      `${JOB}, coalesce(nullif(p.design -> 'piece' ->> 'title', ''), '') AS title,
              (SELECT count(*) FROM job_event e WHERE e.job_id = j.id AND e.what = 'failed')::int AS failures
         ${FROM} JOIN piece p ON p.id = j.id
        WHERE o.state = 'accepted' AND j.handed IS NULL
        ORDER BY o.promised, j.ticket`,
    ),
  );
