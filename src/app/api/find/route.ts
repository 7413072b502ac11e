import { route } from '@/server/access';
import { findCustomersView, findOrdersView, ORDER_STATES } from '@/server/views';

/** Finds customers (`what=customers`) or orders by name, phone or number. */
export const GET = route('GET /api/find', async ({ nextUrl: { searchParams } }, viewer) => {
  const text = searchParams.get('text') ?? '';
  if (searchParams.get('what') === 'customers') return Response.json(await findCustomersView(viewer, text));
  const states = searchParams.get('in') === 'open' ? ORDER_STATES.open : ORDER_STATES.all;
  return Response.json(await findOrdersView(viewer, text, states));
});
