import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { readText } from '@/server/http';
import { problem } from '@/server/problem';

const LARGEST = 2_000_000;

/** Gives the cutter a DXF file; answers the cuts it will make, or why not. */
export const POST = route(
  'POST /api/mat-cutter',
  async (request, { app: { matCutter } }) => {
    const text = await readText(request, LARGEST);
    if (text === undefined) return problem([issue('body-too-large', { most: `${LARGEST / 1000} kB` })]);
    const play = matCutter.take(text);
    return play.ok ? Response.json({ bed: matCutter.bed, ...play.value }) : problem(play.issues);
  },
  'upload',
);
