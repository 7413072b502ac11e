/**
 * Taking money by card. The terminal is outside: it is asked between two commands, never inside a transaction. If
 * its answer is lost (or we are), the request stays open and is asked again with the same reference, which cannot
 * charge twice. Who asks was looked at before: a `CounterViewer` is needed to get here.
 */
import { type Outcome, bad, good, issue } from '@/core/issue';
import { money } from '@/core/units/money';
import { cardRequest } from '@/db/queries/orders';
import type { CounterViewer } from './access';
import { handlers } from './commands';
import { handleCommand } from './door';

/** Asks the terminal about an open request and writes its answer down, whatever became of the question meanwhile. */
export async function settleCard(
  { app, person, session }: Pick<CounterViewer, 'app' | 'person' | 'session'>,
  requestId: string,
): Promise<Outcome<Record<string, unknown>>> {
  const request = await cardRequest(app.db, requestId);
  if (!request) return bad(issue('card-unknown'));
  if (request.state !== 'open' && request.state !== 'unanswered') return good({ state: request.state });
  const answer = await app.terminal.charge(requestId, money(request.amount));
  return handleCommand(
    app,
    { person, session, program: true },
    { id: crypto.randomUUID(), name: 'card-answer', payload: { requestId, answer } },
    handlers,
  );
}
