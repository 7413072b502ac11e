/**
 * A payment page that is not there: it stands for a provider's own, where a customer pays for an order from afar. It
 * remembers every reference it was given, lets whoever holds one pay or decline once, and tells what became of it. Like
 * a real one it knows nothing of the shop but the amount, a text, and where to send the customer afterwards.
 */
import type { AskedPayment, SimulatedPaymentPage } from '../ports';

export function simulatedPaymentPage(): SimulatedPaymentPage {
  const asked = new Map<string, AskedPayment>();
  const settled = new Map<string, 'approved' | 'declined'>();
  return {
    begin(reference, payment) {
      const known = asked.get(reference);
      if (!known) asked.set(reference, payment);
      return Promise.resolve(`/pay/${reference}`);
    },
    asked: (reference) => asked.get(reference),
    answer(reference, answer) {
      // What is settled stays so; whoever gave up begins anew at the shop.
      if (asked.has(reference) && !settled.has(reference)) settled.set(reference, answer);
      return settled.get(reference);
    },
    end(reference) {
      const stands = settled.get(reference) ?? 'declined';
      settled.set(reference, stands);
      return Promise.resolve(stands);
    },
    found: (reference) => Promise.resolve(settled.get(reference)),
  };
}
