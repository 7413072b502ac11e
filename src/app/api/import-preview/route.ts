import { LARGEST_LIST } from '@/contract/commands';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { readText } from '@/server/http';
import { problem } from '@/server/problem';
import { previewImport } from '@/server/views';

/** The body is the CSV itself. Nothing is changed. */
export const POST = route(
  'POST /api/import-preview',
  async (request, viewer) => {
    const text = await readText(request, LARGEST_LIST);
    if (text === undefined) return problem([issue('body-too-large', { most: '2 MB' })]);
    return Response.json(await previewImport(viewer, text));
  },
  'upload',
);
