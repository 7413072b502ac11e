import { z } from 'zod';
import { jobByJob } from '@/core/cutting/baseline';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { cutRequests } from '@/server/cutting/needs';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';
import { inSlices } from '@/server/slices';

const asked = z.object({ tickets: z.array(z.string().max(40)).max(500) });

/** What it would cost to cut these jobs one by one, in cents: what a plan of them is held against. */
export const POST = route('POST /api/rack/apart', async (request, { app }) => {
  const body = await readJson(request, 50_000);
  if ('refusal' in body) return body.refusal;
  const checked = asked.safeParse(body.value);
  if (!checked.success) return problem([issue('input-wrong', { reason: 'a list of tickets is needed' }, 'tickets')]);
  const books = await app.books();
  if (!books) return problem([issue('shop-unknown')]);
  const { requests } = await app.db.read((db) => cutRequests(db, books, checked.data.tickets));
  return Response.json(await inSlices(jobByJob(requests)));
});
