/**
 * Day reports against the ledger, over random days: cash before a till was ever opened, tills left open over midnight,
 * money without a drawer, entries taken back. Every entry is in one day's report, and no report says what the ledger does not.
 */
import { beforeAll, describe, expect, it } from 'vitest';
import type { CommandName } from '@/contract/commands';
import type { DayReport, EntryView } from '@/contract/money-views';
import { randomFrom } from '@/core/cutting/random';
import { MEANS } from '@/core/ledger/accounts';
import { settleCard } from '@/server/card';
import { ledgerView, shopReport, tillReport, tillView } from '@/server/ledger-views';
import { type Stocked, TOTAL, codes, must, stocked } from '../stocked';
import { rounds } from '../wide';

const id = () => crypto.randomUUID();
const ALL = ['2000-01-01', '2199-12-31'] as const;
const TAKING = ['deposit', 'balance', 'refund', 'correction', 'voucher-sold'];

type Summed = Record<string, number>;
const add = (into: Summed, key: string, amount: number) => {
  if (amount !== 0) into[key] = (into[key] ?? 0) + amount;
};
const lean = (sums: Summed) => Object.fromEntries(Object.entries(sums).filter(([, amount]) => amount !== 0));

/** What a report says, and what entries of the ledger say, in one form: by what it is of. */
function ofReport({ takings, sales, tax, deposits, overShort }: DayReport): Summed {
  const sums: Summed = {};
  for (const { means, came, back } of takings) add(sums, means, came - back);
  for (const { group, amount } of sales) add(sums, `sales ${group}`, amount);
  for (const { rate, amount } of tax) add(sums, `tax ${rate}`, amount);
  add(sums, 'deposits', deposits);
  add(sums, 'over', overShort);
  return sums;
}
function ofEntries(entries: readonly EntryView[]): Summed {
  const sums: Summed = {};
  for (const { kind, postings } of entries)
    for (const { account, amount, sold, rate } of postings) {
      if (account === 'sales') add(sums, `sales ${sold}`, -amount);
      if (account === 'tax') add(sums, `tax ${rate}`, -amount);
      if (account === 'deposits') add(sums, 'deposits', -amount);
      if (account === 'overShort') add(sums, 'over', -amount);
      const sellsIt = account === 'vouchers' && kind === 'voucher-sold';
      if ((MEANS as readonly string[]).includes(account) && TAKING.includes(kind) && !sellsIt)
        add(sums, account, amount);
    }
  return lean(sums);
}

