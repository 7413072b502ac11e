/**
 * Taking money by card. The terminal is outside: it is asked between two commands, never inside a transaction. If
 * its answer is lost (or we are), the request stays open and is asked again with the same reference, which cannot
 * charge twice.
 */
import { type Outcome, good } from '@/core/issue';
import { money } from '@/core/units/money';
import { cardRequest } from '@/db/queries/orders';
import type { Person } from '@/db/queries/staff';
import { handlers } from './commands';
import { enter } from './door';
import type { House } from './house';

/** Asks the terminal about an open request and writes its answer down. */
export async function settleCard(
  house: House,
  person: Person | undefined,
  requestId: string,
): Promise<Outcome<Record<string, unknown>>> {
  const request = await cardRequest(house.db, requestId);
  if (request && request.state !== 'open' && request.state !== 'unanswered') return good({ state: request.state });
  const answer = request ? await house.terminal.charge(requestId, money(request.amount)) : 'dropped';
  return enter(
    house,
    person,
    { id: crypto.randomUUID(), name: 'card-answer', payload: { requestId, answer } },
    handlers,
  );
}
