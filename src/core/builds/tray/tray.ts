/**
 * A flat base with a raised lip; the piece is fixed on the base from behind with a border of it seen.
 * Source: handbook, builds 7; R12, R53.
 */
import { legsOf, walledFrame } from '../../sizing/frame';
import { type Length, type Size, inches, minus, mm, plus, size, times } from '../../units/length';
import type { WorkingsLog } from '../../working';
import { build } from '../build';
import { aLength, both } from '../fields';
import { packageOfPiece } from '../lay-ups';
import { pieceLayer } from '../layers';

export interface TraySizes {
  readonly inside: Size;
  readonly baseWidth: Length;
}
/** `inside = A + 2·showBorder`; the base is as wide as what shows and what lies under the piece. */
export function traySizes(piece: Size, showBorder: Length, under: Length, log: WorkingsLog): TraySizes {
  const inside = log.size('sizes.inside', 'inside', 'piece + 2 × border of base seen', (key) => [
    plus(piece[key], times(showBorder, 2)),
    { piece: piece[key], 'border of base seen': showBorder },
  ]);
  const baseWidth = log.note(
    'sizes.baseWidth',
    'base width',
    'border of base seen + under the piece',
    { 'border of base seen': showBorder, 'under the piece': under },
    plus(showBorder, under),
  );
  return { inside, baseWidth };
}

export const tray = build({
  publicName: 'tray',
  usualPiece: { kind: 'panel', thickness: both(inches(0, 3, 4), mm(18)) },
  pressesOnFace: true,
  walled: true,
  groundOfMoulding: true,
  standInFace: (own) => (own.lip as Length | undefined) ?? mm(10),
  fields: {
    showBorder: aLength({ usual: both(inches(2), mm(50)) }),
    toOuterFace: aLength({}),
    lip: aLength({ usual: both(inches(0, 3, 8), mm(10)) }),
    under: aLength({ usual: both(inches(0, 1, 2), mm(12)) }),
    pieceDepth: aLength({}),
  },
  uses: ['moulding'],
  allowance: (settings) => settings.allowance,
  work: { 'cut-legs': 10, mount: 12 },
  layUp: (job, own) => {
    const { moulding, settings, log: log, piece, design } = job;
    const showBorder = own.toOuterFace ? minus(own.toOuterFace, own.lip) : own.showBorder;
    const { inside, baseWidth } = traySizes(piece.larger, showBorder, own.under, log);
    const of = walledFrame(inside, own.lip, plus(own.lip, baseWidth), log);
    const shortBase = size(minus(piece.larger.w, times(own.under, 2)), minus(piece.larger.h, times(own.under, 2)));
    const step = settings.cuttingStep;
    return {
      package: packageOfPiece(job),
      matted: undefined,
      frames: [
        {
          of: 'frame',
          moulding,
          package: piece.larger,
          rabbet: undefined,
          inside,
          ...of,
          legs: [
            ...legsOf('base', 'Base', inside, undefined, shortBase, step),
            ...legsOf('lip', 'Lip', of.outside, undefined, inside, step),
          ],
        },
      ],
      layers: [pieceLayer(job, own.pieceDepth ?? design.piece.thickness)],
      loose: [],
      hardware: [{ item: 'screw', count: 4 }],
      figures: { baseWidth, showBorder },
      counts: {},
      depth: undefined,
      held: 'nothing',
      insets: plus(own.lip, baseWidth),
    };
  },
});
