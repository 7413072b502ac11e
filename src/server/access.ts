/**
 * Where a person is let in. Whatever shows the shop's data takes a `Viewer`, and the only way to one is through here:
 * a page or route that forgot to ask cannot be written. What a role may not see is cut in the view, not hidden on the
 * screen.
 */
import { cookies, headers } from 'next/headers';
import { redirect } from 'next/navigation';
import type { NextRequest } from 'next/server';
import { type Audience, PAGES, ROUTES, type PageName, type RolesOf, type RouteName, startOf } from '@/contract/access';
import type { Role } from '@/contract/commands';
import { issue } from '@/core/issue';
import type { Unit } from '@/core/units/length';
import { isUnavailable } from '@/db/client';
import type { Person } from '@/db/queries/staff';
import type { Caller } from './caller';
import { appContext } from './compose';
import type { Asker } from './door';
import type { AppContext } from './app-context';
import { problem } from './problem';
import { type RequestKind, refusedRequest } from './same-origin';
import { logSecurity } from './security-log';
import { COOKIE, DEVICE_COOKIE, type Session, sessionOf } from './sessions';

declare const let_in: unique symbol;
/** Somebody who signed in, with a role that was looked at. Made here only. */
export interface Viewer<R extends Role = Role> {
  readonly [let_in]: true;
  readonly person: Person & { readonly role: R };
  /** The session that asks. */
  readonly session: string;
  readonly app: AppContext;
}
export type CounterViewer = Viewer<'owner' | 'counter'>;
/** Who may look at a screen that faces the customer: the screen itself, and whoever puts something on it. */
export type ScreenViewer = Viewer<'owner' | 'counter' | 'view'>;

const viewerOf = <R extends Role>(app: AppContext, { person, session }: Session): Viewer<R> =>
  ({ app, person, session }) as unknown as Viewer<R>;
const allowed = (audience: Audience, role: Role) => typeof audience !== 'string' && audience.includes(role);

export async function caller(): Promise<Caller> {
  const [jar, head] = [await cookies(), await headers()];
  return {
    address: head.get('x-lopren-address') ?? 'local',
    cookie: jar.get(COOKIE)?.value,
    device: jar.get(DEVICE_COOKIE)?.value,
  };
}

const currentSession = async (app: AppContext): Promise<Session | undefined> => sessionOf(app, await caller());

/** Who gives a command, as the door wants to know it. */
export async function asker(app: AppContext): Promise<Asker> {
  const from = await caller();
  const found = await sessionOf(app, from);
  return { person: found?.person, session: found?.session, address: from.address };
}

/** Who looks at a page; everybody else is sent to sign in, or to where their work begins. */
export async function pageViewer<P extends PageName>(page: P): Promise<Viewer<RolesOf<(typeof PAGES)[P]>>> {
  const app = await appContext();
  const found = await currentSession(app);
  if (!found) redirect('/sign-in');
  const { role } = found.person;
  if (!allowed(PAGES[page], role)) redirect(startOf(role));
  return viewerOf(app, found);
}

/** Who is here and which unit the shop thinks in, for what stands round a page; undefined for a stranger. */
export async function shopFrame(): Promise<{ person: Person; homeUnit: Unit } | undefined> {
  const app = await appContext();
  const person = (await currentSession(app))?.person;
  return person && { person, homeUnit: (await app.books())?.settings.homeUnit ?? 'in' };
}

type Params = Readonly<Record<string, string>>;
type Next = (request: NextRequest, context: { params: Promise<Params> }) => Promise<Response>;

/** An answer that nobody may keep, whatever happened; a database that cannot answer now is a 503. */
async function answered(work: () => Promise<Response>): Promise<Response> {
  let response: Response;
  try {
    response = await work();
  } catch (error) {
    if (!isUnavailable(error)) throw error;
    response = problem([issue(error.why === 'no-room' ? 'disk-full' : 'shop-busy')]);
  }
  if (!response.headers.has('cache-control')) response.headers.set('cache-control', 'no-store');
  return response;
}

/** The answer to a request that a page elsewhere may have made; written down for the owner. */
async function refusalOf(app: AppContext, request: NextRequest, kind: RequestKind): Promise<Response | undefined> {
  const refused = refusedRequest(request, kind);
  if (!refused) return undefined;
  const { address } = await caller();
  await logSecurity(app, { what: 'request refused', address, detail: { why: refused.code } });
  return problem([refused]);
}

/** A route for people who signed in, by its entry in the table. */
export const route =
  <N extends RouteName>(
    name: N,
    handle: (request: NextRequest, viewer: Viewer<RolesOf<(typeof ROUTES)[N]>>, params: Params) => Promise<Response>,
    kind: RequestKind = 'json',
  ): Next =>
  (request, { params }) =>
    answered(async () => {
      const app = await appContext();
      const refusal = await refusalOf(app, request, kind);
      if (refusal) return refusal;
      const found = await currentSession(app);
      if (!found) return problem([issue('sign-in-first')]);
      const { role } = found.person;
      if (!allowed(ROUTES[name], role)) return problem([issue('role-not-permitted', { role })]);
      return handle(request, viewerOf(app, found), await params);
    });

/** A route that anybody may ask, told who asks where somebody signed in. */
export const openRoute =
  <N extends RouteName>(
    name: (typeof ROUTES)[N] extends 'anybody' | 'computing' ? N : never,
    handle: (request: NextRequest, app: AppContext, person: Person | undefined, params: Params) => Promise<Response>,
    kind: RequestKind = ROUTES[name] === 'computing' ? 'computing' : 'json',
  ): Next =>
  (request, { params }) =>
    answered(async () => {
      const app = await appContext();
      const refusal = await refusalOf(app, request, kind);
      if (refusal) return refusal;
      const person = (await currentSession(app))?.person;
      if (ROUTES[name] === 'computing') {
        if (!person && !(await demoHere(app))) return problem([issue('sign-in-first')]);
        // A screen that faces the customer computes nothing of its own.
        if (person?.role === 'view') return problem([issue('role-not-permitted', { role: person.role })]);
      }
      return handle(request, app, person, await params);
    });

/** A demo that listens on its own machine only answers computations of whoever asks there. */
async function demoHere(app: AppContext): Promise<boolean> {
  const local = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;
  return app.demo && process.env.LOPREN_HOST === undefined && local.test((await headers()).get('host') ?? '');
}
