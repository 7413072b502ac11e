import { z } from 'zod';
import { settleCard } from '@/server/card';
import { problem, readJson, signedIn } from '@/server/http';

const asked = z.object({ requestId: z.uuid() });

/** Asks the terminal about an open request; answers when the terminal has, or gave up. */
export async function POST(request: Request): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const body = await readJson(request, 1000);
  if ('refusal' in body) return body.refusal;
  const checked = asked.safeParse(body.value);
  if (!checked.success) return problem([{ code: 'card-unknown', figures: {} }]);
  const result = await settleCard(who.house, who.person, checked.data.requestId);
  return result.ok ? Response.json(result.value) : problem(result.issues);
}
