import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { staffList } from '@/server/people';
import { problem } from '@/server/problem';
import { shopView } from '@/server/views';

/** The price list and the people; asked again when something changed. */
export const GET = route('GET /api/shop', async (_request, viewer) => {
  const shop = await shopView(viewer);
  return shop ? Response.json({ shop, people: await staffList(viewer) }) : problem([issue('shop-unknown')]);
});
