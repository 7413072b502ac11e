/**
 * A card terminal that is not there. It takes its time, remembers every reference, and does what it was told the
 * customer would do: pay, be declined, or walk away so that no answer comes. A question that was never answered is
 * charged when it is asked again and the customer then pays.
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
      const answer = acts === 'pays' ? 'approved' : 'declined';
      settled.set(reference, { amount, answer });
      return answer;
    },
  };
}
