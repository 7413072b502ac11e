import fs from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import { type Stocked, CLEAN_LIST, codes, stocked } from '../stocked';

let accepted: Stocked['accepted'];
let app: Stocked['app'];
let quote: Stocked['quote'];
let viewOf: Stocked['viewOf'];
beforeAll(async () => {
  ({ accepted, app, quote, viewOf } = await stocked());
});

describe('the door', () => {
  it('refuses what is malformed, unknown, unpermitted or unsigned, and changes nothing', async () => {
    const bench = { ...app.owner, role: 'bench' as const };
    const before = await app.db.query('SELECT count(*)::int AS n FROM command');
    expect(codes(await app.command('take-cash', { orderId: 'x', paymentId: 'y', amount: -5 } as never))).toBe(
      'input-wrong,input-wrong,input-wrong',
    );
    expect(codes(await app.command('__proto__' as never, {} as never))).toBe('command-unknown');
    expect(
      codes(
        await app.command('add-customer', { id: crypto.randomUUID(), name: 'X', phone: '', email: '' }, { as: bench }),
      ),
    ).toBe('not-permitted');
    expect(
      codes(
        await app.command(
          'add-customer',
          { id: crypto.randomUUID(), name: 'X', phone: '', email: '' },
          { as: undefined },
        ),
      ),
    ).toBe('sign-in-first');
    expect(
      codes(
        await app.command(
          'set-up-shop',
          { shop: 'Other', owner: 'Eve', pin: '6161', homeUnit: 'mm', code: '' },
          { as: undefined },
        ),
      ),
    ).toBe('shop-exists');
    expect(await app.db.query('SELECT count(*)::int AS n FROM command')).toEqual(before);
  });

  it('does a repeated command once, also when both arrive together, and refuses its id for something else', async () => {
    const { orderId } = await accepted();
    const id = crypto.randomUUID();
    const payload = { orderId, paymentId: crypto.randomUUID(), amount: 9400 };
    const answers = await Promise.all([1, 2, 3].map(() => app.command('take-cash', payload, { id })));
    expect(answers.map(codes)).toEqual(['ok', 'ok', 'ok']);
    expect((await viewOf(orderId)).paid).toBe(9400);
    expect(codes(await app.command('take-cash', { ...payload, amount: 1 }, { id }))).toBe('command-reused');
  });

  it('writes who, when, before and after in the same transaction, and keeps it from being changed', async () => {
    const { orderId } = await accepted();
    const rows = await app.db.query<{
      what: string;
      by: string;
      before: { state?: string } | null;
      after: { state?: string };
    }>(
      "SELECT a.what, s.name AS by, a.before, a.after FROM audit a JOIN staff s ON s.id = a.by_id WHERE a.entity = 'order' AND a.entity_id = $1 ORDER BY a.id",
      [orderId],
    );
    expect(rows.map((row) => [row.what, row.by])).toEqual([
      ['quoted', 'Ada'],
      ['accepted', 'Ada'],
    ]);
    expect([rows[1]!.before?.state, rows[1]!.after.state]).toEqual(['quoted', 'accepted']);
    const write = (sql: string) => app.db.transaction((tx) => tx.query(sql));
    for (const kept of ['audit', 'payment', 'command', 'job_event', 'security_event'])
      await expect(write(`DELETE FROM ${kept}`), kept).rejects.toThrow(/append-only|violates foreign key|from view/);
    await expect(write("UPDATE audit SET what = 'nothing'")).rejects.toThrow('append-only');
    await expect(app.db.query("UPDATE orders SET state = 'cancelled'")).rejects.toThrow('read-only');
  });

  it('tells the screens only what was committed', async () => {
    const heard: string[] = [];
    const stop = app.bus.listen(({ what }) => heard.push(what));
    const order = await quote();
    await app.command('accept-order', { orderId: order.orderId, revision: 1, total: 1, reasons: {} });
    stop();
    expect(heard).toEqual(['save-quote']);
  });
});

describe('the price list', () => {
  it('takes all or nothing, and not on books that changed since the preview', async () => {
    const edition = (await app.books())!.prices.edition;
    const import_ = (text: string, at: number) => app.command('import-list', { text, edition: at, file: 'x.csv' });
    expect(codes(await import_(fs.readFileSync('samples/mouldings-bad.csv', 'utf8'), edition))).toBe('list-refused');
    expect(codes(await import_(CLEAN_LIST, edition - 1))).toBe('books-stale');
    expect((await app.books())!.lists.mouldings).toHaveLength(64);
  });
});
