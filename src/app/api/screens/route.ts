import { route } from '@/server/access';
import { screensView } from '@/server/screens';

/** The screens that face customers, and who put something on them. */
export const GET = route('GET /api/screens', async (_request, viewer) => Response.json(await screensView(viewer)));
