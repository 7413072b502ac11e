/** The schema of the record of a piece, with its bounds; what is stored says its version. */
import { z } from 'zod';
import { FAULT_KINDS, FLAGS, NOTICED_BY, SIDES } from './record';

export const photoHash = z.string().regex(/^[0-9a-f]{64}$/, 'not-a-photo');
const text = (most: number) => z.string().trim().max(most);
const share = z.number().min(0).max(1);

export const pieceRecordSchema = z
  .strictObject({
    version: z.literal(1),
    photos: z.array(z.strictObject({ hash: photoHash, side: z.enum(SIDES) })).max(24),
    faults: z
      .array(
        z.strictObject({
          number: z.int().min(1).max(999),
          kind: z.enum(FAULT_KINDS),
          size: text(40),
          says: text(300),
          noticedBy: z.enum(NOTICED_BY),
          agreed: z.boolean(),
          at: z.strictObject({ hash: photoHash, x: share, y: share }).optional(),
        }),
      )
      .max(60),
    came: z.array(z.strictObject({ id: z.uuid(), what: text(120).min(1) })).max(20),
    flags: z.array(z.enum(FLAGS)).max(FLAGS.length),
    place: text(60),
  })
  .refine(({ photos }) => new Set(photos.map(({ hash }) => hash)).size === photos.length, 'photo-twice')
  .refine(({ faults }) => new Set(faults.map(({ number }) => number)).size === faults.length, 'fault-twice')
  .refine(
    ({ faults, photos }) => faults.every(({ at }) => !at || photos.some(({ hash }) => hash === at.hash)),
    'mark-without-photo',
  );

/** A signature as strokes of a pen: each a list of points, as thousandths of the width of the field. */
const point = z.tuple([z.int().min(0).max(1000), z.int().min(0).max(1000)]);
export const strokesSchema = z.array(z.array(point).min(1).max(2000)).min(1).max(200);

export const signedSchema = z.object({
  name: text(120).min(1),
  /** Null where it was signed on the printed receipt. */
  strokes: strokesSchema.nullable(),
  at: z.string(),
  byId: z.uuid().nullable(),
  value: z.int().min(0).nullable(),
  record: pieceRecordSchema,
});
