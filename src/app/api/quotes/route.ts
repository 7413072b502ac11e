import { route } from '@/server/access';
import { quotesView } from '@/server/quotes-view';

export const GET = route('GET /api/quotes', async (_request, viewer) => Response.json(await quotesView(viewer)));
