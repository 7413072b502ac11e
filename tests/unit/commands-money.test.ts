import { beforeAll, describe, expect, it } from 'vitest';
import { MOST_MONEY, money, withinLimit } from '@/core/units/money';
import { priceOrder } from '@/core/pricing/order-price';
import { settleCard } from '@/server/card';
import { findOrdersView } from '@/server/views';
import { prices } from '../shop';
import { type Stocked, TOTAL, codes, must, stocked } from '../stocked';

let accepted: Stocked['accepted'];
let app: Stocked['app'];
let viewOf: Stocked['viewOf'];
beforeAll(async () => {
  ({ accepted, app, viewOf } = await stocked());
});

describe('money', () => {
  it('refuses more than the balance, reverses a slip by another entry, and refuses to reverse twice', async () => {
    const { orderId } = await accepted();
    expect(codes(await app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: TOTAL + 1 }))).toBe(
      'payment-above-balance',
    );
    const paymentId = crypto.randomUUID();
    await must(app.command('take-cash', { orderId, paymentId, amount: 5000 }));
    await must(
      app.command('reverse-payment', { paymentId, newId: crypto.randomUUID(), reason: 'Typed in the wrong order' }),
    );
    expect(
      codes(await app.command('reverse-payment', { paymentId, newId: crypto.randomUUID(), reason: 'again' })),
    ).toBe('payment-reversed');
    const view = await viewOf(orderId);
    expect([view.payments.length, view.paid]).toEqual([2, 0]);
  });

  it('books a card once: approved, declined, and unanswered then asked again', async () => {
    const { orderId } = await accepted();
    const terminal = app.terminal;
    const pay = async (acts: Parameters<typeof terminal.next>[0], requestId: string = crypto.randomUUID()) => {
      terminal.next(acts);
      const asked = await app.command('ask-card', { orderId, requestId, amount: 9400 });
      if (!asked.ok) return codes(asked);
      const settled = await settleCard(app.viewer(), requestId);
      return settled.ok ? settled.value.state : codes(settled);
    };
    expect(await pay('is declined')).toBe('declined');
    const lost = crypto.randomUUID();
    expect(await pay('walks away', lost)).toBe('unanswered');
    expect(await pay('pays')).toBe('card-waiting');
    expect(codes(await app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: TOTAL }))).toBe(
      'payment-above-balance',
    );
    terminal.next('pays');
    const twice = await Promise.all([settleCard(app.viewer(), lost), settleCard(app.viewer(), lost)]);
    expect(twice.every((one) => one.ok && one.value.state === 'approved')).toBe(true);
    expect((await viewOf(orderId)).paid).toBe(9400);
  });

  it('books what comes after the question was dropped, and shows it as owed back until it is given back', async () => {
    const { orderId } = await accepted();
    const requestId = crypto.randomUUID();
    app.terminal.next('pays');
    await must(app.command('ask-card', { orderId, requestId, amount: TOTAL }));
    const terminal = settleCard(app.viewer(), requestId);
    await must(app.command('drop-card', { requestId }));
    await must(app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: TOTAL }));
    expect(await terminal).toMatchObject({ ok: true, value: { state: 'approved' } });
    const after = await viewOf(orderId);
    expect([after.paid, after.owedBack, after.openCards]).toEqual([2 * TOTAL, TOTAL, []]);
    await must(
      app.command('reverse-payment', { paymentId: requestId, newId: crypto.randomUUID(), reason: 'paid twice' }),
    );
    expect([(await viewOf(orderId)).paid, (await viewOf(orderId)).owedBack]).toEqual([TOTAL, 0]);
  });

  it('does not cancel an order whose card question is open; what comes on one cancelled after it is owed back', async () => {
    const { orderId } = await accepted();
    const requestId = crypto.randomUUID();
    await must(app.command('ask-card', { orderId, requestId, amount: 3000 }));
    const cancel = () => app.command('cancel-order', { orderId, revision: 2, reason: 'no' });
    expect(codes(await cancel())).toBe('card-waiting');
    app.terminal.next('pays');
    const terminal = settleCard(app.viewer(), requestId);
    await must(app.command('drop-card', { requestId }));
    await must(cancel());
    await terminal;
    const after = await viewOf(orderId);
    expect([after.state, after.paid, after.owedBack]).toEqual(['cancelled', 3000, 3000]);
  });

  it('keeps an order of 5,262,109,920 in every list, and refuses one above the limit of every amount', async () => {
    const big = 5_262_109_920;
    const { orderId } = await accepted();
    await app.db.transaction((tx) =>
      tx.query("UPDATE orders SET sale = NULL, agreed = jsonb_set(agreed, '{total}', $2::jsonb) WHERE id = $1", [
        orderId,
        String(big),
      ]),
    );
    await must(app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: 4_000_000_000 }));
    const requestId = crypto.randomUUID();
    await must(app.command('ask-card', { orderId, requestId, amount: 1_262_109_920 }));
    const order = await viewOf(orderId);
    expect([order.agreed!.total, order.paid, order.openCards[0]!.amount]).toEqual([big, 4_000_000_000, 1_262_109_920]);
    const [found] = await findOrdersView(app.viewer(), String(order.number), ['accepted']);
    expect([found!.total, found!.paid]).toEqual([big, 4_000_000_000]);

    const dear = (cents: number) =>
      withinLimit(() => Array.from({ length: 40 }, () => money(cents)).reduce((sum, one) => money(sum + one)));
    expect(dear(MOST_MONEY / 40)).toEqual({ ok: true, value: MOST_MONEY });
    expect(dear(MOST_MONEY / 40 + 1)).toMatchObject({ ok: false, issues: [{ code: 'price-too-high' }] });
    const pieces = Array.from({ length: 40 }, () => ({
      price: money(300_000_000),
      taxed: { goods: money(300_000_000) },
    }));
    expect(priceOrder(pieces as never, prices)).toMatchObject({ ok: false, issues: [{ code: 'price-too-high' }] });
  });

  it('does not cancel an order with money on it', async () => {
    const { orderId } = await accepted();
    const paymentId = crypto.randomUUID();
    await must(app.command('take-cash', { orderId, paymentId, amount: 100 }));
    expect(codes(await app.command('cancel-order', { orderId, revision: 2, reason: 'x' }))).toBe('cancel-with-money');
    await must(app.command('reverse-payment', { paymentId, newId: crypto.randomUUID(), reason: 'given back' }));
    await must(app.command('cancel-order', { orderId, revision: 2, reason: 'moved away' }));
    expect(codes(await app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: 100 }))).toBe(
      'payment-not-agreed',
    );
  });
});
