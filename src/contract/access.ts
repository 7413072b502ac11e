/**
 * Who may see and do what: every page and every route with the roles it is for. Pages and routes are made by these
 * names, so that one without an entry does not compile; `docs/access.md` is written from here and from the commands.
 */
import type { Role } from './roles';

const OWNER = ['owner'] as const;
const COUNTER = ['owner', 'counter'] as const;
const ALL = ['owner', 'counter', 'bench'] as const;
/** What a screen that faces the customer is let in to, and who puts something on it. */
const SCREEN = ['owner', 'counter', 'view'] as const;
const EVERYBODY = ['owner', 'counter', 'bench', 'view'] as const;

/** `anybody`: no sign-in. `computing`: who works here and is signed in, and whoever asks a demo on its own machine. */
export type Audience = readonly Role[] | 'anybody' | 'computing';

export const PAGES = {
  '/': 'anybody',
  '/sign-in': 'anybody',
  '/set-up': 'anybody',
  '/link/[token]': 'anybody',
  '/pay/[reference]': 'anybody',
  '/view/[screen]': SCREEN,
  '/desk': COUNTER,
  '/desk/[number]': COUNTER,
  '/quotes': COUNTER,
  '/board': ALL,
  '/bench': ALL,
  '/pieces/[id]': ALL,
  '/customers': COUNTER,
  '/customers/[id]': COUNTER,
  '/bench/[ticket]': ALL,
  '/rack': ALL,
  '/rack/plan': ALL,
  '/rack/plans': ALL,
  '/rack/mat-cutter': ALL,
  '/sums': ALL,
  '/collect': COUNTER,
  '/collect/[number]': COUNTER,
  '/till': COUNTER,
  '/till/ledger': OWNER,
  '/books': COUNTER,
  '/books/materials': COUNTER,
  '/books/prices': OWNER,
  '/books/table': OWNER,
  '/interface': COUNTER,
  '/me': ALL,
  '/settings': OWNER,
  '/security': OWNER,
} as const satisfies Readonly<Record<string, Audience>>;

export const ROUTES = {
  'GET /api/board': ALL,
  'GET /api/drafts/[order]': COUNTER,
  'PUT /api/drafts/[order]': COUNTER,
  'GET /api/find': COUNTER,
  'GET /api/customers/[id]': COUNTER,
  'GET /api/photos/[hash]': ALL,
  'POST /api/photos': ALL,
  'PUT /api/photos': ALL,
  'GET /api/pictures': COUNTER,
  'GET /api/pieces/[id]': ALL,
  'POST /api/import-preview': OWNER,
  'GET /api/list-columns': OWNER,
  'GET /api/list-tables': OWNER,
  'GET /api/prices/edition': OWNER,
  'GET /api/jobs/[ticket]': ALL,
  'POST /api/link/[token]': 'anybody',
  'GET /api/link/[token]/[photo]': 'anybody',
  'GET /link/none': 'anybody',
  'GET /api/live': EVERYBODY,
  'POST /api/mat-cutter': ALL,
  'GET /api/orders/[number]': COUNTER,
  'GET /api/orders/[number]/links': COUNTER,
  'POST /api/pay/[reference]': 'anybody',
  'GET /api/house-designs': COUNTER,
  'GET /api/quotes': COUNTER,
  'GET /api/rack': ALL,
  'POST /api/rack/apart': COUNTER,
  'GET /api/prices': OWNER,
  'POST /api/prices/what-if': OWNER,
  'GET /api/till': COUNTER,
  'GET /api/ledger': OWNER,
  'GET /api/security': OWNER,
  'POST /api/session': 'anybody',
  'DELETE /api/session': 'anybody',
  'GET /api/settings': OWNER,
  'GET /api/shop': COUNTER,
  'GET /api/screens': COUNTER,
  'GET /api/terminal': COUNTER,
  'POST /api/terminal': COUNTER,
  'GET /api/view/[screen]': SCREEN,
  'PUT /api/view/[screen]': COUNTER,
  'GET /api/view/[screen]/[photo]': SCREEN,
  'GET /api/back-up': OWNER,
  'POST /api/back-up': OWNER,
  'POST /api/v1/card': COUNTER,
  'POST /api/v1/commands': 'anybody',
  'POST /api/v1/cut-plans/[kind]': 'computing',
  'GET /api/v1/export/[list]': ALL,
  'POST /api/v1/lengths/parse': 'computing',
  'GET /api/v1/marks/[ticket]/[file]': ALL,
  'GET /api/v1/mats/[ticket]/[file]': ALL,
  'GET /api/v1/openapi.json': 'computing',
  'GET /api/v1/orders': COUNTER,
  'POST /api/v1/orders': COUNTER,
  'GET /api/v1/rack': ALL,
  'POST /api/v1/rack': ALL,
  'GET /api/v1/standard-sizes': 'computing',
  'POST /api/v1/sums/[topic]': 'computing',
  'POST /api/v1/work-out': 'computing',
  'GET /api/v1/[...rest]': 'anybody',
  'POST /api/v1/[...rest]': 'anybody',
  'PUT /api/v1/[...rest]': 'anybody',
  'PATCH /api/v1/[...rest]': 'anybody',
  'DELETE /api/v1/[...rest]': 'anybody',
  'GET /papers/[paper]/[number]': ALL,
} as const satisfies Readonly<Record<string, Audience>>;

