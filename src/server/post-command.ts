/** A path of its own for one command: the body is its payload. */
import type { CommandName } from '@/contract/commands';
import { handlers } from './commands';
import { enter } from './door';
import { problem, readJson, signedIn } from './http';

/** Carries out the command for who has signed in; `most` is the largest body in bytes. */
export async function postCommand(request: Request, name: CommandName, most: number): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const body = await readJson(request, most);
  if ('refusal' in body) return body.refusal;
  const asked = { id: crypto.randomUUID(), name, payload: body.value };
  const result = await enter(who.house, who.person, asked, handlers);
  return result.ok ? Response.json(result.value) : problem(result.issues);
}
