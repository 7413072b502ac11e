/** What released versions have written is opened by this one: rows kept as JSON lines, put into the tables they came from. */
import fs from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import { catalogueOf } from '@/core/materials';
import { defaultSettings } from '@/core/settings';
import { workOut } from '@/core/work-out';
import { designSchema } from '@/core/design/schema';
import { AGREED_VERSION, upgraded, upgradedAgreed, upgradedDesign } from '@/core/design/upgrades';
import { type Db, dbOver } from '@/db/client';
import { migrate, readMigrations } from '@/db/migrate';
import { openPglite } from '@/db/pglite/disk';
import { Host } from '@/db/pglite/host';
import { cashIn } from '@/db/queries/ledger';
import { staffByName } from '@/db/queries/staff';
import type { Viewer } from '@/server/access';
import { tillView } from '@/server/ledger-views';
import { quotePaper } from '@/server/papers/quote';
import { ticketPaper } from '@/server/papers/ticket';
import { signIn } from '@/server/sessions';
import { boardView, jobView, orderView, shopView } from '@/server/views';
import { rackView } from '@/server/rack-views';
import { testApp } from '../app';

interface Line {
  readonly table: string;
  readonly row: Record<string, unknown>;
}
const lines = (file: string): Line[] =>
  fs
    .readFileSync(`tests/data/${file}`, 'utf8')
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Line);

/** The last migration that each released version had. */
const LAST = { '0.3.0': 4, '0.4.0': 17 } as const;

/** A database of that version with the rows it wrote, brought up to date. */
async function opened(shop: 'demo' | 'shop', version: keyof typeof LAST): Promise<Db> {
  const host = new Host(await openPglite(undefined, '.build/empty-database.tar'));
  await host.open();
  const db = dbOver((ask) => host.handle(ask));
  await db.transaction((tx) => tx.script('DROP SCHEMA public CASCADE; CREATE SCHEMA public'));
  const all = readMigrations('src/db/migrations');
  await migrate(
    db,
    all.filter(({ number }) => number <= LAST[version]),
  );
  const rows = lines(`${shop}-${version}.jsonl`);
  await db.transaction(async (tx) => {
    // Rows of all tables come together; nothing is checked or kept from being written while they come in.
    await tx.script('SET LOCAL session_replication_role = replica');
    for (const table of new Set(rows.map((line) => line.table))) {
      const mine = rows.filter((line) => line.table === table).map(({ row }) => row);
      await tx.query(`DELETE FROM ${table}`);
      await tx.query(
        `INSERT INTO ${table} OVERRIDING SYSTEM VALUE SELECT * FROM jsonb_populate_recordset(NULL::${table}, $1::jsonb)`,
        [JSON.stringify(mine)],
      );
    }
  });
  expect(await migrate(db, all)).toEqual(all.map(({ number }) => number).filter((number) => number > LAST[version]));
  return db;
}

