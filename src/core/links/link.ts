/**
 * A link by which a customer sees one order: how it stands, and how often somebody may try. Source: 128 random bits of
 * which only a hash is kept, thirty days, withdrawn at once, ten tries a minute from an address.
 */

/** What a link holds: 128 random bits as 22 signs that can stand in an address. */
export const LINK_TOKEN = /^[A-Za-z0-9_-]{22}$/;
const TOKEN_BYTES = 16;
/** A new token, from the platform's own source of random bits. */
export function newToken(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(TOKEN_BYTES));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');
}

/** Days until a link ends by itself. */
export const LINK_DAYS = 30;

export type LinkState = 'open' | 'withdrawn' | 'over';
/** Why nobody is let in: too many tried from there, no such link, or one that has ended. */
export type Closed = 'too-many' | 'unknown' | Exclude<LinkState, 'open'>;
export const linkState = (
  // `over`: somebody came too late before.
  { expires, withdrawn, over }: { readonly expires: Date; readonly withdrawn: Date | null; readonly over: boolean },
  now: Date,
): LinkState => (withdrawn ? 'withdrawn' : over || now >= expires ? 'over' : 'open');

const MINUTE = 60_000;
export const TRIES = 10;
/** Tries of the last minute, in ms; answers those that count now. */
export const triesAt = (before: readonly number[], now: number): readonly number[] =>
  before.filter((at) => now - at < MINUTE);

/** How long a question at the payment page is waited for before the money that it holds back is free again. */
export const PAYING_MINUTES = 30;
/** Questions a customer may ask by one link. */
export const MOST_QUESTIONS = 20;
export const LONGEST_QUESTION = 600;

/** What can happen by a link and to it. */
export const LINK_EVENTS = [
  'made',
  'opened',
  'chose',
  'asked',
  'answered',
  'accepted',
  'refused',
  'paying',
  'paid',
  'not paid',
  'withdrawn',
  'came late',
] as const;
export type LinkWhat = (typeof LINK_EVENTS)[number];
