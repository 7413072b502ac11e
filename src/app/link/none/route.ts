import { LINK_CLOSED } from '@/words/screens/link';
import { openRoute } from '@/server/access';
import { plainPage } from '@/server/plain-page';

/** Where a link leads that opens nothing: said on a page that needs no script, with the status it has. */
export const GET = openRoute('GET /link/none', async (request) =>
  plainPage(LINK_CLOSED.unknown, 404, request.headers.get('x-nonce') ?? ''),
);
