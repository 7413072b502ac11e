/** What the payloads of commands are put together from, and who may ask. */
import { z } from 'zod';
import { MOST_MONEY } from '@/core/units/money';
import { type Role, WORKING } from './roles';

export const COUNTER: readonly Role[] = ['owner', 'counter'];
export const ALL: readonly Role[] = WORKING;

export const id = z.uuid();
/** As large as the database counts them. */
export const revision = z
  .int()
  .min(0)
  .max(2 ** 31 - 1);
/** A text with something to see in it, and none of the signs that turn or hide others. */
const seen = /[\p{L}\p{N}\p{P}\p{S}]/u;
const hiding = /[\p{Cc}\u061c\u200e\u200f\u202a-\u202e\u2066-\u2069]/u;
export const line = (most: number) =>
  z
    .string()
    .trim()
    .min(1)
    .max(most)
    .refine((text) => seen.test(text) && !hiding.test(text), 'not-seen');
/** Signs without a width of their own, and fillers that are blank: two names would differ by what nobody sees. */
const unseen = /[\p{Cf}\u034f\u115f\u1160\u17b4\u17b5\u3164\uffa0\ufe00-\ufe0f\u{e0100}-\u{e01ef}]/u;
/** What somebody or something is called. */
export const nameLine = (most: number) =>
  line(most).refine((text) => hiding.test(text) || !unseen.test(text), 'not-seen-within');
export const day = z.iso.date().refine((text) => text >= '2000-01-01' && text <= '2199-12-31', 'day-out-of-range');
export const amount = z.int().positive().max(MOST_MONEY);
/** A PIN as it is tried: one that was chosen before some were refused still opens. */
export const triedPin = z.string().max(20);
/** One digit again and again, or counted up from one or down to it: what is tried first. */
const easy = (pin: string) =>
  pin.length >= 4 && (/^(\d)\1+$/.test(pin) || '12345678'.startsWith(pin) || '87654321'.endsWith(pin));
export const pinSchema = z
  .string()
  .regex(/^\d{4,8}$/, 'not-a-pin')
  .refine((pin) => !easy(pin), 'pin-easy');
