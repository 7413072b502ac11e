/** A path of its own for one command: the body is its payload. */
import type { CommandName } from '@/contract/commands';
import { type Viewer, asker } from './access';
import { handlers, readyings } from './commands';
import { handleCommand } from './door';
import { readJson } from './http';
import { problem } from './problem';

/** Carries out the command for who has signed in; `most` is the largest body in bytes. */
export async function postCommand(
  request: Request,
  { app }: Viewer,
  name: CommandName,
  most: number,
): Promise<Response> {
  const body = await readJson(request, most);
  if ('refusal' in body) return body.refusal;
  const asked = { id: crypto.randomUUID(), name, payload: body.value };
  const result = await handleCommand(app, await asker(app), asked, handlers, readyings);
  return result.ok ? Response.json(result.value) : problem(result.issues);
}