describe('the data of 0.3.0', () => {
  let viewer: Viewer<'owner'>;
  beforeAll(async () => {
    const db = await opened('demo', '0.3.0');
    viewer = testApp(db)
      .as((await staffByName(db, 'Ines'))!)
      .viewer();
  });

  it('is opened whole: every order, its money, its jobs and papers, and who did what', async () => {
    const shop = (await shopView(viewer))!;
    const context = { settings: defaultSettings(shop.homeUnit), catalogue: catalogueOf(shop.lists) };
    expect(shop.lists.mouldings).toHaveLength(60);
    const before = lines('demo-0.3.0.jsonl');
    const of = (table: string) => before.filter((line) => line.table === table).map(({ row }) => row);
    for (const was of of('orders')) {
      const order = (await orderView(viewer, was.number as number))!;
      const paid = of('payment').filter((one) => one.order_id === was.id);
      expect([order.state, order.agreed?.total]).toEqual([
        was.state,
        (was.agreed as { total: number } | null)?.total ?? undefined,
      ]);
      expect(order.paid).toBe(paid.reduce((sum, one) => sum + (one.amount as number), 0));
      expect(order.payments.map((one) => one.by).sort()).toEqual(paid.map((one) => one.by).sort());
      for (const { ticket } of order.jobs) {
        const job = (await jobView(viewer, ticket))!;
        const kept = of('piece').find((one) => one.id === job.id)!.agreed as Record<string, unknown>;
        expect(job.worked.sizes).toEqual(kept.sizes);
        // Parts stay as they were agreed, whatever the program would make of the design today.
        const parts = kept.parts as { kind: string; name: string; count: number }[];
        expect(job.worked.parts.map(({ kind, name, count }) => ({ kind, name, count }))).toMatchObject(
          parts.map(({ kind, name, count }) => ({ kind, name, count })),
        );
        expect(workOut(job.worked.resolved.design, context).ok).toBe(true);
        expect(job.worked.price).toMatchObject(kept.price as object);
        const events = of('job_event').filter((one) => one.job_id === job.id);
        expect(job.events.map((one) => [one.what, one.by])).toEqual(events.map((one) => [one.what, one.by]));
        expect((await ticketPaper(job, 'Test', 'in')).length).toBeGreaterThan(1000);
      }
      if (order.state === 'quoted') expect(await quotePaper(order, shop, 'in')).toBeDefined();
    }
    const board = await boardView(viewer);
    expect(board.jobs.find((one) => one.ticket === '2412-1')).toBeDefined();
    const rack = (await rackView(viewer))!;
    expect(rack.pieces).toHaveLength(of('rack_piece').filter((one) => one.state === 'there').length);
    expect(rack.plans.map((one) => one.by)).toEqual(of('cut_plan').map((one) => one.by));
    const held = board.jobs.filter((one) => one.hold);
    for (const job of held) expect(job.hold!.by).not.toBe('Lopren');
  });

  it('makes the workings of what was agreed again, as they were', async () => {
    const pieces = lines('demo-0.3.0.jsonl').filter((line) => line.table === 'piece');
    let compared = 0;
    for (const { number } of [{ number: 2401 }, { number: 2429 }, { number: 2430 }]) {
      for (const piece of (await orderView(viewer, number))!.pieces) {
        const kept = pieces.find(({ row }) => row.id === piece.id)!.row.agreed as { workings: Record<string, unknown> };
        for (const [key, working] of Object.entries(kept.workings).filter(([name]) => name.startsWith('sizes.'))) {
          expect([key, piece.agreed!.workings[key]]).toEqual([key, working]);
          compared += 1;
        }
      }
    }
    expect(compared).toBeGreaterThan(20);
  });

  it('of an own shop: PINs still open it, and no digest of a payload with a PIN is left', async () => {
    const db = await opened('shop', '0.3.0');
    const app = testApp(db);
    const caller = { address: 'local', cookie: undefined, device: undefined };
    expect(await signIn(app, 'Runa', '90210', caller)).toMatchObject({
      ok: true,
      value: { person: { role: 'owner' } },
    });
    expect(await signIn(app, 'Odd', '4242', caller)).toMatchObject({ ok: true });
    expect(await db.query("SELECT name FROM command WHERE digest <> ''")).toEqual([]);
    const who = await db.query('SELECT a.what, s.name FROM audit a LEFT JOIN staff s ON s.id = a.by_id ORDER BY a.id');
    expect(who).toEqual([
      { what: 'set up', name: null },
      { what: 'added', name: 'Runa' },
      { what: 'added', name: 'Runa' },
    ]);
    await expect(db.transaction((tx) => tx.query('DELETE FROM audit'))).rejects.toThrow('append-only');
  });
});

