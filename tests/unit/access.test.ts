import fs from 'node:fs';
import path from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { type Audience, LISTS, OPEN_BECAUSE, PAGES, PAPERS, ROUTES } from '@/contract/access';
import { type CommandName, ROLES, commands } from '@/contract/commands';
import { bare, withoutMoney } from '@/core/agreed';
import { staffByName } from '@/db/queries/staff';
import { rackView } from '@/server/rack-views';
import { refusedRequest } from '@/server/same-origin';
import { unreadable } from '@/server/texts';
import { jobView } from '@/server/views';
import { seedDemo } from '@demo/seed';
import { accessPage } from '../access-page';
import { type TestApp, openApp } from '../app';

const files = (folder: string, name: string) =>
  fs
    .readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.name === name)
    .map((entry) => entry.parentPath);
/** `src/app/(shop)/desk/[number]` is `/desk/[number]`. */
const addressOf = (folder: string) => {
  const parts = path
    .relative('src/app', folder)
    .split(path.sep)
    .filter((part) => part !== '' && !part.startsWith('('));
  return `/${parts.join('/')}`;
};
const source = (folder: string, name: string) => fs.readFileSync(path.join(folder, name), 'utf8');

describe('the table of who may see what', () => {
  it('has every page, and each page asks for its viewer by its own name', () => {
    const pages = files('src/app', 'page.tsx');
    expect(pages.map(addressOf).sort()).toEqual(Object.keys(PAGES).sort());
    for (const folder of pages) {
      const address = addressOf(folder) as keyof typeof PAGES;
      const asks = /pageViewer\('([^']+)'\)/.exec(source(folder, 'page.tsx'))?.[1];
      expect([address, asks]).toEqual([address, PAGES[address] === 'anybody' ? undefined : address]);
    }
  });

  it('has every method of every route, made by its own name', () => {
    const found = files('src/app', 'route.ts').flatMap((folder) => {
      const made = [...source(folder, 'route.ts').matchAll(/export const (\w+) = (?:openRoute|route)\(\s*'([^']+)'/g)];
      const exported = [...source(folder, 'route.ts').matchAll(/export (?:const|async function|function) ([A-Z]+)\b/g)];
      expect(made.map((match) => match[1]).sort()).toEqual(exported.map((match) => match[1]).sort());
      for (const [, method, name] of made) expect(name).toBe(`${method} ${addressOf(folder)}`);
      return made.map((match) => match[2]!);
    });
    expect(found.sort()).toEqual(Object.keys(ROUTES).sort());
  });

  it('says why what is open to anybody is', () => {
    const open = Object.entries<Audience>({ ...PAGES, ...ROUTES }).filter(([, audience]) => audience === 'anybody');
    expect(open.map(([name]) => name).sort()).toEqual(Object.keys(OPEN_BECAUSE).sort());
  });

  it('stands in docs/access.md as it is', () => {
    expect(fs.readFileSync('docs/access.md', 'utf8')).toBe(accessPage());
  });

  it('keeps the bench from money, telephone numbers and settings, and the counter from settings', () => {
    const may = (audience: Audience, role: 'bench' | 'counter') =>
      typeof audience !== 'string' && audience.includes(role);
    const closed = ['/desk', '/desk/[number]', '/collect', '/collect/[number]', '/books', '/settings', '/security'];
    expect(closed.filter((page) => may(PAGES[page as keyof typeof PAGES], 'bench'))).toEqual([]);
    for (const name of [
      'GET /api/find',
      'GET /api/orders/[number]',
      'GET /api/v1/orders',
      'POST /api/v1/card',
    ] as const)
      expect([name, may(ROUTES[name], 'bench')]).toEqual([name, false]);
    expect([may(PAGES['/settings'], 'counter'), may(PAGES['/security'], 'counter')]).toEqual([false, false]);
    expect([...PAPERS.quote, ...LISTS['mouldings.csv']]).not.toContain('bench');
  });
});

describe('commands', () => {
  let app: TestApp;
  beforeAll(async () => {
    app = await openApp();
    await app.setUp();
  });

  /** Which commands each role must not reach, told apart from the table itself. */
  const NOT_BENCH =
    /^(add-customer|keep-house-design|drop-house-design|edit-customer|merge-customers|sign-record|save-quote|accept-order|re-quote|change-agreed|make-link|withdraw-link|answer-question|cancel-order|take-cash|take-transfer|take-voucher|sell-voucher|refund|use-till|open-till|move-cash|reverse-entry|count-till|seal-till|ask-card|drop-card|reverse-payment|hand-over)$/;
  const INTERNAL = /^(card-answer|link-choose|link-ask|link-accept|link-pay)$/;
  const OWNER_ONLY =
    /^(add-staff|remove-person|re-admit-person|change-settings|set-group-rule|set-prices|change-sheets|withdraw-edition|write-off|add-till|book-payout|change-terms|import-list|undo-edition|set-discount-limit|forget-customer|import-customers)$/;
  const names = Object.keys(commands) as CommandName[];

  it.each(names)('%s is refused to whoever it is not for, before its payload is looked at', async (name) => {
    const forOwner = OWNER_ONLY.test(name);
    const forCounter = forOwner || NOT_BENCH.test(name);
    const may = { owner: true, counter: !forOwner, bench: !forCounter, view: false };
    for (const role of [...ROLES, undefined]) {
      const as = role && { ...app.owner, role };
      const answer = await app.command(name, { nonsense: true } as never, { as });
      const code = answer.ok ? 'ok' : answer.issues[0]!.code;
      const wanted = INTERNAL.test(name)
        ? 'command-internal'
        : name === 'set-up-shop' || (role && may[role])
          ? 'input-wrong'
          : role
            ? 'not-permitted'
            : 'sign-in-first';
      expect([role, code]).toEqual([role, wanted]);
    }
  });

  it('of the program itself are refused to everybody else', async () => {
    const answer = { requestId: crypto.randomUUID(), answer: 'approved' as const };
    const asked = await app.command('card-answer', answer);
    expect(asked).toMatchObject({ ok: false, issues: [{ code: 'command-internal' }] });
    const inside = await app.command('card-answer', answer, { program: true });
    expect(inside).toMatchObject({ ok: false, issues: [{ code: 'card-unknown' }] });
  });
});

