import { route } from '@/server/access';
import { ledgerView, timeOf } from '@/server/ledger-views';

/** The journal of a time, and how the accounts stand at its end. */
export const GET = route('GET /api/ledger', async (request, viewer) => {
  const { from, to } = timeOf(viewer.app, new URL(request.url).searchParams);
  return Response.json(await ledgerView(viewer, from, to));
});
