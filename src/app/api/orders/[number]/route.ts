import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { problem } from '@/server/problem';
import { orderView } from '@/server/views';

export const GET = route('GET /api/orders/[number]', async (_request, viewer, { number = '' }) => {
  const order = /^\d{1,9}$/.test(number) ? await orderView(viewer, Number(number)) : undefined;
  return order ? Response.json(order) : problem([issue('order-unknown')]);
});
