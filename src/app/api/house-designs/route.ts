import { route } from '@/server/access';
import { houseDesignsView } from '@/server/house-view';

/** The designs that the house begins with. */
export const GET = route('GET /api/house-designs', async (_request, viewer) =>
  Response.json(await houseDesignsView(viewer)),
);
