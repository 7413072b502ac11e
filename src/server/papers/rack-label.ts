/** A label for a piece of the rack: its code to scan, what it is, its size and place. */
import bwipjs from 'bwip-js/node';
import type { Unit } from '@/core/units/length';
import type { RackRow } from '@/db/queries/rack';
import { SOFT, Sheet } from './sheet';
import { RACK_LABEL } from '@/words/screens/papers';

const LEFT = 4;

export async function rackLabel(piece: RackRow, name: string, unit: Unit): Promise<Uint8Array> {
  const sheet = Sheet.open('label', unit, RACK_LABEL.label(piece.code));
  const right = sheet.width - LEFT;
  sheet.text(piece.code, LEFT, 11, { size: 24, weight: 'heavy' });
  const code = await bwipjs.toBuffer({ bcid: 'code128', text: piece.code, scale: 4, height: 12, includetext: false });
  sheet.image(code, right - 40, 4, 40, 10);
  const size =
    piece.height === null
      ? sheet.length(piece.length)
      : `${sheet.length(piece.length, { bare: true })} × ${sheet.length(piece.height)}`;
  sheet.text(size, LEFT, 23, { size: 20, weight: 'bold' });
  sheet.text(name, LEFT, 29, { size: 10.5 });
  const more = [piece.material, piece.batch && RACK_LABEL.batch(piece.batch), piece.place].filter(Boolean).join(', ');
  sheet.text(more, LEFT, 34, { size: 9.5, colour: SOFT });
  return sheet.done();
}
