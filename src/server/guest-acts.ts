/**
 * What somebody does by a link: each is a command that the program gives for them, written down with the link as the one
 * who did it. The answer is where their browser goes on.
 */
import { z } from 'zod';
import type { Asked, CommandName } from '@/contract/commands';
import { letterSchema } from '@/core/design/candidates-schema';
import { money } from '@/core/units/money';
import { insertLinkEvent } from '@/db/queries/links';
import { orderById } from '@/db/queries/orders';
import { QUOTE } from '@/words/screens/papers';
import { handlers, readyings } from './commands';
import { handleCommand } from './door';
import { type Guest, overActing } from './guests';

const whole = z
  .string()
  .regex(/^\d{1,15}$/)
  .transform(Number);
/** Lines and gaps become single spaces: what is kept is one line. */
const oneLine = z.string().transform((text) => text.replace(/\s+/g, ' ').trim());
const actSchema = z.discriminatedUnion('act', [
  z.object({ act: z.literal('choose'), revision: whole, piece: z.uuid(), letter: letterSchema }),
  z.object({ act: z.literal('ask'), question: oneLine }),
  z.object({ act: z.literal('accept'), revision: whole, total: whole, name: oneLine }),
  z.object({ act: z.literal('pay') }),
]);

/** What to say where the browser goes on, and what was typed there where it was not taken. */
interface Said {
  readonly said?: string;
  readonly typed?: Readonly<Record<string, string>>;
  /** The address elsewhere that the customer is sent to. */
  readonly to?: string;
}

async function give<N extends CommandName>(
  { app, linkId }: Guest,
  name: N,
  payload: Asked<N>,
): Promise<{ readonly code?: string; readonly result?: Readonly<Record<string, unknown>> }> {
  const asked = { id: crypto.randomUUID(), name, payload };
  const done = await handleCommand(app, { person: undefined, link: linkId, program: true }, asked, handlers, readyings);
  return done.ok ? { result: done.value } : { code: done.issues[0]!.code };
}
const saidOf = (code: string | undefined): Said => (code === undefined ? {} : { said: code });

async function accept(guest: Guest, asked: { revision: number; total: number; name: string }): Promise<Said> {
  const { app, linkId } = guest;
  const { code } = await give(guest, 'link-accept', { linkId, ...asked });
  if (code === undefined) return {};
  if (code === 'input-wrong') return { said: 'name-missing', typed: { name: asked.name } };
  // What was refused left nothing behind; that somebody tried is written down all the same.
  const now = app.clock.now();
  await app.db.transaction((tx) => insertLinkEvent(tx, linkId, { at: now, what: 'refused', detail: { code } }));
  return { said: code, typed: { name: asked.name } };
}

async function pay(guest: Guest, back: string): Promise<Said> {
  const { app, linkId, orderId } = guest;
  const { code, result } = await give(guest, 'link-pay', { linkId, requestId: crypto.randomUUID() });
  if (!result) return saidOf(code);
  const order = await orderById(app.db, orderId);
  const text = `${(await app.books())?.shop.name ?? ''}, ${QUOTE.order} ${order?.number ?? ''}`;
  const payment = { amount: money(Number(result.amount)), text, back };
  return { to: await app.paymentPage.begin(String(result.requestId), payment) };
}

/** Does what a form asked; `back` is the page of the link. */
export async function actByLink(guest: Guest, fields: Readonly<Record<string, string>>, back: string): Promise<Said> {
  if (overActing(guest)) return { said: 'too-many', typed: fields };
  const read = actSchema.safeParse(fields);
  if (!read.success) return { said: 'refused' };
  const asked = read.data;
  const { linkId } = guest;
  switch (asked.act) {
    case 'choose': {
      const { piece: pieceId, letter, revision } = asked;
      return saidOf((await give(guest, 'link-choose', { linkId, revision, pieceId, letter })).code);
    }
    case 'ask': {
      const { code } = await give(guest, 'link-ask', { linkId, text: asked.question });
      if (code === undefined) return {};
      return { said: code === 'input-wrong' ? 'question-missing' : code, typed: { question: asked.question } };
    }
    case 'accept':
      return accept(guest, { revision: asked.revision, total: asked.total, name: asked.name });
    case 'pay':
      return pay(guest, back);
  }
}