describe('the report of a day', () => {
  let shop: Stocked;
  let met: Set<string>;
  beforeAll(async () => {
    shop = await stocked({ till: false });
    met = new Set();
  });

  it.each([31, 32, 33, 34].slice(0, rounds(8)))(
    'agrees with the ledger, and all reports together are all of it, seed %i',
    async (seed) => {
      shop = await stocked({ till: false });
      const { app } = shop;
      const random = randomFrom(seed);
      const pick = <T>(list: readonly T[]): T => list[random.below(list.length)]!;
      const give = async (name: CommandName, payload: unknown) => {
        const answer = await app.command(name, payload as never);
        met.add(`${name} ${codes(answer)}`);
        return answer;
      };
      const orders: string[] = [];
      for (let count = 0; count < 3; count += 1) orders.push((await shop.accepted()).orderId);
      const taken = () => ({ orderId: pick(orders), paymentId: id(), amount: pick([1, 700, 9400, TOTAL]), less: 'x' });
      const moved = async () => {
        const { entries } = await ledgerView(app.viewer(), ...ALL);
        return pick([
          ...entries.filter(({ kind }) => ['cash-in', 'expense', 'to-bank', 'voucher-sold'].includes(kind)),
          undefined,
        ]);
      };
      const deeds = [
        () => give('take-cash', taken()),
        () => give('take-cash', taken()),
        () => give('take-transfer', { ...taken(), note: 'seen' }),
        async () => {
          const requestId = id();
          const { paymentId: _id, ...of } = taken();
          app.terminal.next('pays');
          if ((await give('ask-card', { ...of, requestId })).ok) await settleCard(app.viewer(), requestId);
        },
        () => give('sell-voucher', { id: id(), amount: 2500, means: pick(['cash', 'bank']), expires: null }),
        () => give('refund', { orderId: pick(orders), refundId: id(), means: pick(MEANS), amount: 500, reason: 'x' }),
        () =>
          give('move-cash', { entryId: id(), kind: pick(['cash-in', 'expense', 'to-bank']), amount: 300, why: 'x' }),
        async () => {
          const entry = await moved();
          if (entry) await give('reverse-entry', { entryId: entry.id, newId: id(), reason: 'a slip' });
        },
        async () => {
          const { open } = await tillView(app.viewer());
          const pieces = [{ of: 1, count: random.below(9000) }];
          if (!open) await give('open-till', { dayId: id(), till: 1, pieces });
          else await give('count-till', { dayId: open.id, pieces, card: 0, vouchers: 0 });
        },
        async () => {
          const { open } = await tillView(app.viewer());
          if (open) await give('seal-till', { dayId: open.id, note: 'as it was' });
        },
        async () => {
          app.clock.at = new Date(app.clock.at.getTime() + pick([6, 11, 30]) * 3_600_000);
        },
      ];
      for (let step = 0; step < 70; step += 1) await pick(deeds)();

      const { open } = await tillView(app.viewer());
      if (open) {
        await must(app.command('count-till', { dayId: open.id, pieces: [], card: 0, vouchers: 0 }));
        await must(app.command('seal-till', { dayId: open.id, note: 'the end' }));
      }
      app.clock.at = new Date(app.clock.at.getTime() + 3 * 86_400_000);
      const { entries } = await ledgerView(app.viewer(), ...ALL);
      const whole: Summed = {};
      for (const day of new Set(entries.map((entry) => entry.day))) {
        const report = (await shopReport(app.viewer(), day))!;
        const own = await ledgerView(app.viewer(), day, day);
        expect([day, ofReport(report)]).toEqual([day, ofEntries(own.entries)]);
        for (const [key, amount] of Object.entries(ofReport(report))) add(whole, key, amount);
      }
      expect(lean(whole)).toEqual(ofEntries(entries));
      // A drawer's own report is the ledger's entries of that drawer on that day.
      for (const till of (await tillView(app.viewer())).sealed) {
        const report = (await tillReport(app.viewer(), till.id))!;
        const mine = entries.filter((entry) => entry.day === till.day && entry.till === till.till.number);
        expect([till.day, ofReport(report)]).toEqual([till.day, ofEntries(mine)]);
      }
    },
  );

  it('met cash before any till was open, which asks to open it and books nothing', async () => {
    expect([...met]).toEqual(
      expect.arrayContaining([
        'take-cash till-closed',
        'take-cash ok',
        'sell-voucher till-closed',
        'move-cash till-closed',
        'reverse-entry ok',
        'open-till ok',
        'seal-till ok',
        'refund ok',
      ]),
    );
    const fresh = await stocked({ till: false });
    const { orderId } = await fresh.accepted();
    const answer = await fresh.app.command('take-cash', { orderId, paymentId: id(), amount: 9400 });
    expect(codes(answer)).toBe('till-closed');
    expect((await ledgerView(fresh.app.viewer(), ...ALL)).entries).toEqual([]);
    expect((await fresh.viewOf(orderId)).paid).toBe(0);
  });
});

