/** The places of the shop that a role may go to, in the order they stand in the bar; the rest is behind the name. */
import { type Audience, PAGES, type PageName, ROUTES, startOf } from './access';
import type { Role } from './commands';

type Place = readonly [name: string, href: PageName];
const IN_THE_BAR: readonly Place[] = [
  ['Desk', '/desk'],
  ['Quotes', '/quotes'],
  ['Board', '/board'],
  ['Bench', '/bench'],
  ['Rack', '/rack'],
  ['Collect', '/collect'],
  ['Customers', '/customers'],
  ['Till', '/till'],
  ['Books', '/books'],
];
const BEHIND_THE_NAME: readonly Place[] = [
  ['Sums', '/sums'],
  ['Your PIN', '/me'],
  ['Settings', '/settings'],
  ['Security', '/security'],
];
const may = (audience: Audience, role: Role) => typeof audience !== 'string' && audience.includes(role);

export function placesOf(role: Role) {
  const mine = (places: readonly Place[]) => places.filter(([, href]) => may(PAGES[href], role));
  return {
    places: mine(IN_THE_BAR),
    behind: mine(BEHIND_THE_NAME),
    home: startOf(role),
    finds: may(ROUTES['GET /api/find'], role),
  };
}
