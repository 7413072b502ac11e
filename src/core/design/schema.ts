/** The schema of a stored design of any build. Apart from the types and values, so that a page that only computes ships no schema. */
import { z } from 'zod';
import { BUILD_CODES, BUILDS, type BuildCode } from '../builds';
import { ownSchema } from '../builds/own-schema';
import { commonFields } from './common-schema';
import type { Design } from './design';

export const designSchema = z.discriminatedUnion(
  'build',
  BUILD_CODES.map((build) =>
    z.object({ ...commonFields, build: z.literal(build), own: ownSchema(BUILDS[build].fields).optional() }),
  ) as unknown as readonly [z.ZodObject<typeof commonFields & { build: z.ZodLiteral<BuildCode> }>],
) as unknown as z.ZodType<Design>;
