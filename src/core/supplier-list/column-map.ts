/** How columns were put under ours, as it is stored or sent. */
import { z } from 'zod';
import type { ColumnMap } from './names';

const MOST_COLUMNS = 40;
export const columnMapSchema: z.ZodType<ColumnMap> = z
  .record(
    z.string().max(40),
    z.union([z.strictObject({ from: z.string().max(200) }), z.strictObject({ same: z.string().max(120) })]),
  )
  .refine((map) => Object.keys(map).length <= MOST_COLUMNS, 'columns-many');
