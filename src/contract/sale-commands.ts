/** Quotes and what becomes of them: agreed, shown by a link, changed after yes. */
import { z } from 'zod';
import { choosingFields, letterSchema, lettersApart } from '@/core/design/candidates-schema';
import { designSchema } from '@/core/design/schema';
import { LINK_TOKEN, LONGEST_QUESTION } from '@/core/links/link';
import { MOST_MONEY } from '@/core/units/money';
import { wallSchema } from '@/core/wall/wall-schema';
import { COUNTER, day, id, line, nameLine, revision, triedPin } from './payload-parts';
import type { Role } from './roles';

export const saleCommands = {
  'save-quote': {
    roles: COUNTER,
    payload: z.object({
      orderId: id,
      /** Null for an order that was never saved. */
      revision: revision.nullable(),
      customerId: id,
      promised: day,
      pieces: z
        .array(z.object({ id, ...choosingFields }).refine(lettersApart, 'letter-twice'))
        .min(1)
        .max(40),
      /** Where it will hang; left as it is when it is not said. */
      wall: wallSchema.optional(),
      /** An owner's, where more is taken off a price than the person may. */
      pin: triedPin.optional(),
    }),
    secret: ['pin'],
  },
  /** An open quote once more, at today's prices. */
  're-quote': { roles: COUNTER, payload: z.strictObject({ orderId: id, revision }) },
  'accept-order': {
    roles: COUNTER,
    payload: z.object({
      orderId: id,
      revision,
      /** The total the customer saw, so that nothing else is agreed. */
      total: z.int().min(0).max(MOST_MONEY),
      /** Why each warning is accepted: `pieceId:code` -> reason. */
      reasons: z.record(z.string().max(80), line(300)),
    }),
  },
  /** A link by which the customer sees the order as it is now; the token is made by whoever asks and kept as a hash. */
  'make-link': {
    roles: COUNTER,
    payload: z.strictObject({
      linkId: id,
      orderId: id,
      revision,
      token: z.string().regex(LINK_TOKEN, 'link-token'),
      reasons: z.record(z.string().max(80), line(300)),
    }),
    secret: ['token'],
  },
  'withdraw-link': { roles: COUNTER, payload: z.strictObject({ linkId: id }) },
  'answer-question': { roles: COUNTER, payload: z.strictObject({ linkId: id, text: line(LONGEST_QUESTION) }) },
  /** A design that the house begins with; one of the same name gives way. */
  'keep-house-design': { roles: COUNTER, payload: z.strictObject({ id, name: nameLine(80), design: designSchema }) },
  'drop-house-design': { roles: COUNTER, payload: z.strictObject({ id }) },
  /** What a customer does by a link; the program gives these for who knows its token. */
  'link-choose': {
    roles: [] as readonly Role[],
    internal: true,
    payload: z.strictObject({ linkId: id, revision, pieceId: id, letter: letterSchema }),
  },
  'link-ask': {
    roles: [] as readonly Role[],
    internal: true,
    payload: z.strictObject({ linkId: id, text: line(LONGEST_QUESTION) }),
  },
  'link-accept': {
    roles: [] as readonly Role[],
    internal: true,
    payload: z.strictObject({ linkId: id, revision, total: z.int().min(0).max(MOST_MONEY), name: nameLine(120) }),
  },
  'link-pay': { roles: [] as readonly Role[], internal: true, payload: z.strictObject({ linkId: id, requestId: id }) },
  /** An agreed order becomes another: its day, its words, its designs; what was cut for the former one is paid or not. */
  'change-agreed': {
    roles: COUNTER,
    payload: z.strictObject({
      orderId: id,
      revision,
      promised: day,
      pieces: z
        .array(z.strictObject({ id, design: choosingFields.design }))
        .min(1)
        .max(40),
      /** Of what was cut for the former design of a piece, what the customer pays; said for each that is begun. */
      paid: z.record(id, z.int().min(0).max(MOST_MONEY)),
      total: z.int().min(0).max(MOST_MONEY),
      reasons: z.record(z.string().max(80), line(300)),
      pin: triedPin.optional(),
    }),
    secret: ['pin'],
  },
} as const;
