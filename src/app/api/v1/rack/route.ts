import { route } from '@/server/access';
import { postCommand } from '@/server/post-command';
import { rackPieces } from '@/server/rack-views';

/** What lies on the rack. */
export const GET = route('GET /api/v1/rack', async (_request, viewer) =>
  Response.json({ pieces: await rackPieces(viewer) }),
);

/** Adds a piece or changes one: the payload of the command `put-rack-piece`. */
export const POST = route('POST /api/v1/rack', (request, viewer) =>
  postCommand(request, viewer, 'put-rack-piece', 20_000),
);
