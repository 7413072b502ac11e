import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { pricesView } from '@/server/prices-view';
import { problem } from '@/server/problem';

/** The price rules; asked again when something changed. */
export const GET = route('GET /api/prices', async (_request, viewer) => {
  const view = await pricesView(viewer);
  return view ? Response.json(view) : problem([issue('shop-unknown')]);
});
