/** What a batch says: one design over many pieces. */
import type { Equal } from '@/core/design/batch';

export const MANY = {
  open: 'Many pieces, this design',
  head: 'One design over many pieces',
  rows: 'One piece a line: a size, or a name; a size',
  example: 'Wading birds I; 8 x 10\nWading birds II; 8 x 10 1/2\n5 x 7',
  equal: 'What stays equal',
  equals: { border: 'The border', outside: 'The outside', opening: 'The opening' } satisfies Readonly<
    Record<Equal, string>
  >,
  add: (count: number) => (count === 1 ? 'Add 1 piece' : `Add ${count} pieces`),
  most: (most: number, there: number) =>
    `An order holds ${most} pieces; ${there} are there. Begin another order for the rest.`,
  measureFirst: 'Measure this piece first: what stays equal is read off it.',
  leave: 'Leave it',
} as const;
