import { z } from 'zod';
import { readJson, signedIn } from '@/server/http';

const body = z.object({ acts: z.enum(['pays', 'is declined', 'walks away']) });

/** What the person at the simulated card terminal does next. A real terminal has no such door. */
export async function POST(request: Request): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const read = await readJson(request, 1000);
  if ('refusal' in read) return read.refusal;
  const checked = body.safeParse(read.value);
  if (checked.success) who.house.terminal.next(checked.data.acts);
  return Response.json({ acts: who.house.terminal.acts });
}
