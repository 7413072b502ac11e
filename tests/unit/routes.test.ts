/** Every route as it is asked from outside: by strangers, the wrong role, a page elsewhere, with bodies that are wrong or huge. */
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { type Audience, ROUTES, type RouteName } from '@/contract/access';
import { ROLES, type Role } from '@/contract/commands';
import { defaultSettings } from '@/core/settings';
import { newDesign } from '@/core/design/design';
import { priceOrder } from '@/core/pricing/order-price';
import { inches } from '@/core/units/length';
import { workOut } from '@/core/work-out';
import { type Served, served } from '../served';
import { type Stocked, must, stocked, stockedDesign } from '../stocked';

let shop: Stocked;
let web: Served;
let ticket: string;
let number: number;
const PEOPLE: Readonly<Record<Role, readonly [name: string, pin: string]>> = {
  owner: ['Ada', '1357'],
  counter: ['Oda', '8520'],
  bench: ['Wen', '9417'],
  view: ['Window', '7531'],
};

beforeAll(async () => {
  shop = await stocked();
  web = served(shop.app);
  for (const role of ['counter', 'bench', 'view'] as const) {
    const [name, pin] = PEOPLE[role];
    await must(shop.app.command('add-staff', { id: crypto.randomUUID(), name, pin, role }));
  }
  ({ ticket, number } = await shop.accepted());
});
beforeEach(() => web.signOut());
const as = (role: Role) => web.signIn(...PEOPLE[role]);
const codesOf = (body: unknown) => (body as { issues: { code: string }[] }).issues.map((one) => one.code);

const ORDER = '3d7f0d8e-3d52-4a5a-9c1f-0d0f6c1f4b11';
/** An address of each route that there is something at. */
const addressOf = (name: RouteName): readonly [method: string, path: string] => {
  const [method = '', pattern = ''] = name.split(' ');
  const params: Readonly<Record<string, string>> = {
    ticket,
    number: String(number),
    order: ORDER,
    kind: 'sticks',
    list: 'rack.csv',
    file: '1.dxf',
    topic: 'window',
    paper: 'ticket',
    hash: 'a'.repeat(64),
    photo: 'a'.repeat(64),
    screen: 'mine',
    token: 'A'.repeat(22),
    reference: ORDER,
    id: ORDER,
    '...rest': 'nothing/here',
  };
  const filled = pattern.replace(/\[([^\]]+)\]/g, (_all, key: string) => params[key]!);
  return [method, name.startsWith('GET /papers') ? `/papers/ticket/${ticket}` : filled];
};
const NAMES = Object.keys(ROUTES) as RouteName[];
const audience = (name: RouteName): Audience => ROUTES[name];
/** Uploads with how much they take, and what they say of more. */
const MOST_SENT = {
  'POST /api/import-preview': [6_000_000, 'body-too-large'],
  'POST /api/mat-cutter': [6_000_000, 'body-too-large'],
  'POST /api/photos': [25_000_000, 'photo-large'],
} as const;
/** What pages without a script send. */
const FORMS: readonly RouteName[] = ['POST /api/link/[token]', 'POST /api/pay/[reference]'];
const UPLOADS = Object.keys(MOST_SENT) as (keyof typeof MOST_SENT)[];
/** Streams that stay open are asked in a test of their own. */
const asked = NAMES.filter((name) => name !== 'GET /api/live');
const call = (name: RouteName, body?: unknown, headers: Record<string, string> = {}) => {
  const [method, path] = addressOf(name);
  const upload: Record<string, string> = UPLOADS.some((one) => one === name) ? { 'x-lopren-upload': 'test' } : {};
  return web.ask(method, path, method === 'GET' ? undefined : (body ?? {}), { ...upload, ...headers });
};

