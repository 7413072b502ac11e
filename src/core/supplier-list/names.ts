/** The lists of the books that come in and go out as tables, and how a supplier's columns are put under ours. */
export const LIST_NAMES = ['mouldings', 'mats', 'glazings', 'backings'] as const;
export type ListName = (typeof LIST_NAMES)[number];

/** Where a column of ours comes from: a column of the file, by its name, or the same text in every row. */
export type ColumnSource = { readonly from: string } | { readonly same: string };
export type ColumnMap = Readonly<Record<string, ColumnSource>>;
