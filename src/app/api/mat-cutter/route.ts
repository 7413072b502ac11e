import { issue } from '@/core/issue';
import { problem, readText, signedIn } from '@/server/http';

const LARGEST = 2_000_000;

/** Gives the cutter a DXF file; answers the cuts it will make, or why not. */
export async function POST(request: Request): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const text = await readText(request, LARGEST);
  if (text === undefined) return problem([issue('body-too-large', { most: `${LARGEST / 1000} kB` })]);
  const { matCutter } = who.house;
  const play = matCutter.take(text);
  return play.ok ? Response.json({ bed: matCutter.bed, ...play.value }) : problem(play.issues);
}
