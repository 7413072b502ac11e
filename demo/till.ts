/** The till of the made-up shop: yesterday's day sealed a little short, today's open with its float. */
import type { Asked, CommandName } from '@/contract/commands';
import type { Tx } from '@/db/client';
import { cashIn } from '@/db/queries/ledger';
import { daysAfter } from '@/server/clock';

interface Teller {
  at: Date;
  by: string;
  do<N extends CommandName>(name: N, payload: Asked<N>): Promise<void>;
}

const TILL = 1;
const FLOAT = [
  { of: 2000, count: 3 },
  { of: 1000, count: 4 },
  { of: 500, count: 7 },
  { of: 100, count: 12 },
  { of: 25, count: 12 },
];
const VOUCHER = 7500;
const SHORT = 50;
const HOUR_MS = 3_600_000;

export async function tillDays(tell: Teller, tx: Tx, now: Date): Promise<void> {
  const id = () => crypto.randomUUID();
  const yesterday = daysAfter(now, -1);
  tell.by = 'Tobin';
  tell.at = new Date(yesterday.getTime() - HOUR_MS);
  const dayId = id();
  await tell.do('open-till', { dayId, till: TILL, pieces: FLOAT });
  tell.at = yesterday;
  await tell.do('sell-voucher', { id: id(), amount: VOUCHER, means: 'cash', expires: null });
  await tell.do('move-cash', { entryId: id(), kind: 'expense', amount: 1800, why: 'tape' });
  const there = await cashIn(tx, TILL);
  await tell.do('count-till', { dayId, pieces: [{ of: 1, count: there - SHORT }], card: 0, vouchers: 0 });
  await tell.do('seal-till', { dayId, note: 'A coin rolled under the cutter, not found.' });
  tell.by = 'Ines';
  tell.at = new Date(now.getTime() - HOUR_MS);
  await tell.do('open-till', { dayId: id(), till: TILL, pieces: [{ of: 1, count: there - SHORT }] });
  tell.at = now;
  await tell.do('move-cash', { entryId: id(), kind: 'to-bank', amount: 5000, why: 'Change for the week' });
}
