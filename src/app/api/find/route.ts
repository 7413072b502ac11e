import { route } from '@/server/access';
import { customersFound, findAnything } from '@/server/customers';
import { ORDER_STATES, findOrdersView } from '@/server/views';

/** Finds customers (`what=customers`), anything (`what=all`), or orders by name, phone or number. */
export const GET = route('GET /api/find', async ({ nextUrl: { searchParams } }, viewer) => {
  const text = searchParams.get('text') ?? '';
  const what = searchParams.get('what');
  if (what === 'customers') return Response.json(await customersFound(viewer, text));
  if (what === 'all') return Response.json(await findAnything(viewer, text));
  const states = searchParams.get('in') === 'open' ? ORDER_STATES.open : ORDER_STATES.all;
  return Response.json(await findOrdersView(viewer, text, states));
});
