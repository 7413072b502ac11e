/** Open quotes in the order somebody goes through them, and what they come to. */

export const QUOTE_ORDERS = ['ends', 'age', 'value'] as const;
export type QuoteOrder = (typeof QUOTE_ORDERS)[number];
/** A quote that holds so many days or fewer runs out soon. */
export const SOON_DAYS = 3;

interface Line {
  readonly number: number;
  readonly age: number;
  readonly left: number;
  readonly total: number | null;
}
const BY: Readonly<Record<QuoteOrder, (a: Line, b: Line) => number>> = {
  ends: (a, b) => a.left - b.left,
  age: (a, b) => b.age - a.age,
  value: (a, b) => (b.total ?? -1) - (a.total ?? -1),
};
/** Those that still hold before those that ran out; within each as asked, then by number. */
export const inOrder = <L extends Line>(lines: readonly L[], by: QuoteOrder): L[] =>
  lines.toSorted((a, b) => Number(a.left < 0) - Number(b.left < 0) || BY[by](a, b) || a.number - b.number);

export interface QuoteSum {
  readonly count: number;
  readonly total: number;
}
/** How many there are of which kind, and what they come to; what runs out soon is counted with what holds as well. */
export function sumsOf(lines: readonly Line[]): Readonly<Record<'holds' | 'soon' | 'over', QuoteSum>> {
  const of = (those: readonly Line[]): QuoteSum => ({
    count: those.length,
    total: those.reduce((sum, { total }) => sum + (total ?? 0), 0),
  });
  return {
    holds: of(lines.filter(({ left }) => left >= 0)),
    soon: of(lines.filter(({ left }) => left >= 0 && left <= SOON_DAYS)),
    over: of(lines.filter(({ left }) => left < 0)),
  };
}
/** Whole days from one day to another, as `2026-12-03`. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);
