import { issue } from '@/core/issue';
import { LIST_NAMES } from '@/core/supplier-list/names';
import { route } from '@/server/access';
import { columnsKept } from '@/server/list-views';
import { problem } from '@/server/problem';

/** How suppliers named the columns of their lists so far. */
export const GET = route('GET /api/list-columns', async ({ nextUrl }, viewer) => {
  const list = LIST_NAMES.find((name) => name === nextUrl.searchParams.get('list'));
  return list ? Response.json(await columnsKept(viewer, list)) : problem([issue('path-unknown', { path: 'list' })]);
});
