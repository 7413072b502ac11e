import { LARGEST_DRAFT, draftKey, keptDraftSchema } from '@/contract/drafts';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { keepDraftOf, keptDraft } from '@/server/drafts';
import { schemaIssues } from '@/server/door';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';

export const GET = route('GET /api/drafts/[order]', async (_request, viewer, { order = '' }) =>
  draftKey.safeParse(order).success
    ? Response.json({ kept: await keptDraft(viewer, order) })
    : problem([issue('order-unknown')]),
);

/** What is typed, a second after it was typed; an older version than the one kept changes nothing. */
export const PUT = route('PUT /api/drafts/[order]', async (request, viewer, { order = '' }) => {
  if (!draftKey.safeParse(order).success) return problem([issue('order-unknown')]);
  const read = await readJson(request, LARGEST_DRAFT);
  if ('refusal' in read) return read.refusal;
  const checked = keptDraftSchema.safeParse(read.value);
  if (!checked.success) return problem(schemaIssues(checked.error.issues));
  await keepDraftOf(viewer, order, checked.data);
  return Response.json({ version: checked.data.version });
});
