import { z } from 'zod';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { problem } from '@/server/problem';
import { pieceView } from '@/server/records';

export const GET = route('GET /api/pieces/[id]', async (_request, viewer, { id = '' }) => {
  const view = z.uuid().safeParse(id).success ? await pieceView(viewer, id) : undefined;
  return view ? Response.json(view) : problem([issue('record-unknown')]);
});
