import { route } from '@/server/access';
import { settingsView } from '@/server/people';

export const GET = route('GET /api/settings', async (_request, viewer) => Response.json(await settingsView(viewer)));
