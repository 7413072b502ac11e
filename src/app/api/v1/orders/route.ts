import type { NextRequest } from 'next/server';
import { signedIn } from '@/server/http';
import { postCommand } from '@/server/post-command';
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
export const POST = (request: Request): Promise<Response> => postCommand(request, 'save-quote', 2_000_000);
