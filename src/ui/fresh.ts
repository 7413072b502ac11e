/** Which views are asked again when something changed: those that care for what was touched, each once for a command. */
import type { QueryClient } from '@tanstack/react-query';

/** `order` and `order:` are every order, `order:ID` is one: of two, one is the other or holds it. */
const kind = (name: string) => (name.endsWith(':') ? name : `${name}:`);
const meets = (care: string, touched: string) =>
  kind(touched).startsWith(kind(care)) || (touched.endsWith(':') && kind(care).startsWith(touched));
export const caresFor = (cares: readonly string[], touched: readonly string[]): boolean =>
  cares.some((care) => touched.some((one) => meets(care, one)));

/** Asks again what cares for that; everything where nothing is named. Resolves when what is shown is new. */
export const lookAgain = (client: QueryClient, touched?: readonly string[]): Promise<void> =>
  client.invalidateQueries({
    predicate: ({ meta }) => touched === undefined || caresFor((meta?.cares ?? []) as readonly string[], touched),
  });

/** Commands whose changes were looked at, by their answer or over the live line, whichever came first. */
const looked = new Map<string, Promise<void>>();
const MOST_KEPT = 999;

/** The same, once for a command, however often it is told; resolves when that one look is over. */
export function lookOnce(id = '', client: QueryClient, touched?: readonly string[]): Promise<void> {
  const looking = looked.get(id) ?? lookAgain(client, touched);
  // A page that is open for weeks forgets all of them now and then.
  if (looked.size > MOST_KEPT) looked.clear();
  if (id) looked.set(id, looking);
  return looking;
}
