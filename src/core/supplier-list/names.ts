/** The lists of the books that come in and go out as tables, and how a supplier's columns are put under ours. */
import { z } from 'zod';

export const LIST_NAMES = ['mouldings', 'mats', 'glazings', 'backings'] as const;
export type ListName = (typeof LIST_NAMES)[number];

/** Where a column of ours comes from: a column of the file, by its name, or the same text in every row. */
export type ColumnSource = { readonly from: string } | { readonly same: string };
export type ColumnMap = Readonly<Record<string, ColumnSource>>;
const MOST_COLUMNS = 40;
export const columnMapSchema: z.ZodType<ColumnMap> = z
  .record(
    z.string().max(40),
    z.union([z.strictObject({ from: z.string().max(200) }), z.strictObject({ same: z.string().max(120) })]),
  )
  .refine((map) => Object.keys(map).length <= MOST_COLUMNS, 'columns-many');