describe('what the bench is shown', () => {
  let app: TestApp;
  beforeAll(async () => {
    app = await openApp();
    await seedDemo(app);
    app = app.as((await staffByName(app.db, 'Ines'))!);
  });
  const keysOf = (value: unknown): string[] =>
    typeof value === 'object' && value !== null
      ? [...(Array.isArray(value) ? [] : Object.keys(value)), ...Object.values(value).flatMap(keysOf)]
      : [];

  it('has no cost, price, telephone number or mail in it, however deep', async () => {
    const bench = app.viewer('bench');
    const views = [await jobView(bench, '2424-1'), await jobView(bench, '2430-1'), await rackView(bench)];
    const money = ['cost', 'price', 'rates', 'markup', 'phone', 'email', 'amount', 'labourPerHour', 'chart', 'kit'];
    for (const view of [...views.slice(0, 2), { ...views[2], plans: [] }])
      expect(keysOf(view).filter((key) => money.includes(key))).toEqual([]);
    const { plans, lists } = views[2] as NonNullable<Awaited<ReturnType<typeof rackView>>>;
    expect(plans.length).toBeGreaterThan(0);
    for (const { figures } of plans)
      expect([figures.sticks.cost, figures.sheets.cost, figures.sticks.lostCents, figures.sheets.apart]).toEqual([
        0, 0, 0, 0,
      ]);
    expect(keysOf(lists).filter((key) => money.includes(key))).toEqual([]);
    expect(JSON.stringify(views)).not.toContain('555 0');
  });

  it('is otherwise what the counter is shown', async () => {
    const [bench, counter] = [await jobView(app.viewer('bench'), '2424-1'), await jobView(app.viewer(), '2424-1')];
    expect(counter!.worked.price!.price).toBeGreaterThan(0);
    expect(bench).toEqual({ ...counter, worked: withoutMoney(counter!.worked) });
    expect(bench!.worked.parts).toEqual(counter!.worked.parts);
    expect(bare({ a: [{ cost: 1, b: 2 }], price: 3 })).toEqual({ a: [{ b: 2 }] });
  });
});

describe('a request that changes something', () => {
  const ask = (headers: Record<string, string>, kind: 'json' | 'upload' | 'computing' = 'json', method = 'POST') => {
    const all = new Headers({ host: 'shop.local:3000', 'content-type': 'application/json', ...headers });
    return refusedRequest({ method, headers: all }, kind)?.code ?? 'let through';
  };

  it.each([
    ['its own page', { origin: 'http://shop.local:3000', 'sec-fetch-site': 'same-origin' }, 'let through'],
    ['no browser', {}, 'let through'],
    ['another port of the same host', { origin: 'http://shop.local:4000' }, 'origin-foreign'],
    ['another port, by an old browser', { 'sec-fetch-site': 'same-site' }, 'origin-foreign'],
    ['another site', { origin: 'http://evil.example', 'sec-fetch-site': 'cross-site' }, 'origin-foreign'],
    ['a page without an origin', { origin: 'null' }, 'origin-foreign'],
    ['an address typed', { 'sec-fetch-site': 'none' }, 'origin-foreign'],
    ['plain where it came by TLS', { origin: 'http://shop.local:3000', 'x-lopren-scheme': 'https' }, 'origin-foreign'],
    ['TLS', { origin: 'https://shop.local:3000', 'x-lopren-scheme': 'https' }, 'let through'],
    ['a form', { 'content-type': 'application/x-www-form-urlencoded' }, 'type-wrong'],
    ['plain text', { 'content-type': 'text/plain' }, 'type-wrong'],
    ['JSON with a charset', { 'content-type': 'application/json; charset=utf-8' }, 'let through'],
  ])('from %s', (_name, headers, code) => expect(ask(headers)).toBe(code));

  it('as a file has a header that no form can set', () => {
    expect(ask({ 'content-type': 'text/csv' }, 'upload')).toBe('upload-header');
    expect(ask({ 'content-type': 'text/csv', 'x-lopren-upload': 'list' }, 'upload')).toBe('let through');
    expect(ask({ origin: 'http://evil.example', 'x-lopren-upload': 'list' }, 'upload')).toBe('origin-foreign');
  });

  it('is looked at; reading is not, and computing only for where it comes from', () => {
    expect(ask({ origin: 'http://evil.example' }, 'json', 'GET')).toBe('let through');
    expect(ask({ 'content-type': 'text/plain' }, 'computing')).toBe('let through');
    expect(ask({ origin: 'http://evil.example' }, 'computing')).toBe('origin-foreign');
  });
});

describe('texts that no database keeps', () => {
  it('are found wherever they stand', () => {
    expect(unreadable({ a: ['fine', { b: 'x\u0000' }] })).toBe('a.1.b');
    expect(unreadable({ name: 'x\ud800y' })).toBe('name');
    expect(unreadable({ 'k\u0000': 1 })).toBe('');
    expect(unreadable({ a: '🖼 \u{1F5BC} ß', b: [1, null, true] })).toBeUndefined();
    expect(unreadable('\udc00')).toBe('');
  });
});
