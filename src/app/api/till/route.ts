import { route } from '@/server/access';
import { tillView } from '@/server/ledger-views';

/** The drawer of the device that asks. */
export const GET = route('GET /api/till', async (_request, viewer) => Response.json(await tillView(viewer)));
