import { z } from 'zod';
import { route } from '@/server/access';
import { picturesView } from '@/server/views';

const MOST = 40;
const idsSchema = z.array(z.uuid()).max(MOST);

/** The photos that stand for pieces: `of`, their ids with commas between. */
export const GET = route('GET /api/pictures', async ({ nextUrl }, viewer) => {
  const ids = idsSchema.safeParse((nextUrl.searchParams.get('of') ?? '').split(',').filter(Boolean));
  return Response.json(ids.success ? await picturesView(viewer, ids.data) : {});
});
