import { problem, signedIn } from '@/server/http';
import { rackView } from '@/server/rack-views';

/** All that the places of the rack show; asked again when something changed. */
export async function GET(): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const view = await rackView(who.house);
  return view ? Response.json(view) : problem([{ code: 'shop-unknown', figures: {} }]);
}
