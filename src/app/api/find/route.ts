import type { NextRequest } from 'next/server';
import { signedIn } from '@/server/http';
import { findCustomersView, findOrdersView, ORDER_STATES } from '@/server/views';

/** Finds customers (`what=customers`) or orders by name, phone or number. */
export async function GET(request: NextRequest): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const { searchParams } = request.nextUrl;
  const text = searchParams.get('text') ?? '';
  if (searchParams.get('what') === 'customers') return Response.json(await findCustomersView(who.house, text));
  return Response.json(
    await findOrdersView(who.house, text, searchParams.get('in') === 'open' ? ORDER_STATES.open : ORDER_STATES.all),
  );
}
