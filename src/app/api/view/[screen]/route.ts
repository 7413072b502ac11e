import { putOnSchema } from '@/contract/shown-view';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { schemaIssues } from '@/server/door';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';
import { putOn } from '@/server/screens';
import { shownView } from '@/server/shown-view';

const LARGEST = 1000;

/** What is on the screen. */
export const GET = route('GET /api/view/[screen]', async (_request, viewer, { screen = '' }) => {
  const view = await shownView(viewer, screen);
  return view ? Response.json(view) : problem([issue('screen-unknown')]);
});

/** Puts an order of one's own desk on the screen; without a piece it is taken off. */
export const PUT = route('PUT /api/view/[screen]', async (request, viewer, { screen = '' }) => {
  const read = await readJson(request, LARGEST);
  if ('refusal' in read) return read.refusal;
  const checked = putOnSchema.safeParse(read.value);
  if (!checked.success) return problem(schemaIssues(checked.error.issues));
  const refused = await putOn(viewer, screen, checked.data);
  return refused.length > 0 ? problem(refused) : Response.json({ shown: checked.data.piece !== null });
});
