import { route } from '@/server/access';
import { postCommand } from '@/server/post-command';
import { ORDER_STATES, findOrdersView } from '@/server/views';

/** Orders, those that can be collected first, then the newest; `text` finds by name, phone or number, `in=open` leaves ended ones out. */
export const GET = route('GET /api/v1/orders', async ({ nextUrl: { searchParams } }, viewer) => {
  const states = searchParams.get('in') === 'open' ? ORDER_STATES.open : ORDER_STATES.all;
  return Response.json({ orders: await findOrdersView(viewer, searchParams.get('text') ?? '', states) });
});

/** Quotes an order, or changes a quote: the payload of the command `save-quote`. */
export const POST = route('POST /api/v1/orders', (request, viewer) =>
  postCommand(request, viewer, 'save-quote', 2_000_000),
);
