import { issue } from '@/core/issue';
import { editionChanges } from '@/server/edition-changes';
import { route } from '@/server/access';
import { problem } from '@/server/problem';

/** What an edition changed against the one before it. */
export const GET = route('GET /api/prices/edition', async ({ nextUrl: { searchParams } }, viewer) => {
  const text = searchParams.get('number') ?? '';
  const found = /^\d{1,9}$/.test(text) ? await editionChanges(viewer, Number(text)) : undefined;
  return found ? Response.json(found) : problem([issue('edition-unknown', { edition: text.slice(0, 20) })]);
});
