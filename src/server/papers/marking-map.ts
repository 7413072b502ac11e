/**
 * The marking map: at full size when it fits the page, with a ruler to check the printer by; from behind, and mirrored
 * from the front. Each mark stands in a list besides, from two named edges.
 */
import type { JobView } from '@/contract/views';
import { mapScene } from '@/core/drawing/marking-map';
import { Has } from '@/core/instructions/has';
import { type MarkRow, type MarkingMap, SEEN_FROM, markRows, markingMap } from '@/core/instructions/marking-map';
import { defaultSettings } from '@/core/settings';
import { type Unit, inches, mm, toMm } from '@/core/units/length';
import { stepName } from '@/words/bench';
import { markText } from '@/words/marks';
import { MARKING } from '@/words/screens/papers';
import { PAPERS, SOFT, Sheet } from './sheet';

const LEFT = 16;
const TOP = 44;
/** Room for the dimension lines left of and below the drawing. */
const ASIDE = 14;
const FOOT = 30;

type Paper = 'letter' | 'a4' | 'letter wide' | 'a4 wide';
/** The paper on which it fits at full size; upright where it does on neither. */
function paperFor(map: MarkingMap, unit: Unit): { paper: Paper; full: boolean } {
  const kind = unit === 'in' ? 'letter' : 'a4';
  const fits = (paper: Paper) => {
    const [w, h] = PAPERS[paper];
    return toMm(map.outside.w) <= w - 2 * LEFT - ASIDE && toMm(map.outside.h) <= h - TOP - ASIDE - FOOT;
  };
  const upright: Paper = kind;
  const wide: Paper = `${kind} wide`;
  return { paper: fits(upright) || !fits(wide) ? upright : wide, full: fits(upright) || fits(wide) };
}

/** A line of known length: whoever trusts the drawing lays a rule on it first. */
function ruler(sheet: Sheet, unit: Unit): void {
  const y = sheet.height - 17;
  const [long, step, count] = unit === 'in' ? [toMm(inches(4)), 25.4, 4] : [toMm(mm(100)), 10, 10];
  sheet.line([LEFT, y], [LEFT + long, y]);
  for (let at = 0; at <= count; at += 1) sheet.line([LEFT + at * step, y - 2], [LEFT + at * step, y + 2]);
  sheet.text(MARKING.ruler(unit), LEFT + long + 5, y + 1.4, { size: 9.5, colour: SOFT });
}

function listed(sheet: Sheet, rows: readonly MarkRow[], top: number, unit: Unit): void {
  let y = top;
  const wide = sheet.width - 2 * LEFT - 7;
  for (const [index, row] of rows.entries()) {
    if (index === 0 || rows[index - 1]!.step !== row.step) {
      y = sheet.room(y, 14);
      sheet.text(stepName(row.step), LEFT, y + 3, { size: 12, weight: 'bold' });
      y += 9;
    }
    const text = markText(row, unit);
    y = sheet.room(y, sheet.lines(text, wide).length * Sheet.lead(10.5) + 2);
    sheet.box(LEFT, y - 3.3, 3.6, 3.6);
    y = sheet.paragraph(text, LEFT + 7, y, wide) + 1.4;
  }
}

export async function markingMapPaper(job: JobView, shop: string, unit: Unit): Promise<Uint8Array> {
  const has = new Has(job.worked, defaultSettings(unit));
  const behind = markingMap(has);
  const { paper, full } = paperFor(behind, unit);
  const sheet = Sheet.open(paper, unit, MARKING.title(job.ticket));
  for (const [index, from] of SEEN_FROM.entries()) {
    if (index > 0) sheet.newPage();
    const map = from === 'behind' ? behind : markingMap(has, from);
    const right = sheet.width - LEFT;
    sheet.text(MARKING.head, LEFT, 22, { size: 20, weight: 'heavy' });
    sheet.text(job.ticket, right, 22, { size: 20, weight: 'heavy', align: 'right' });
    sheet.text(MARKING.seenFrom[from], LEFT, 30, { size: 12, weight: 'bold' });
    sheet.text(shop, right, 30, { size: 9.5, colour: SOFT, align: 'right' });
    sheet.text(full ? MARKING.fullSize : MARKING.toScale, LEFT, 36, { size: 10, colour: SOFT });
    const room = { w: sheet.width - 2 * LEFT - ASIDE, h: sheet.height - TOP - ASIDE - FOOT };
    const [w, h] = [toMm(map.outside.w), toMm(map.outside.h)];
    const scale = full ? 1 : Math.min(room.w / w, room.h / h);
    sheet.scene(mapScene(map, scale), LEFT + ASIDE, TOP, w * scale, h * scale, 8.5);
    if (full) ruler(sheet, unit);
  }
  sheet.newPage();
  sheet.text(MARKING.list, LEFT, 22, { size: 20, weight: 'heavy' });
  sheet.text(job.ticket, sheet.width - LEFT, 22, { size: 20, weight: 'heavy', align: 'right' });
  sheet.text(behind.framed ? MARKING.fromFrame : MARKING.fromPackage, LEFT, 30, { size: 11, colour: SOFT });
  listed(sheet, markRows(behind.marks), 38, unit);
  return sheet.done();
}
