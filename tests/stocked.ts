/** A shop in memory with a price list and a customer, and orders on their way, for tests of what people do there. */
import fs from 'node:fs';
import { expect } from 'vitest';
import type { Payload } from '@/contract/commands';
import { type Design, newDesign } from '@/core/design/design';
import { defaultSettings } from '@/core/settings';
import { inches } from '@/core/units/length';
import { orderById } from '@/db/queries/orders';
import { staffByName } from '@/db/queries/staff';
import { jobView, orderView } from '@/server/views';
import { type TestApp, testApp } from './app';
import { type Beginning, borrowed } from './databases';

type Answered = { ok: boolean; issues?: readonly { code: string }[] };
/** What an answer says: `ok`, or what it was refused for. */
export const codes = (answer: Answered) => (answer.ok ? 'ok' : answer.issues!.map((one) => one.code).join());
export const must = async (answer: Promise<Answered>) => expect(codes(await answer)).toBe('ok');

export const CLEAN_LIST = fs.readFileSync('samples/mouldings-clean.csv', 'utf8');
/** The day of the drawer, which is opened with nothing in it. */
export const DAY_ID = 'd0000000-0000-4000-8000-000000000001';
/** The total of one piece as `stockedDesign` has it. */
export const TOTAL = 18684;

export function stockedDesign(over: Partial<Design> = {}): Design {
  const start = newDesign(
    defaultSettings('in'),
    { mat: 'RAG-SHELL', moulding: 'MAR-31', glazing: 'GL-CLEAR', backing: 'FOAM-5' },
    inches(12),
    inches(16),
  );
  return { ...start, border: { mode: 'equal', all: inches(2, 1, 2) }, ...over };
}

const CUSTOMER_ID = 'c0000000-0000-4000-8000-000000000001';
const beginning = (till: boolean): Beginning => ({
  name: till ? 'stocked' : 'stocked, till closed',
  async make(db) {
    const app = testApp(db);
    await app.setUp();
    await must(app.command('import-list', { text: CLEAN_LIST, edition: 1, file: 'clean.csv' }));
    if (till) await must(app.command('open-till', { dayId: DAY_ID, till: 1, pieces: [] }));
    const name = 'Bo "Robert\'); DROP TABLE piece;--" Ström';
    await must(app.command('add-customer', { id: CUSTOMER_ID, name, phone: '555 0101', email: '' }));
  },
});

/** `till`: whether its drawer is open. */
export async function stocked({ till = true } = {}) {
  const db = await borrowed(beginning(till));
  const app: TestApp = testApp(db).as((await staffByName(db, 'Ada'))!);
  const customerId = CUSTOMER_ID;
  const quote = async (designs: readonly Design[] = [stockedDesign()]) => {
    const payload: Payload<'save-quote'> = {
      orderId: crypto.randomUUID(),
      revision: null,
      customerId,
      promised: '2031-12-15',
      pieces: designs.map((design) => ({ id: crypto.randomUUID(), design })),
    };
    await must(app.command('save-quote', payload));
    return payload;
  };
  /** An order as the counter sees it. */
  const viewOf = async (orderId: string) =>
    (await orderView(app.viewer(), (await orderById(app.db, orderId))?.number ?? 0))!;
  const accepted = async () => {
    const order = await quote();
    await must(app.command('accept-order', { orderId: order.orderId, revision: 1, total: TOTAL, reasons: {} }));
    const { number } = await viewOf(order.orderId);
    return { ...order, jobId: order.pieces[0]!.id, number, ticket: `${number}-1` };
  };
  const jobOf = async (ticket: string) => (await jobView(app.viewer(), ticket))!;
  /** Brings a job to a step, everything before it done. */
  const workTo = async (ticket: string, step: string) => {
    for (let job = await jobOf(ticket); job.next !== step; job = await jobOf(ticket)) {
      const ticks = ['insisted-kept', 'right-way-up'];
      await must(
        app.command('move-step', {
          jobId: job.id,
          revision: job.revision,
          step: job.next as never,
          to: 'done',
          ticks,
          early: true,
        }),
      );
    }
  };
  return { app, customerId, quote, accepted, viewOf, jobOf, workTo };
}
export type Stocked = Awaited<ReturnType<typeof stocked>>;
