/**
 * A card terminal that is not there. It takes its time, remembers every reference, and does what it was told the
 * customer would do: pay, be declined, walk away so that no answer comes, or pay while the answer is lost. A question
 * that was never answered is charged when it is asked again and the customer then pays; one that was approved unheard
 * is told then, and not charged again.
 */
import type { Money } from '@/core/units/money';
import type { CardAnswer, CustomerActs, SimulatedTerminal } from '../ports';

export interface Pace {
  readonly answerMs: number;
  readonly patienceMs: number;
}
const wait = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

export function simulatedTerminal(pace: Pace = { answerMs: 700, patienceMs: 2500 }): SimulatedTerminal {
  const settled = new Map<string, { amount: Money; answer: 'approved' | 'declined' }>();
  let acts: CustomerActs = 'pays';
  return {
    get acts() {
      return acts;
    },
    next(what) {
      acts = what;
    },
    async charge(reference, amount): Promise<CardAnswer> {
      const known = settled.get(reference);
      if (known) return known.amount === amount ? known.answer : 'declined';
      if (acts === 'walks away') {
        await wait(pace.patienceMs);
        return 'unanswered';
      }
      await wait(pace.answerMs);
      const answer = acts === 'is declined' ? 'declined' : 'approved';
      settled.set(reference, { amount, answer });
      return acts === 'pays unheard' ? 'unanswered' : answer;
    },
    found: (reference) => Promise.resolve(settled.get(reference)?.answer),
  };
}