describe('who may ask', () => {
  it.each(asked.filter((name) => audience(name) !== 'anybody'))('%s is not for strangers', async (name) => {
    const answer = await call(name);
    expect([answer.status, codesOf(answer.body)]).toEqual([401, ['sign-in-first']]);
    expect(answer.headers.get('cache-control')).toBe('no-store');
  });

  it.each(ROLES)('each route lets in %s, or not, as the table says', async (role) => {
    await as(role);
    const wrong: string[] = [];
    for (const name of asked) {
      if (name === 'DELETE /api/session' || name === 'POST /api/session') continue;
      const roles = audience(name);
      const may = typeof roles === 'string' ? roles === 'anybody' || role !== 'view' : roles.includes(role);
      const { status, body } = await call(name);
      const refused = status === 403 && codesOf(body)[0] === 'role-not-permitted';
      // A list of the export and a paper have roles of their own besides.
      if (may === refused && !/export|papers/.test(name)) wrong.push(`${name} ${status}`);
    }
    expect(wrong).toEqual([]);
  });
});

describe('what changes something', () => {
  const writing = asked.filter((name) => !name.startsWith('GET ') && !name.includes('[...rest]'));

  it.each(writing)('%s is refused to a page elsewhere', async (name) => {
    await as('owner');
    for (const headers of [
      { origin: 'http://evil.test' },
      { 'sec-fetch-site': 'cross-site' },
      { origin: 'null' },
    ] as Record<string, string>[]) {
      const answer = await call(name, {}, headers);
      expect([name, answer.status, codesOf(answer.body)]).toEqual([name, 403, ['origin-foreign']]);
    }
    const own = await call(name, {}, { origin: 'http://shop.test', 'sec-fetch-site': 'same-origin' });
    expect(own.text).not.toContain('origin-foreign');
  });

  const bodies = writing.filter(
    (name) => !name.startsWith('DELETE') && !UPLOADS.some((one) => one === name) && !FORMS.includes(name),
  );
  it.each(bodies)('%s takes JSON, whole and readable, or says what is wrong with it', async (name) => {
    await as('owner');
    const answer = async (body: string, headers: Record<string, string> = {}) => {
      const { status, body: said } = await call(name, body, headers);
      return [status, codesOf(said)[0]];
    };
    if (!String(ROUTES[name]).includes('computing'))
      expect(await answer('{}', { 'content-type': 'text/plain' })).toEqual([415, 'type-wrong']);
    expect(await answer('{"a":')).toEqual([400, 'body-not-json']);
    expect(await answer('')).toEqual([400, 'body-not-json']);
    expect(await answer('{"name":"\\ud800"}')).toEqual([400, 'text-unreadable']);
    expect(await answer('{"name":"a\\u0000b"}')).toEqual([400, 'text-unreadable']);
    expect(await answer('{}', { 'content-length': '99999999' })).toEqual([413, 'body-too-large']);
    expect(await answer(`"${'x'.repeat(12_100_000)}"`)).toEqual([413, 'body-too-large']);
  });

  it.each(FORMS)(
    '%s takes what a form of ours sends, and goes on to a page that says what came of it',
    async (name) => {
      const answer = await call(name, '{}');
      expect([answer.status, codesOf(answer.body)]).toEqual([415, ['type-wrong']]);
      const sent = await call(name, 'act=pay', { 'content-type': 'application/x-www-form-urlencoded' });
      expect([sent.status, sent.headers.get('location')]).toEqual([303, addressOf(name)[1].replace('/api', '')]);
    },
  );

  it.each(UPLOADS)('%s takes a file only from our own page, and not a huge one', async (name) => {
    await as('owner');
    const [method, path] = addressOf(name);
    const bare = await web.ask(method, path, 'Code\n', { 'content-type': 'text/csv' });
    expect([bare.status, codesOf(bare.body)]).toEqual([403, ['upload-header']]);
    const [most, code] = MOST_SENT[name];
    const huge = await call(name, 'x'.repeat(most + 1), { 'content-type': 'text/csv' });
    expect([huge.status, codesOf(huge.body)]).toEqual([413, [code]]);
  });
});

