import { z } from 'zod';
import { route } from '@/server/access';
import { schemaIssues } from '@/server/door';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';

const body = z.object({ acts: z.enum(['pays', 'is declined', 'walks away', 'pays unheard']) });

/** Which terminal stands there: a simulated one tells what the person at it does next. */
export const GET = route('GET /api/terminal', async (_request, { app }) => Response.json({ acts: app.terminal.acts }));

/** What the person at the simulated card terminal does next. A real terminal has no such door. */
export const POST = route('POST /api/terminal', async (request, { app }) => {
  const read = await readJson(request, 1000);
  if ('refusal' in read) return read.refusal;
  const checked = body.safeParse(read.value);
  if (!checked.success) return problem(schemaIssues(checked.error.issues));
  app.terminal.next(checked.data.acts);
  return Response.json({ acts: app.terminal.acts });
});
