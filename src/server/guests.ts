/**
 * Whoever holds a link to an order, and nothing else of the shop. The only way to a `Guest` is a token that is known,
 * not withdrawn and not over. Once it was seen over it stays so, also when the clock is put back. Wrong ones are counted
 * by address.
 */
import { type Closed, LINK_TOKEN, type LinkWhat, TRIES, linkState, triesAt } from '@/core/links/link';
import { insertLinkEvent, lastOf, linkByHash } from '@/db/queries/links';
import type { AppContext } from './app-context';
import { hashOfToken } from './commands/links';
import { logSecurity } from './security-log';

declare const by_link: unique symbol;
export interface Guest {
  readonly [by_link]: true;
  readonly app: AppContext;
  readonly linkId: string;
  readonly orderId: string;
  readonly expires: Date;
}

const MOST_ADDRESSES = 1000;

/** Counts a wrong try of this address; whether it is one too many. A right one is 128 bits: nobody guesses it, and it always opens. */
function tooMany(app: AppContext, address: string): boolean {
  const { linkTries: mine } = app.mind;
  const now = performance.now();
  const lately = triesAt(mine.get(address) ?? [], now);
  if (mine.size > MOST_ADDRESSES) mine.clear();
  if (lately.length >= TRIES) return true;
  mine.set(address, [...lately, now]);
  return false;
}

/** What is done by one link within a minute, at most. */
const ACTS = 30;
export function overActing({ app, linkId }: Guest): boolean {
  const { linkTries: mine } = app.mind;
  const now = performance.now();
  const lately = triesAt(mine.get(linkId) ?? [], now);
  mine.set(linkId, [...lately, now].slice(-ACTS - 1));
  return lately.length >= ACTS;
}

const HOUR = 3_600_000;
/** Written down at most once an hour: that somebody looked. */
async function noted(app: AppContext, linkId: string, what: LinkWhat): Promise<void> {
  const now = app.clock.now();
  const before = await lastOf(app.db, linkId, what);
  if (before && now.getTime() - before.getTime() < HOUR) return;
  await app.db.transaction((tx) => insertLinkEvent(tx, linkId, { at: now, what }));
}

export async function guestOf(app: AppContext, token: string, address: string): Promise<Guest | Closed> {
  const link = LINK_TOKEN.test(token) ? await linkByHash(app.db, hashOfToken(token)) : undefined;
  if (!link) {
    if (tooMany(app, address)) return 'too-many';
    await logSecurity(app, { what: 'link guessed', address });
    return 'unknown';
  }
  const state = linkState({ expires: link.expires_at, withdrawn: link.withdrawn_at, over: link.over }, app.clock.now());
  await noted(app, link.id, state === 'open' ? 'opened' : 'came late');
  if (state !== 'open') return state;
  return { app, linkId: link.id, orderId: link.order_id, expires: link.expires_at } as Guest;
}
