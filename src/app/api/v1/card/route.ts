import { z } from 'zod';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { settleCard } from '@/server/card';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';

const asked = z.object({ requestId: z.uuid() });

/** Asks the terminal about an open request; answers when the terminal has, or gave up. */
export const POST = route('POST /api/v1/card', async (request, viewer) => {
  const body = await readJson(request, 1000);
  if ('refusal' in body) return body.refusal;
  const checked = asked.safeParse(body.value);
  if (!checked.success) return problem([issue('card-unknown')]);
  const result = await settleCard(viewer, checked.data.requestId);
  return result.ok ? Response.json(result.value) : problem(result.issues);
});
