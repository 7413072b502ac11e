/** An order being typed at the desk, as it is kept on the server for the person who types it. */
import { z } from 'zod';
import { wallSchema } from '@/core/wall/wall-schema';
import { MOST_OTHERS, choosingFields, lettersApart, otherSchema } from '@/core/design/candidates-schema';

const text = (most: number) => z.string().max(most);
const typed = z.record(text(200), text(400));
export const draftSchema = z.object({
  orderId: z.uuid(),
  customer: z
    .object({ id: z.uuid(), name: text(120), phone: text(40), email: text(120), orders: z.int().optional() })
    .nullable(),
  promised: z.iso.date(),
  wall: wallSchema.optional(),
  pieces: z
    .array(
      z
        .object({
          id: z.uuid(),
          ...choosingFields,
          others: z
            .array(otherSchema.extend({ typed: typed.optional() }))
            .max(MOST_OTHERS)
            .optional(),
          typed,
        })
        .refine(lettersApart, 'letter-twice'),
    )
    .min(1)
    .max(40),
});
/** A draft of nothing is one that is no longer kept. */
export const keptDraftSchema = z.object({
  version: z.int().min(0),
  base: z.int().nullable(),
  draft: draftSchema.nullable(),
});
export const LARGEST_DRAFT = 400_000;
/** An order that was never saved, or the id of one. */
export const draftKey = z.union([z.literal('new'), z.uuid()]);
