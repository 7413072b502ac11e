import { LARGEST_LIST } from '@/contract/commands';
import { problem, readText, signedIn } from '@/server/http';
import { previewImport } from '@/server/views';

/** The body is the CSV itself. Nothing is changed. */
export async function POST(request: Request): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const text = await readText(request, LARGEST_LIST);
  if (text === undefined) return problem([{ code: 'body-too-large', figures: { most: '2 MB' } }]);
  return Response.json(await previewImport(who.house, text));
}
