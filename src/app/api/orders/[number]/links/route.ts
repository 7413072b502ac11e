import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { linksView } from '@/server/links-view';
import { problem } from '@/server/problem';

export const GET = route('GET /api/orders/[number]/links', async (_request, viewer, { number = '' }) => {
  const view = /^\d{1,9}$/.test(number) ? await linksView(viewer, Number(number)) : undefined;
  return view ? Response.json(view) : problem([issue('order-unknown')]);
});
