/**
 * The one door for change. A command is validated, permitted, and run in one transaction that also writes who, when,
 * before and after; then the live screens are told. Expected failure is a value and rolls everything back. The same
 * request twice (same id) does nothing twice: the second is answered from the record.
 */
import { createHmac } from 'node:crypto';
import { type CommandName, type Payload, type Role, commandOf, commands, envelopeSchema } from '@/contract/commands';
import { type Issue, type Outcome, bad, good, issue } from '@/core/issue';
import { type Tx, isDbError } from '@/db/client';
import { type AuditEntry, commandById, insertAudit, insertCommand, lastToChange } from '@/db/queries/door';
import { type Person, insertSecurity } from '@/db/queries/staff';
import type { By } from '@/db/queries/rows';
import type { AppContext } from './app-context';
import { type SecurityWhat, logSecurity } from './security-log';
import { sessionsEnded } from './sessions';

/** What a handler may know besides its payload. */
export interface Context {
  readonly app: AppContext;
  /** Who asks; null for the program itself, and for whoever sets up a shop. */
  readonly by: By;
  readonly role?: Role | undefined;
  readonly now: Date;
  /** What was made ready before the transaction, by `Readying`. */
  readonly ready?: unknown;
  /** Where the request came from, for the security log. */
  readonly address?: string;
  /** The session it came by. */
  readonly session?: string | undefined;
  /** The customer's link it came by. */
  readonly link?: string | undefined;
}
export interface CommandResult {
  readonly result?: Readonly<Record<string, string | number | boolean | null>>;
  readonly audit: readonly AuditEntry[];
  /** What the live screens should look at again: `order:…`, `job:…`, `books`. */
  readonly touched: readonly string[];
  /** What the owner should find in the security log. */
  readonly security?: SecurityWhat;
  /** Sessions that the command ended. */
  readonly ended?: readonly string[];
}
export type Handler<N extends CommandName> = (
  tx: Tx,
  payload: Payload<N>,
  context: Context,
) => Promise<Outcome<CommandResult>>;
export type Handlers = { readonly [N in CommandName]: Handler<N> };
/**
 * What takes long and can be done before the transaction, so that nobody waits for it: a slow hash, a list written in
 * slices where nobody sees it yet. Its value is `context.ready`.
 */
export type Readying<N extends CommandName> = (payload: Payload<N>, context: Context) => Promise<Outcome<unknown>>;
export type Readyings = { readonly [N in CommandName]?: Readying<N> };

export class Refused extends Error {
  constructor(readonly issues: Issue[]) {
    super(issues.map((one) => `${one.code} ${JSON.stringify(one.figures)}`).join(', '));
  }
}

/** Tells two payloads apart and nothing else: keyed, and without what is secret in them. */
function digestOf({ secret }: AppContext, name: CommandName, payload: Readonly<Record<string, unknown>>): string {
  const hidden = commandOf(name).secret ?? [];
  const shown = Object.fromEntries(Object.entries(payload).filter(([key]) => !hidden.includes(key)));
  return createHmac('sha256', secret)
    .update(JSON.stringify([name, shown]))
    .digest('base64url');
}

interface Request {
  readonly id: string;
  readonly name: CommandName;
  readonly payload: unknown;
}
/** Reads the envelope; every mistake is an issue with its path. */
function readEnvelope(body: unknown): Outcome<Request> {
  const envelope = envelopeSchema.safeParse(body);
  if (!envelope.success) return bad(...schemaIssues(envelope.error.issues));
  const { id, name, payload } = envelope.data;
  return Object.hasOwn(commands, name)
    ? good({ id, name: name as CommandName, payload })
    : bad(issue('command-unknown', { name }));
}
function readPayload({ name, payload }: Request): Outcome<never> {
  const checked = commands[name].payload.safeParse(payload);
  return checked.success ? good(checked.data as never) : bad(...schemaIssues(checked.error.issues));
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
): Promise<CommandResult> {
  const digest = digestOf(context.app, name, payload);
  const before = await commandById(tx, id);
  if (before) {
    // What an earlier Lopren wrote down has no digest any more.
    if (before.name !== name || (before.digest !== '' && before.digest !== digest))
      throw new Refused([issue('command-reused', { id })]);
    return { result: before.result as never, audit: [], touched: [] };
  }
  const outcome = await (handlers[name] as Handler<CommandName>)(tx, payload, context);
  if (!outcome.ok) throw new Refused(outcome.issues);
  const { by, link, now: at } = context;
  await insertCommand(tx, { id, name, digest, by, link, at, result: outcome.value.result });
  for (const entry of outcome.value.audit) await insertAudit(tx, id, context.now, context.by, entry);
  const { security } = outcome.value;
  if (security)
    await insertSecurity(tx, context.now, { what: security, staffId: context.by, address: context.address ?? 'local' });
  return outcome.value;
}

