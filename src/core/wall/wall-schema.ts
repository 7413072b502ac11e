/** The schema of a wall as it is kept with an order. */
import { z } from 'zod';
import { LONGEST, type Length } from '../units/length';
import { THINGS } from './wall';

const place = z.custom<Length>(
  (value) => typeof value === 'number' && Number.isSafeInteger(value) && Math.abs(value) <= LONGEST,
  'not-a-length',
);
export const wallSchema = z.strictObject({
  colour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/)
    .optional(),
  thing: z.enum(THINGS).optional(),
  hung: z
    .array(z.strictObject({ id: z.uuid(), x: place, y: place }))
    .max(40)
    .optional(),
});
