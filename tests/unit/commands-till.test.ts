/** The drawer's day: opened, counted blind, sealed; and that the ledger's tables refuse what is off. */
import { beforeAll, describe, expect, it } from 'vitest';
import { money } from '@/core/units/money';
import { listTills, standingAt } from '@/db/queries/ledger';
import { entriesOf, ledgerView, tillReport, tillView } from '@/server/ledger-views';
import { settleCard } from '@/server/card';
import { type Stocked, TOTAL, codes, must, stocked } from '../stocked';

let shop: Stocked;
let app: Stocked['app'];
beforeAll(async () => {
  shop = await stocked({ till: false });
  ({ app } = shop);
});
const id = () => crypto.randomUUID();
const pay = (orderId: string, amount: number) => app.command('take-cash', { orderId, paymentId: id(), amount });
const trial = async () => (await standingAt(app.db, '2199-12-31')).reduce((total, { amount }) => total + amount, 0);

describe('a till’s day', () => {
  const pieces = (cents: number) => [{ of: 1, count: cents }];
  const count = (dayId: string, cash: number, card = 0, vouchers = 0) =>
    app.command('count-till', { dayId, pieces: pieces(cash), card, vouchers });

  it('is opened, counted blind, and sealed with a sentence where it is short', async () => {
    await must(app.command('add-till', { name: 'Back counter' }));
    expect(codes(await app.command('add-till', { name: 'Back counter' }))).toBe('till-name-taken');
    const fresh = await stocked({ till: false });
    const at = fresh.app;
    const open = (dayId: string) => at.command('open-till', { dayId, till: 1, pieces: [{ of: 5000, count: 3 }] });
    const move = (kind: 'expense' | 'to-bank', amount: number) =>
      at.command('move-cash', { entryId: id(), kind, amount, why: 'tape' });
    expect(codes(await move('expense', 1800))).toBe('till-closed');
    const much = Array.from({ length: 2 }, () => ({ of: 100_000, count: 100_000 }));
    expect(codes(await at.command('open-till', { dayId: id(), till: 1, pieces: much }))).toBe('amount-unlikely');
    const dayId = id();
    await must(open(dayId));
    expect(codes(await open(id()))).toBe('till-open');
    const [one, two] = [await fresh.accepted(), await fresh.accepted()];
    const take = (orderId: string, amount: number) => at.command('take-cash', { orderId, paymentId: id(), amount });
    await must(take(one.orderId, TOTAL));
    await must(take(two.orderId, 31_240 - TOTAL));
    await must(move('expense', 1800));
    await must(move('to-bank', 20_000));
    expect(codes(await move('to-bank', 24_441))).toBe('cash-less');
    expect((await tillView(at.viewer())).open!.counted).toBeNull();
    const seal = (note = '') => at.command('seal-till', { dayId, note });
    expect(codes(await seal())).toBe('till-not-counted');
    const counts = (cash: number) => at.command('count-till', { dayId, pieces: pieces(cash), card: 0, vouchers: 0 });
    await must(counts(24_390));
    expect((await tillView(at.viewer())).open!.counted).toEqual({
      cash: 24_390,
      card: 0,
      vouchers: 0,
      expected: { cash: 24_440, card: 0, vouchers: 0 },
    });
    expect(codes(await seal())).toBe('till-off');
    await must(take(two.orderId, 10));
    expect(codes(await seal('lost a coin'))).toBe('till-moved');
    await must(counts(24_400));
    expect(await seal('lost a coin')).toMatchObject({ ok: true, value: { off: -50 } });
    expect(codes(await seal('again'))).toBe('till-closed');
    expect(codes(await counts(24_400))).toBe('till-closed');

    const report = (await tillReport(at.viewer(), dayId))!;
    expect(report.takings).toEqual([{ means: 'cash', came: 31_250, back: 0 }]);
    expect([report.overShort, report.deposits]).toEqual([-50, 31_250]);
    await expect(
      at.db.transaction((tx) => tx.query("UPDATE till_day SET note = 'x' WHERE id = $1", [dayId])),
    ).rejects.toThrow(/sealed/);

    // Cash after the seal asks for the next day; the float left in the drawer is what is expected there.
    expect(codes(await take(two.orderId, 90))).toBe('till-closed');
    expect((await tillReport(at.viewer(), dayId))!.takings).toEqual(report.takings);
    const nextId = id();
    const opened = await at.command('open-till', { dayId: nextId, till: 1, pieces: pieces(24_500) });
    expect(opened).toMatchObject({ ok: true, value: { day: '2031-05-06', off: 100 } });
    await must(take(two.orderId, 90));
    const view = await tillView(at.viewer());
    expect(view.entries.map(({ kind, day }) => [kind, day])).toEqual([
      ['count', '2031-05-06'],
      ['balance', '2031-05-06'],
    ]);
  });

  it('finds at the count what was approved after its question was dropped, and charges nobody twice', async () => {
    const fresh = await stocked({ till: false });
    const at = fresh.app;
    const dayId = id();
    await must(at.command('open-till', { dayId, till: 1, pieces: [] }));
    const { orderId } = await fresh.accepted();
    const requestId = id();
    await must(at.command('ask-card', { orderId, requestId, amount: 9400 }));
    at.terminal.next('pays unheard');
    expect(await settleCard(at.viewer(), requestId)).toMatchObject({ ok: true, value: { state: 'unanswered' } });
    await must(at.command('drop-card', { requestId }));
    const never = id();
    at.terminal.next('walks away');
    await must(at.command('ask-card', { orderId, requestId: never, amount: 100 }));
    await settleCard(at.viewer(), never);
    await must(at.command('drop-card', { requestId: never }));
    expect((await fresh.viewOf(orderId)).paid).toBe(0);
    at.terminal.next('pays');
    for (let times = 0; times < 2; times += 1)
      await must(at.command('count-till', { dayId, pieces: [], card: 9400, vouchers: 0 }));
    const order = await fresh.viewOf(orderId);
    expect(order.payments.map(({ method, amount }) => [method, amount])).toEqual([['card', 9400]]);
    expect((await tillView(at.viewer())).open!.counted!.expected).toEqual({ cash: 0, card: 9400, vouchers: 0 });
  });

  it('of one drawer is no other’s, and one device works at one', async () => {
    const tills = await listTills(app.db);
    expect(tills).toEqual([
      { number: 1, name: '1' },
      { number: 2, name: 'Back counter' },
    ]);
    const days = [id(), id()];
    await must(app.command('open-till', { dayId: days[0]!, till: 1, pieces: pieces(0) }));
    await must(app.command('open-till', { dayId: days[1]!, till: 2, pieces: pieces(100) }));
    const { orderId } = await shop.accepted();
    await must(pay(orderId, 4000));
    await must(count(days[1]!, 100));
    expect(codes(await app.command('seal-till', { dayId: days[1]!, note: '' }))).toBe('ok');
    const sealed = (await tillView(app.viewer())).sealed;
    expect(sealed.map(({ till, note }) => [till.name, note])).toEqual([['Back counter', '']]);
    expect(codes(await app.command('use-till', { till: 9 }))).toBe('till-unknown');
  });
});

