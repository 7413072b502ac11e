import { route } from '@/server/access';
import { boardView } from '@/server/views';

/** What the board shows; asked again when something changed. */
export const GET = route('GET /api/board', async (_request, viewer) => Response.json(await boardView(viewer)));
