import { LARGEST_LIST } from '@/contract/commands';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { readText } from '@/server/http';
import { problem } from '@/server/problem';
import { previewList } from '@/server/list-views';
import { LIST_NAMES } from '@/core/supplier-list/names';

/** The body is the CSV itself; `list` says of what. Nothing is changed. */
export const POST = route(
  'POST /api/import-preview',
  async (request, viewer) => {
    const text = await readText(request, LARGEST_LIST);
    if (text === undefined) return problem([issue('body-too-large', { most: `${LARGEST_LIST / 1e6} MB` })]);
    const asked = request.nextUrl.searchParams.get('list') ?? 'mouldings';
    const list = LIST_NAMES.find((name) => name === asked);
    if (!list) return problem([issue('path-unknown', { path: asked.slice(0, 40) })]);
    return Response.json(await previewList(viewer, list, text));
  },
  'upload',
);
