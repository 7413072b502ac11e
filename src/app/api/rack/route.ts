import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { problem } from '@/server/problem';
import { rackView } from '@/server/rack-views';

/** All that the places of the rack show; asked again when something changed. */
export const GET = route('GET /api/rack', async (_request, viewer) => {
  const view = await rackView(viewer);
  return view ? Response.json(view) : problem([issue('shop-unknown')]);
});
