/** Plans that were confirmed, one by one: for papers and lists. */
import Papa from 'papaparse';
import type { Queries } from '@/db/client';
import { type WholePlanRow, partsOfPlans } from '@/db/queries/rack';

export { planByNumber, rackByCode } from '@/db/queries/rack';

/** The jobs that a plan was made for. */
export const ticketsOfPlan = async (db: Queries, id: string): Promise<string[]> => [
  ...new Set((await partsOfPlans(db, [id])).map((part) => part.ticket)),
];

const tenth = (mm: number) => String(Math.round(mm * 1000) / 1000);

/** A plan as CSV, a row for each leg, part and piece that is kept; millimetres. */
export function planCsv({ request, plan }: WholePlanRow): string {
  const legs = new Map(
    request.sticks.frames.flatMap(({ legs: list }) => list.map((leg) => [leg.id, leg.length] as const)),
  );
  const parts = new Map(request.sheets.parts.map((part) => [part.id, part]));
  const rows: string[][] = [
    [
      'kind',
      'number',
      'source',
      'material',
      'what',
      'part',
      'at x mm',
      'at y mm',
      'length or width mm',
      'height mm',
      'turned',
    ],
  ];
  for (const [index, bar] of plan.sticks.bars.entries()) {
    const of = ['stick', String(index + 1), bar.source, bar.profile];
    for (const { leg, at } of bar.pieces) rows.push([...of, 'leg', leg, tenth(at), '', tenth(legs.get(leg)!), '', '']);
    if (bar.offcut > 0) rows.push([...of, 'keep', '', '', '', tenth(bar.offcut), '', '']);
  }
  for (const [index, sheet] of plan.sheets.sheets.entries()) {
    const of = ['sheet', String(index + 1), sheet.source, sheet.material];
    for (const { part, x, y, rotated } of sheet.parts) {
      const { w, h } = parts.get(part)!;
      rows.push([...of, 'part', part, tenth(x), tenth(y), tenth(w), tenth(h), rotated ? 'yes' : 'no']);
    }
    for (const { x, y, w, h } of sheet.offcuts)
      rows.push([...of, 'keep', '', tenth(x), tenth(y), tenth(w), tenth(h), '']);
  }
  return `${Papa.unparse(rows, { newline: '\n' })}\n`;
}
