import { route } from '@/server/access';
import { listTables } from '@/server/list-views';

/** The lists of the books as they write themselves, cell by cell; asked again when something changed. */
export const GET = route('GET /api/list-tables', async (_request, viewer) => Response.json(await listTables(viewer)));
