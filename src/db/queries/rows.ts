/** Reads a row as its schema says; a row that does not fit is a fault of the program and is thrown. */
import { z } from 'zod';

/** Who did something: a person's id, or null for the program itself. */
export type By = string | null;
/** Who asks by a customer's link, where a name is shown. */
export const BY_LINK = 'By link';
/** The name of that person, as a join finds it. */
export const named = z
  .string()
  .nullable()
  .transform((name) => name ?? 'Lopren');

export const readRows = <S extends z.ZodType>(schema: S, rows: readonly unknown[]): z.infer<S>[] =>
  rows.map((row) => schema.parse(row));
export const readRow = <S extends z.ZodType>(schema: S, rows: readonly unknown[]): z.infer<S> | undefined =>
  rows.length === 0 ? undefined : schema.parse(rows[0]);
