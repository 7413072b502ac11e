/**
 * Long loops over made-up instances in two lengths: with `npm run wide` all of it, in `npm test` a quarter. Seeds are the
 * same, so that the short form is the beginning of the long one.
 */
const SHARE = 4;
export const WIDE = process.env.WIDE === '1';
/** How many rounds are tried now, of so many. */
export const rounds = (all: number): number => (WIDE ? all : Math.ceil(all / SHARE));
