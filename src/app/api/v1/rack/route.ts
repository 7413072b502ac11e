import { handlers } from '@/server/commands';
import { enter } from '@/server/door';
import { problem, readJson, signedIn } from '@/server/http';
import { rackPieces } from '@/server/rack-views';

/** What lies on the rack. */
export async function GET(): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  return Response.json({ pieces: await rackPieces(who.house) });
}

/** Adds a piece or changes one: the payload of the command `put-rack-piece`. */
export async function POST(request: Request): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const body = await readJson(request, 20_000);
  if ('refusal' in body) return body.refusal;
  const asked = { id: crypto.randomUUID(), name: 'put-rack-piece', payload: body.value };
  const result = await enter(who.house, who.person, asked, handlers);
  return result.ok ? Response.json(result.value) : problem(result.issues);
}
