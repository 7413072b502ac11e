/** The schema of the other designs of a piece. */
import { z } from 'zod';
import { LETTERS } from './candidates';
import { designSchema } from './schema';

export const letterSchema = z.enum(LETTERS);
export const MOST_OTHERS = LETTERS.length - 1;
export const otherSchema = z.object({
  letter: letterSchema,
  design: designSchema,
  declined: z.literal(true).optional(),
});
/** One piece of an order as it comes: its design, and others of it that were compared. */
export const choosingFields = {
  design: designSchema,
  letter: letterSchema.optional(),
  others: z.array(otherSchema).max(MOST_OTHERS).optional(),
};
export const lettersApart = ({
  letter = LETTERS[0],
  others = [],
}: {
  letter?: string | undefined;
  others?: { letter: string }[] | undefined;
}): boolean => new Set([letter, ...others.map((one) => one.letter)]).size === others.length + 1;