/** Why what is open to anybody is. */
export const OPEN_BECAUSE: Readonly<Partial<Record<keyof typeof PAGES | keyof typeof ROUTES, string>>> = {
  '/': 'sends to the place where one begins; shows nothing',
  '/sign-in': 'the shop’s name and the names of its people; in the demo their PINs',
  '/set-up': 'only while there is no shop; needs the code that the console printed',
  '/link/[token]': 'one order, for whoever holds a link to it: the token is 128 random bits and can be withdrawn',
  '/pay/[reference]': 'stands in for a payment provider: the amount, for whoever was sent there by a link',
  'POST /api/link/[token]': 'choosing, asking, agreeing and paying for that order only',
  'GET /api/link/[token]/[photo]': 'the pictures of that order only',
  'GET /link/none': 'one sentence that says nothing of the shop',
  'POST /api/pay/[reference]': 'what the customer does at the stand-in; what was paid is asked of it, not believed',
  'POST /api/session': 'signing in',
  'DELETE /api/session': 'signing out ends only the session that the cookie names',
  'POST /api/v1/commands': 'each command has its own roles, below; only set-up-shop has none',
  'GET /api/v1/[...rest]': 'says that there is nothing there',
  'POST /api/v1/[...rest]': 'says that there is nothing there',
  'PUT /api/v1/[...rest]': 'says that there is nothing there',
  'PATCH /api/v1/[...rest]': 'says that there is nothing there',
  'DELETE /api/v1/[...rest]': 'says that there is nothing there',
};

/** Papers and lists that only some roles may have, of those that a route gives. */
export const PAPERS = {
  ticket: ALL,
  'wall-card': ALL,
  'kit-sheet': ALL,
  'back-label': ALL,
  'care-card': ALL,
  'packing-list': ALL,
  'piece-label': ALL,
  'cut-sheet': ALL,
  'rack-label': ALL,
  'bench-codes': ALL,
  'marking-map': ALL,
  templates: ALL,
  'taking-in': COUNTER,
  'set-card': COUNTER,
  quote: COUNTER,
  receipt: COUNTER,
  voucher: COUNTER,
  statement: OWNER,
  'day-report': COUNTER,
} as const satisfies Readonly<Record<string, readonly Role[]>>;
export const LISTS = {
  'mouldings.csv': COUNTER,
  'mats.csv': COUNTER,
  'glazings.csv': COUNTER,
  'backings.csv': COUNTER,
  'mouldings.xlsx': COUNTER,
  'mats.xlsx': COUNTER,
  'glazings.xlsx': COUNTER,
  'backings.xlsx': COUNTER,
  'journal.csv': OWNER,
  'trial-balance.csv': OWNER,
  'tax.csv': OWNER,
  'customers.csv': OWNER,
  'customer-ID.json': OWNER,
  'rack.csv': ALL,
  'plan-N.csv': ALL,
} as const satisfies Readonly<Record<string, readonly Role[]>>;

export type PageName = keyof typeof PAGES;
export type RouteName = keyof typeof ROUTES;
/** The roles of a page or route that is for people who signed in. */
export type RolesOf<A extends Audience> = A extends readonly (infer R extends Role)[] ? R : never;

/** Where a person begins. */
export const startOf = (role: Role): '/bench' | '/desk' | '/view/mine' =>
  role === 'bench' ? '/bench' : role === 'view' ? '/view/mine' : '/desk';
