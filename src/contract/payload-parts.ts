/** What the payloads of commands are put together from, and who may ask. */
import { z } from 'zod';
import { MOST_MONEY } from '@/core/units/money';
import { type Role, WORKING } from './roles';

export const COUNTER: readonly Role[] = ['owner', 'counter'];
export const ALL: readonly Role[] = WORKING;

export const id = z.uuid();
export const revision = z.int().min(0);
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
export const day = z.iso.date().refine((text) => text >= '2000-01-01' && text <= '2199-12-31', 'day-out-of-range');
export const amount = z.int().positive().max(MOST_MONEY);
export const pinSchema = z.string().regex(/^\d{4,8}$/, 'not-a-pin');