describe('a drawer after a slip', () => {
  const MILLION = 100_000_000;
  it('of a scanned code is asked about, can be summed, counted and sealed all the same, and is taken back', async () => {
    const { app } = await stocked();
    const slip = (entryId: string, amount: number, sure?: true) =>
      app.command('move-cash', { entryId, kind: 'cash-in', amount, why: 'scanned', ...(sure ? { sure } : {}) });
    expect(codes(await slip(id(), 4_290_000_000))).toBe('amount-unlikely');
    expect(codes(await slip(id(), 2_000_001))).toBe('amount-unlikely');
    expect(codes(await slip(id(), 2_000_000))).toBe('ok');
    const entries = [id(), id(), id()];
    for (const entryId of entries) await must(slip(entryId, 100 * MILLION, true));
    await must(app.command('move-cash', { entryId: id(), kind: 'expense', amount: 100, why: 'tape' }));
    const { open } = await tillView(app.viewer());
    const count = () => app.command('count-till', { dayId: open!.id, pieces: [], card: 2 ** 31, vouchers: 2 ** 31 });
    await must(count());
    expect((await tillView(app.viewer())).open!.counted!.expected.cash).toBe(300 * MILLION + 2_000_000 - 100);
    for (const entryId of entries)
      await must(app.command('reverse-entry', { entryId, newId: id(), reason: 'a scanned code' }));
    const again = { entryId: entries[0]!, newId: id(), reason: 'again' };
    expect(codes(await app.command('reverse-entry', again))).toBe('entry-reversed');
    expect(codes(await app.command('reverse-entry', { ...again, entryId: id() }))).toBe('entry-unknown');
    await must(count());
    expect((await tillView(app.viewer())).open!.counted!.expected.cash).toBe(2_000_000 - 100);
    await must(app.command('seal-till', { dayId: open!.id, note: 'a scanned code' }));
    const report = (await tillReport(app.viewer(), open!.id))!;
    expect(report.overShort).toBe(-(2_000_000 - 100));
  });

  it('that nobody takes back is sealed, and the next day opens', async () => {
    const { app } = await stocked();
    for (let times = 0; times < 2; times += 1)
      await must(
        app.command('move-cash', { entryId: id(), kind: 'cash-in', amount: 100 * MILLION, why: 'x', sure: true }),
      );
    const { open } = await tillView(app.viewer());
    await must(app.command('count-till', { dayId: open!.id, pieces: [{ of: 100, count: 3 }], card: 0, vouchers: 0 }));
    await must(app.command('seal-till', { dayId: open!.id, note: 'gone' }));
    const dayId = id();
    await must(app.command('open-till', { dayId, till: 1, pieces: [{ of: 100, count: 3 }] }));
    await must(app.command('move-cash', { entryId: id(), kind: 'to-bank', amount: 300, why: 'x' }));
    expect((await ledgerView(app.viewer(), ...ALL)).standing.reduce((sum, { amount }) => sum + amount, 0)).toBe(0);
  });

  it('of a voucher is taken back while nothing of it was used', async () => {
    const { app, accepted } = await stocked();
    const sell = async () => {
      const entryId = id();
      const sold = await app.command('sell-voucher', { id: entryId, amount: 5000, means: 'cash', expires: null });
      return { entryId, code: sold.ok ? String(sold.value.code) : '' };
    };
    const back = (entryId: string) => app.command('reverse-entry', { entryId, newId: id(), reason: 'a slip' });
    const [slip, used] = [await sell(), await sell()];
    const { orderId } = await accepted();
    await must(
      app.command('take-voucher', { orderId, paymentId: id(), amount: 100, code: used.code, less: 'the rest later' }),
    );
    expect(codes(await back(used.entryId))).toBe('voucher-begun');
    await must(back(slip.entryId));
    const gone = { orderId, paymentId: id(), amount: 100, code: slip.code, less: 'x' };
    expect(codes(await app.command('take-voucher', gone))).toBe('voucher-used');
    const { vouchers } = await ledgerView(app.viewer(), ...ALL);
    expect(vouchers.map(({ left }) => left)).toEqual([4900]);
  });

  it('is not taken back by anybody but the owner where it is a payout', async () => {
    const { app } = await stocked();
    const entryId = id();
    await must(app.command('book-payout', { entryId, amount: 5000, fee: 100 }));
    const odd = { id: id(), name: 'Odd', role: 'counter' as const };
    await must(app.command('add-staff', { ...odd, pin: '4711' }));
    const back = { entryId, newId: id(), reason: 'twice' };
    expect(codes(await app.command('reverse-entry', back, { as: odd }))).toBe('role-not-permitted');
    await must(app.command('reverse-entry', back));
  });
});