describe('the data of 0.4.0', () => {
  const of = (file: string, table: string) =>
    lines(file)
      .filter((line) => line.table === table)
      .map(({ row }) => row);
  type Kept = { readonly price?: { readonly lines: readonly { key: string; amount: number }[] } };

  it('is opened whole: orders, jobs, money and days of the till as they were', async () => {
    const file = 'demo-0.4.0.jsonl';
    const db = await opened('demo', '0.4.0');
    const viewer = testApp(db)
      .as((await staffByName(db, 'Ines'))!)
      .viewer();
    for (const was of of(file, 'orders')) {
      const order = (await orderView(viewer, was.number as number))!;
      expect([order.state, order.agreed?.total]).toEqual([
        was.state,
        (was.agreed as { total: number } | null)?.total ?? undefined,
      ]);
      for (const { ticket } of order.jobs) {
        const job = (await jobView(viewer, ticket))!;
        const kept = of(file, 'piece').find((one) => one.id === job.id)!.agreed as Kept;
        expect(job.worked.price!.lines.map(({ key, amount }) => [key, amount])).toEqual(
          kept.price!.lines.map(({ key, amount }) => [key, amount]),
        );
      }
    }
    const balance = (rows: readonly Record<string, unknown>[]) =>
      rows.filter((one) => one.account === 'cash').reduce((total, one) => total + (one.amount as number), 0);
    expect(await cashIn(db, 1)).toBe(balance(of(file, 'ledger_posting')));
    expect((await tillView(viewer)).sealed).toHaveLength(1);
  });

  it('of an own shop: extras by whatever name, and a line set by hand, keep key and amount', async () => {
    const file = 'shop-0.4.0.jsonl';
    const db = await opened('shop', '0.4.0');
    const viewer = testApp(db)
      .as((await staffByName(db, 'Ada'))!)
      .viewer();
    const order = (await orderView(viewer, 2401))!;
    const kept = of(file, 'piece')[0]!.agreed as Kept;
    const lines = order.pieces[0]!.agreed!.price!.lines;
    expect(lines.map(({ key, amount }) => [key, amount])).toEqual(
      kept.price!.lines.map(({ key, amount }) => [key, amount]),
    );
    const extras = lines.slice(-4);
    expect(extras.map(({ code, key, name }) => [code, key, name])).toEqual(
      ['moulding', 'constructor', 'Plate', 'Plate'].map((name) => ['extra', name, name]),
    );
    expect(lines.slice(0, -4).map(({ code, key }) => code === key)).not.toContain(false);
    // As the margin of 0.4.0 said: of the line set by hand what it is made of, of extras nothing.
    const costs = Object.fromEntries(lines.map(({ code, cost }) => [code, cost]));
    const again = workOut(order.pieces[0]!.design, (await testApp(db).books())!);
    const now = again.ok ? again.value.price!.lines : [];
    for (const { code, cost } of now.slice(0, -4)) expect([code, costs[code]]).toEqual([code, cost]);
    expect(order.paid).toBe(order.agreed!.total);
  });
});

describe('upgrades', () => {
  const rows = lines('demo-0.3.0.jsonl').filter((line) => line.table === 'piece');

  it('bring every design and every agreed result of 0.3.0 to the newest version', () => {
    for (const { row } of rows) {
      expect(designSchema.safeParse(upgradedDesign(row.design)).success).toBe(true);
      if (row.agreed === null) continue;
      const agreed = upgradedAgreed(row.agreed);
      expect([agreed.version, 'workings' in agreed]).toEqual([AGREED_VERSION, false]);
      expect(JSON.stringify(agreed).length).toBeLessThan(0.7 * JSON.stringify(row.agreed).length);
    }
  });

  it('run the steps that are due, in order, each once; what is newer or nothing of ours is refused', () => {
    const steps = [
      { to: 1, why: 'a', upgrade: (value: object) => ({ ...value, seen: 'a' }) },
      { to: 2, why: 'b', upgrade: (value: { seen?: unknown }) => ({ ...value, seen: `${String(value.seen)}b` }) },
    ];
    expect(upgraded({}, steps, 2)).toEqual({ seen: 'ab', version: 2 });
    expect(upgraded({ version: 1, seen: 'x' }, steps, 2)).toEqual({ seen: 'xb', version: 2 });
    expect(upgraded({ version: 2, seen: 'x' }, steps, 2)).toEqual({ seen: 'x', version: 2 });
    for (const wrong of [{ version: 3 }, { version: '1' }, null, [], 'x'])
      expect(() => upgraded(wrong, steps, 2)).toThrow(RangeError);
  });
});
