/** Templates at full size, over as many pages as they take, with marks to lay the pages together by. */
import type { JobView } from '@/contract/views';
import { templatesOf, tiles } from '@/core/drawing/template';
import { type Unit, inches, mm, toMm } from '@/core/units/length';
import { TEMPLATES } from '@/words/screens/papers';
import { SOFT, Sheet } from './sheet';

const EDGE = 14;
const HEAD = 30;
const FOOT = 24;
const TICK = 5;

/** A frame to cut along, and a cross at each of its corners. */
function cutFrame(sheet: Sheet, w: number, h: number): void {
  const [left, top] = [EDGE, HEAD];
  for (const [x, y] of [
    [left, top],
    [left + w, top],
    [left, top + h],
    [left + w, top + h],
  ] as const) {
    sheet.line([x - TICK, y], [x + TICK, y], SOFT, 0.4);
    sheet.line([x, y - TICK], [x, y + TICK], SOFT, 0.4);
  }
}

/** Undefined for a piece that has nothing to be cut round. */
export async function templatesPaper(job: JobView, shop: string, unit: Unit): Promise<Uint8Array | undefined> {
  const templates = templatesOf(job.worked.sizes.figures);
  if (templates.length === 0) return undefined;
  const sheet = Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, TEMPLATES.title(job.ticket));
  const page = { w: sheet.width - 2 * EDGE, h: sheet.height - HEAD - FOOT };
  let first = true;
  for (const { name, count, w, h, scene } of templates)
    for (const tile of tiles(w, h, page)) {
      if (!first) sheet.newPage();
      first = false;
      sheet.scene(scene, EDGE - tile.x, HEAD - tile.y, w, h, 9);
      cutFrame(sheet, page.w, page.h);
      // What lies beyond the frame is of the page beside it.
      sheet.cover(0, 0, sheet.width, HEAD - TICK);
      sheet.cover(0, HEAD + page.h + TICK, sheet.width, FOOT);
      sheet.text(TEMPLATES.head(name, count), EDGE, 14, { size: 14, weight: 'heavy' });
      sheet.text(`${job.ticket}, ${tile.name}`, sheet.width - EDGE, 14, { size: 14, weight: 'heavy', align: 'right' });
      sheet.text(TEMPLATES.join, EDGE, 20, { size: 9.5, colour: SOFT });
      const long = unit === 'in' ? toMm(inches(4)) : toMm(mm(100));
      const y = sheet.height - 11;
      sheet.line([EDGE, y], [EDGE + long, y]);
      sheet.line([EDGE, y - 2], [EDGE, y + 2]);
      sheet.line([EDGE + long, y - 2], [EDGE + long, y + 2]);
      sheet.text(`${TEMPLATES.ruler(unit)} ${shop}`, EDGE + long + 5, y + 1.4, { size: 9, colour: SOFT });
    }
  return sheet.done();
}