/** PostgreSQL's code for a key that is there already. */
const TAKEN = '23505';

/** Who asks at the door, and how. */
export interface Asker {
  readonly person: Person | undefined;
  readonly address?: string;
  readonly session?: string | undefined;
  /** The customer's link it came by. */
  readonly link?: string | undefined;
  /** The program itself: it may give commands that are closed to everybody else. */
  readonly program?: boolean;
}

/**
 * Lets a command through, or answers what stands in its way. Only faults of the program are thrown. `told` hears what it
 * touched; nothing where it had been done before, whatever that touched then.
 */
export async function handleCommand(
  app: AppContext,
  asker: Asker,
  body: unknown,
  handlers: Handlers,
  readyings: Readyings = {},
  told: (touched: readonly string[]) => void = () => undefined,
): Promise<Outcome<NonNullable<CommandResult['result']>>> {
  const request = readEnvelope(body);
  if (!request.ok) return request;
  const { id, name } = request.value;
  const stop = notFor(name, asker);
  if (stop) {
    if (asker.person)
      await logSecurity(app, {
        what: 'command refused',
        staffId: asker.person.id,
        address: asker.address ?? 'local',
        detail: { command: name },
      });
    return bad(stop);
  }
  const read = readPayload(request.value);
  if (!read.ok) return read;
  const payload = read.value;
  const { person, address, session, link } = asker;
  const context: Context = {
    app,
    by: person?.id ?? null,
    role: person?.role,
    now: app.clock.now(),
    address,
    session,
    link,
  };
  try {
    const ready = await (readyings[name] as Readying<CommandName> | undefined)?.(payload, context);
    if (ready && !ready.ok) return ready;
    const done = await app.db.transaction((tx) =>
      perform(tx, id, name, payload, { ...context, ready: ready?.value }, handlers),
    );
    if (done.ended) sessionsEnded(app, done.ended);
    if (done.touched.length > 0) {
      told(done.touched);
      app.bus.publish({ what: name, touched: done.touched, id });
    }
    return good(done.result ?? {});
  } catch (error) {
    if (error instanceof Refused) return bad(...(await withWho(app, person, payload, error.issues)));
    if (isDbError(error) && error.code === TAKEN)
      return bad(issue('already-there', { constraint: error.constraint ?? '' }));
    throw error;
  }
}

/** What a refusal says was changed, and the key of the payload that names it. */
const CHANGED: Readonly<Record<string, readonly [entity: string, key: string]>> = {
  'job-stale': ['job', 'jobId'],
  'order-stale': ['order', 'orderId'],
  'customer-stale': ['customer', 'customerId'],
  'settings-stale': ['settings', ''],
};
/** Names who was first, where it was somebody else. */
async function withWho(app: AppContext, asker: Person | undefined, payload: object, issues: Issue[]): Promise<Issue[]> {
  const [first] = issues;
  const changed = first && CHANGED[first.code];
  if (!changed) return issues;
  const [entity, key] = changed;
  const id = key === '' ? null : String((payload as Readonly<Record<string, unknown>>)[key] ?? '');
  const last = await lastToChange(app.db, entity, id);
  if (!last || last.id === asker?.id) return issues;
  return [{ ...first, figures: { ...first.figures, by: last.name } }, ...issues.slice(1)];
}

/** Why this command is not for who asks, if it is not. */
function notFor(name: CommandName, { person, program }: Asker): Issue | undefined {
  const { roles, internal } = commandOf(name);
  if (internal) return program ? undefined : issue('command-internal', { command: name });
  if (roles.length === 0) return undefined;
  if (!person) return issue('sign-in-first');
  return roles.includes(person.role) ? undefined : issue('not-permitted', { role: person.role, command: name });
}
