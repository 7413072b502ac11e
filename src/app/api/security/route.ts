import { route } from '@/server/access';
import { securityView } from '@/server/people';

export const GET = route('GET /api/security', async (_request, viewer) => Response.json(await securityView(viewer)));
