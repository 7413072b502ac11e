/** The schema of what a build asks of its own, from its declared fields. */
import { z } from 'zod';
import { LONGEST, type Length } from '../units/length';
import type { Field, Fields } from './fields';

const aSchema = (least: number) =>
  z.custom<Length>(
    (value) => typeof value === 'number' && Number.isSafeInteger(value) && value >= least && value <= LONGEST,
    'not-a-length',
  );
const schemaOf = (field: Field): z.ZodType => {
  const positive = aSchema(1);
  switch (field.kind) {
    case 'length':
      return aSchema(field.zero ? 0 : 1);
    case 'lengths':
      return z.array(positive).max(field.most);
    case 'sides':
      return z.object({ left: positive, right: positive, top: positive, bottom: positive });
    case 'size':
      return z.object({ w: positive, h: positive });
    case 'choice':
      return z.enum(field.of);
    case 'flag':
      return z.boolean();
  }
};

/** The schema of a design's `own`: every key may be absent, and then takes its default. */
export const ownSchema = (fields: Fields): z.ZodObject<Record<string, z.ZodOptional<z.ZodType>>> =>
  z.strictObject(Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, schemaOf(field).optional()])));
