/**
 * The one door for change. A command is validated, permitted, and run in one transaction that also writes who, when,
 * before and after; then the live screens are told. Expected failure is a value and rolls everything back. The same
 * request twice (same id) does nothing twice: the second is answered from the record.
 */
import { createHash } from 'node:crypto';
import { type CommandName, type Payload, commands, envelopeSchema } from '@/contract/commands';
import { type Issue, type Outcome, bad, good, issue } from '@/core/issue';
import { DbError, type Tx } from '@/db/client';
import { type AuditEntry, commandById, insertAudit, insertCommand } from '@/db/queries/door';
import type { Person } from '@/db/queries/staff';
import type { House } from './house';

/** What a handler may know besides its payload. */
export interface Context {
  readonly house: House;
  readonly by: string;
  readonly now: Date;
}
export interface Done {
  readonly result?: Readonly<Record<string, string | number | boolean | null>>;
  readonly audit: readonly AuditEntry[];
  /** What the live screens should look at again: `order:…`, `job:…`, `books`. */
  readonly touched: readonly string[];
}
export type Handler<N extends CommandName> = (tx: Tx, payload: Payload<N>, context: Context) => Promise<Outcome<Done>>;
export type Handlers = { readonly [N in CommandName]: Handler<N> };

export class Refused extends Error {
  constructor(readonly issues: Issue[]) {
    super(issues.map((one) => `${one.code} ${JSON.stringify(one.figures)}`).join(', '));
  }
}

const digestOf = (payload: unknown) => createHash('sha256').update(JSON.stringify(payload)).digest('hex');

/** Reads the envelope and the payload; every mistake is an issue with its path. */
function read(body: unknown): Outcome<{ id: string; name: CommandName; payload: never }> {
  const envelope = envelopeSchema.safeParse(body);
  if (!envelope.success) return bad(...schemaIssues(envelope.error.issues));
  const { id, name, payload } = envelope.data;
  if (!Object.hasOwn(commands, name)) return bad(issue('command-unknown', { name }));
  const known = name as CommandName;
  const checked = commands[known].payload.safeParse(payload);
  if (!checked.success) return bad(...schemaIssues(checked.error.issues));
  return good({ id, name: known, payload: checked.data as never });
}

interface SchemaIssue {
  readonly path: PropertyKey[];
  readonly message: string;
  /** Keys that nobody asked for, when that is what is wrong. */
  readonly keys?: readonly string[];
}
/** What a schema found wrong, each beside its key; a key that is not known is named itself. */
export const schemaIssues = (found: readonly SchemaIssue[]): Issue[] =>
  found
    .flatMap(({ path, message, keys = [] }) =>
      (keys.length > 0 ? keys.map((key) => [...path, key]) : [path]).map((at) =>
        issue('input-wrong', { reason: message.slice(0, 300) }, at.map((key) => String(key).slice(0, 60)).join('.')),
      ),
    )
    .slice(0, 20);

/** One command inside a transaction: done once for its id, recorded, audited. Throws Refused with the issues. */
export async function perform(
  tx: Tx,
  id: string,
  name: CommandName,
  payload: never,
  context: Context,
  handlers: Handlers,
): Promise<Done> {
  const digest = digestOf(payload);
  const before = await commandById(tx, id);
  if (before) {
    if (before.name !== name || before.digest !== digest) throw new Refused([issue('command-reused', { id })]);
    return { result: before.result as never, audit: [], touched: [] };
  }
  const outcome = await (handlers[name] as Handler<CommandName>)(tx, payload, context);
  if (!outcome.ok) throw new Refused(outcome.issues);
  await insertCommand(tx, { id, name, digest, by: context.by, at: context.now, result: outcome.value.result });
  for (const entry of outcome.value.audit) await insertAudit(tx, id, context.now, context.by, entry);
  return outcome.value;
}

/** PostgreSQL's code for a key that is there already. */
const TAKEN = '23505';

/** Lets a command through, or answers what stands in its way. Only faults of the program are thrown. */
export async function enter(
  house: House,
  person: Person | undefined,
  body: unknown,
  handlers: Handlers,
): Promise<Outcome<NonNullable<Done['result']>>> {
  const request = read(body);
  if (!request.ok) return request;
  const { id, name, payload } = request.value;
  const { roles } = commands[name];
  if (roles.length > 0 && !person) return bad(issue('sign-in-first'));
  if (person && roles.length > 0 && !roles.includes(person.role))
    return bad(issue('not-permitted', { role: person.role, command: name }));
  const context: Context = { house, by: person?.name ?? 'set-up', now: house.clock.now() };
  try {
    const done = await house.db.transaction((tx) => perform(tx, id, name, payload, context, handlers));
    if (done.touched.length > 0) house.bus.publish({ what: name, touched: done.touched });
    return good(done.result ?? {});
  } catch (error) {
    if (error instanceof Refused) return bad(...error.issues);
    if (error instanceof DbError && error.code === TAKEN)
      return bad(issue('already-there', { constraint: error.constraint ?? '' }));
    throw error;
  }
}
