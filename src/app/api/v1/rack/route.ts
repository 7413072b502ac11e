import { signedIn } from '@/server/http';
import { postCommand } from '@/server/post-command';
import { rackPieces } from '@/server/rack-views';

/** What lies on the rack. */
export async function GET(): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  return Response.json({ pieces: await rackPieces(who.house) });
}

/** Adds a piece or changes one: the payload of the command `put-rack-piece`. */
export const POST = (request: Request): Promise<Response> => postCommand(request, 'put-rack-piece', 20_000);
