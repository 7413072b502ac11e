/**
 * Taking money by card. The terminal, and the page where customers pay from afar, are outside: they are asked between
 * two commands, never inside a transaction. If an answer is lost (or we are), the request stays open and is asked about
 * again with the same reference, which cannot charge twice.
 */
import { type Outcome, bad, good, issue } from '@/core/issue';
import { PAYING_MINUTES } from '@/core/links/link';
import { money } from '@/core/units/money';
import { type CardRow, cardRequest, openAtPage } from '@/db/queries/orders';
import type { CardAnswer } from '@/standins/ports';
import type { AppContext } from './app-context';
import { handlers } from './commands';
import { type Asker, handleCommand } from './door';

const answered = (app: AppContext, asker: Asker, requestId: string, answer: CardAnswer) =>
  handleCommand(
    app,
    { ...asker, program: true },
    { id: crypto.randomUUID(), name: 'card-answer', payload: { requestId, answer } },
    handlers,
  );

/** Asks the terminal about an open request and writes its answer down, whatever became of the question meanwhile. */
export async function settleCard(
  { app, person, session }: Pick<Asker, 'person' | 'session'> & { readonly app: AppContext },
  requestId: string,
): Promise<Outcome<Record<string, unknown>>> {
  const request = await cardRequest(app.db, requestId);
  if (!request) return bad(issue('card-unknown'));
  if (request.link_id !== null) return settleAtPage(app, request);
  if (request.state !== 'open' && request.state !== 'unanswered') return good({ state: request.state });
  const answer = await app.terminal.charge(requestId, money(request.amount));
  return answered(app, { person, session }, requestId, answer);
}

/** Writes down what became of a question at the payment page; what nobody answered stays open. */
async function settleAtPage(
  app: AppContext,
  { id, state, link_id: link }: CardRow,
  answer?: CardAnswer,
): Promise<Outcome<Record<string, unknown>>> {
  const found = answer ?? (await app.paymentPage.found(id));
  return found ? answered(app, { person: undefined, link: link! }, id, found) : good({ state });
}

const MINUTE = 60_000;
/** What is open at the payment page: answers are written down, and what nobody answered for long is ended. */
export async function settleOpenAtPage(app: AppContext): Promise<void> {
  const until = app.clock.now().getTime() - PAYING_MINUTES * MINUTE;
  for (const request of await openAtPage(app.db))
    await settleAtPage(app, request, request.at.getTime() < until ? await app.paymentPage.end(request.id) : undefined);
}
