/** Reads a row as its schema says; a row that does not fit is a fault of the program and is thrown. */
import type { z } from 'zod';

export const readRows = <S extends z.ZodType>(schema: S, rows: readonly unknown[]): z.infer<S>[] =>
  rows.map((row) => schema.parse(row));
export const readRow = <S extends z.ZodType>(schema: S, rows: readonly unknown[]): z.infer<S> | undefined =>
  rows.length === 0 ? undefined : schema.parse(rows[0]);