describe('a photo', () => {
  it('is cut to a part of itself only', async () => {
    await as('owner');
    const edit = async (crop: object, turn: unknown = 0) => {
      const { status, body } = await web.ask('PUT', '/api/photos', { hash: 'a'.repeat(64), turn, crop });
      return [status, codesOf(body)[0]];
    };
    expect(await edit({ x: 0.5, y: 0, w: 0.6, h: 1 })).toEqual([400, 'input-wrong']);
    expect(await edit({ x: 1, y: 1, w: 1, h: 1 })).toEqual([400, 'input-wrong']);
    expect(await edit({ x: 0, y: 0, w: 0, h: 1 })).toEqual([400, 'input-wrong']);
    expect(await edit({ x: 0, y: 0, w: 1, h: 1 }, 'a quarter')).toEqual([400, 'input-wrong']);
    expect(await edit({ x: 0.2, y: 0.1, w: 0.8, h: 0.9 })).toEqual([404, 'photo-unknown']);
  });
});

describe('what is not there', () => {
  it.each([
    ['GET', '/api/orders/0', 404],
    ['GET', '/api/orders/x', 404],
    ['GET', '/api/photos/..%2f..%2fsecret', 404],
    ['GET', `/api/photos/${'f'.repeat(64)}`, 404],
    ['GET', '/api/pieces/1', 404],
    ['GET', '/api/customers/nobody', 404],
    ['GET', `/api/v1/export/customer-${ORDER}.json`, 404],
    ['GET', '/api/orders/99999999999', 404],
    ['GET', '/api/jobs/1-1', 404],
    ['GET', "/api/jobs/1' OR 1=1", 404],
    ['GET', '/api/drafts/nonsense', 404],
    ['PUT', '/api/drafts/nonsense', 404],
    ['GET', '/api/v1/export/secrets.csv', 404],
    ['GET', '/api/v1/export/plan-99.csv', 404],
    ['GET', '/api/v1/export/__proto__', 404],
    ['GET', '/api/v1/mats/1-1/1.dxf', 404],
    ['GET', '/api/v1/marks/1-1/behind.svg', 404],
    ['GET', '/api/v1/nothing', 404],
    ['PATCH', '/api/v1/nothing', 404],
    ['POST', '/api/v1/sums/nothing', 404],
    ['POST', '/api/v1/cut-plans/cakes', 404],
    ['GET', '/papers/ticket/1-1', 404],
    ['GET', '/papers/poster/1-1', 404],
    ['GET', '/papers/__proto__/1', 404],
    ['GET', '/papers/cut-sheet/99', 404],
  ])('%s %s is answered as a problem with its code', async (method, path, status) => {
    await as('owner');
    const answer = await web.ask(method, path, method === 'GET' ? undefined : {});
    expect([path, answer.status]).toEqual([path, status]);
    expect(answer.headers.get('content-type')).toBe('application/problem+json');
    expect((answer.body as { issues: { message: string }[] }).issues[0]!.message.length).toBeGreaterThan(5);
  });
});

describe('what the roles are shown', () => {
  it('a job at the bench has no money in it, however it is asked for', async () => {
    await as('owner');
    const whole = await web.ask('GET', `/api/jobs/${ticket}`);
    expect(whole.text).toMatch(/"price"/);
    await as('bench');
    const job = await web.ask('GET', `/api/jobs/${ticket}`);
    expect(job.text).not.toMatch(/"price"|"cost"|markup|186\.84|18684/);
    const worked = await web.ask('POST', '/api/v1/work-out', {
      build: 'window-mat',
      piece: { kind: 'print', width: '12', height: '16' },
      frame: { moulding: 'MAR-31' },
    });
    expect(worked.status).toBe(200);
    expect((worked.body as { price: unknown }).price).toBeNull();
  });

  it('what an extra, outside work or a discount comes to is no business of the bench; its name and text are', async () => {
    const extras = [
      { name: 'Engraved plate', amount: 77_131, text: 'For Ada' },
      { name: 'Retouching', amount: 88_241, outside: { who: 'Low Quay studio', cost: 55_317, days: 20 } },
    ];
    const discount = { amount: 33_719, reason: 'A friend', by: '' };
    const overrides = [{ key: 'mat', amount: 44_813, reason: 'As agreed' }];
    const order = await shop.quote([stockedDesign({ extras, discount, overrides })]);
    const { pieces } = await shop.viewOf(order.orderId);
    const result = workOut(pieces[0]!.design, (await shop.app.books())!);
    if (!result.ok) throw new Error('cannot be built');
    const priced = priceOrder([result.value.price!], (await shop.app.books())!.prices);
    if (!priced.ok) throw new Error('cannot be priced');
    const { total } = priced.value;
    await must(shop.app.command('accept-order', { orderId: order.orderId, revision: 1, total, reasons: {} }));
    const [job] = (await shop.viewOf(order.orderId)).jobs;
    await as('owner');
    const whole = (await web.ask('GET', `/api/jobs/${job!.ticket}`)).text;
    await as('bench');
    const bench = (await web.ask('GET', `/api/jobs/${job!.ticket}`)).text;
    for (const money of ['77131', '88241', '55317', '33719', '44813']) {
      expect([money, whole.includes(money)]).toEqual([money, true]);
      expect([money, bench.includes(money)]).toEqual([money, false]);
    }
    for (const said of ['Engraved plate', 'For Ada', 'Low Quay studio']) expect(bench).toContain(said);
  });

  it('papers open for who may see them, as PDF', async () => {
    for (const [role, paper, of, status] of [
      ['owner', 'quote', String(number), 200],
      ['counter', 'wall-card', ticket, 200],
      ['bench', 'ticket', ticket, 200],
      ['bench', 'quote', String(number), 403],
    ] as const) {
      await as(role);
      const answer = await web.ask('GET', `/papers/${paper}/${of}`);
      expect([role, paper, answer.status]).toEqual([role, paper, status]);
      if (status === 200) expect(answer.text.slice(0, 5)).toBe('%PDF-');
    }
  });
});