it('comes to zero whatever was done here, and its journal adds up to what stands', async () => {
  expect(await trial()).toBe(0);
  const { entries, standing } = await ledgerView(app.viewer(), '2000-01-01', '2199-12-31');
  const sums = new Map<string, number>();
  for (const { account, amount } of entries.flatMap(({ postings }) => postings))
    sums.set(account, (sums.get(account) ?? 0) + amount);
  const stands = new Map<string, number>();
  for (const { account, amount } of standing) stands.set(account, (stands.get(account) ?? 0) + amount);
  expect([...sums].filter(([, amount]) => amount !== 0).sort()).toEqual(
    [...stands].filter(([, amount]) => amount !== 0).sort(),
  );
  for (const { postings } of entries) expect(postings.reduce((total, one) => total + one.amount, 0)).toBe(0);
});

it('takes no entry that is off, and lets none be changed', async () => {
  const write = (amount: number) =>
    app.db.transaction(async (tx) => {
      const entry = id();
      await tx.query("INSERT INTO ledger_entry (id, at, day, kind) VALUES ($1, now(), '2031-05-05', 'expense')", [
        entry,
      ]);
      await tx.query("INSERT INTO ledger_posting VALUES ($1, 1, 'cash', -100), ($1, 2, 'expenses', $2)", [
        entry,
        amount,
      ]);
    });
  await expect(write(99)).rejects.toThrow(/does not come to zero/);
  await expect(write(100)).resolves.toBeUndefined();
  for (const table of ['ledger_entry', 'ledger_posting'])
    await expect(app.db.transaction((tx) => tx.query(`DELETE FROM ${table}`))).rejects.toThrow(/append-only/);
  expect(entriesOf([])).toEqual([]);
  expect(money(0)).toBe(0);
});
