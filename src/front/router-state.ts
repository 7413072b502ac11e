/**
 * Whether the state that Next's router sends along can be read. Next answers 500 to what it cannot, so it is looked over
 * before: by its shape as documented by its own schema, which a test holds this one against.
 */
import { z } from 'zod';

const LONGEST = 40_000;
const DYNAMIC = [
  'c',
  'ci(..)(..)',
  'ci(.)',
  'ci(..)',
  'ci(...)',
  'oc',
  'd',
  'di(..)(..)',
  'di(.)',
  'di(..)',
  'di(...)',
];

const segment = z.union([
  z.string(),
  z.tuple([z.string(), z.string(), z.enum(DYNAMIC), z.array(z.string()).nullable()]),
]);
const tree: z.ZodType = z.lazy(() =>
  z.tuple([
    segment,
    z.record(z.string(), tree),
    z.tuple([z.string(), z.string()]).nullable().optional(),
    z.enum(['refetch', 'inside-shared-layout', 'metadata-only']).nullable().optional(),
    z.number().nullable().optional(),
    z.string().optional(),
  ]),
);

export function isRouterState(text: string): boolean {
  if (text.length > LONGEST) return false;
  try {
    return tree.safeParse(JSON.parse(decodeURIComponent(text))).success;
  } catch {
    return false;
  }
}
