import type { NextRequest } from 'next/server';
import { handlers } from '@/server/commands';
import { enter } from '@/server/door';
import { problem, readJson, signedIn } from '@/server/http';
import { ORDER_STATES, findOrdersView } from '@/server/views';

/** Orders, those that can be collected first, then the newest; `text` finds by name, phone or number, `in=open` leaves ended ones out. */
export async function GET(request: NextRequest): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const { searchParams } = request.nextUrl;
  const states = searchParams.get('in') === 'open' ? ORDER_STATES.open : ORDER_STATES.all;
  return Response.json({ orders: await findOrdersView(who.house, searchParams.get('text') ?? '', states) });
}

/** Quotes an order, or changes a quote: the payload of the command `save-quote`. */
export async function POST(request: Request): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const body = await readJson(request, 2_000_000);
  if ('refusal' in body) return body.refusal;
  const asked = { id: crypto.randomUUID(), name: 'save-quote', payload: body.value };
  const result = await enter(who.house, who.person, asked, handlers);
  return result.ok ? Response.json(result.value) : problem(result.issues);
}
