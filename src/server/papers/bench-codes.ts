/** A sheet to hang at the bench: what a scanner reads instead of a tap. */
import bwipjs from 'bwip-js/node';
import { SCAN_CODES } from '@/core/route/scan-codes';
import type { Unit } from '@/core/units/length';
import { CODES } from '@/words/screens/papers';
import { SOFT, Sheet } from './sheet';

const LEFT = 24;
const CODE_WIDE = 90;
const ROW = 42;

export async function benchCodes(shop: string, unit: Unit): Promise<Uint8Array> {
  const sheet = Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, CODES.title);
  sheet.text(CODES.title, LEFT, 26, { size: 22, weight: 'heavy' });
  sheet.text(shop, sheet.width - LEFT, 26, { size: 11, colour: SOFT, align: 'right' });
  let y = 42;
  for (const [act, text] of Object.entries(SCAN_CODES) as [keyof typeof SCAN_CODES, string][]) {
    const code = await bwipjs.toBuffer({ bcid: 'code128', text, scale: 4, height: 14, includetext: false });
    sheet.image(code, LEFT, y, CODE_WIDE, 22);
    sheet.text(CODES.acts[act].name, LEFT + CODE_WIDE + 10, y + 9, { size: 20, weight: 'heavy' });
    sheet.text(CODES.acts[act].does, LEFT + CODE_WIDE + 10, y + 17, { size: 10.5, colour: SOFT });
    y += ROW;
  }
  return sheet.done();
}