describe('the desk’s draft', () => {
  const draft = () => {
    const design = newDesign(
      defaultSettings('in'),
      { mat: 'RAG-SHELL', moulding: 'MAR-31', glazing: 'GL-CLEAR', backing: 'FOAM-5' },
      inches(9),
      inches(12),
    );
    const piece = { id: crypto.randomUUID(), design, typed: { 'piece.width': '9 1/' } };
    return { orderId: ORDER, customer: null, promised: '2031-05-19', pieces: [piece] };
  };

  it('is kept for the person who types it, the newer one; nobody else sees it; dropping leaves nothing', async () => {
    await as('owner');
    const put = (version: number, body: unknown) =>
      web.ask('PUT', `/api/drafts/${ORDER}`, { version, base: null, draft: body });
    const kept = async () =>
      ((await web.ask('GET', `/api/drafts/${ORDER}`)).body as { kept: { version: number } | null }).kept;
    expect((await put(5, draft())).status).toBe(200);
    await put(4, draft());
    expect((await kept())!.version).toBe(5);
    await as('counter');
    expect(await kept()).toBeNull();
    await as('owner');
    await put(6, null);
    expect(await kept()).toBeNull();
    const wrong = await put(7, { ...draft(), pieces: 'none' });
    expect([wrong.status, codesOf(wrong.body)[0]]).toEqual([400, 'input-wrong']);
  });
});

describe('the live line', () => {
  it('tells what was committed, and listens no more once it was hung up', async () => {
    await as('bench');
    const leave = new AbortController();
    const response = await web.fetch('/api/live', { signal: leave.signal });
    expect(response.headers.get('content-type')).toBe('text/event-stream');
    const reader = response.body!.getReader();
    const next = async () => Buffer.from((await reader.read()).value ?? new Uint8Array()).toString();
    expect(await next()).toBe(': open\n\n');
    const { orderId } = await shop.quote();
    expect(await next()).toContain(`"touched":["order:${orderId}"]`);
    leave.abort();
    await shop.quote();
    await reader.cancel();
    const events = await shop.app.db.query<{ n: number }>('SELECT count(*)::int AS n FROM orders');
    expect(events[0]!.n).toBeGreaterThan(2);
  });

  it('ends when the session does', async () => {
    await as('bench');
    const response = await web.fetch('/api/live');
    const reader = response.body!.getReader();
    await reader.read();
    const person = (await shop.app.db.query<{ id: string }>("SELECT id FROM staff WHERE name = 'Wen'"))[0]!;
    await must(shop.app.command('end-sessions', { staffId: person.id }));
    expect((await reader.read()).done).toBe(true);
    expect((await web.ask('GET', '/api/board')).status).toBe(401);
  });
});
