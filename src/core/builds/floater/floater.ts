/**
 * A canvas or panel standing in an L-shaped frame with a gap, no glass. Legs are measured on the inside.
 * Source: handbook, builds 5; R12, R27, R28, R60, R62.
 */
import type { Settings } from '../../settings';
import { legsOf, walledFrame } from '../../sizing/frame';
import { type Length, type Size, inches, length, minus, mm, plus, times } from '../../units/length';
import type { WorkingsLog } from '../../working';
import { screwFor, screwsOnSide } from '../../parts/screws';
import { type Hardware, type Loose, build } from '../build';
import { aLength, both } from '../fields';
import { packageOfPiece } from '../lay-ups';
import { pieceLayer } from '../layers';

export const insideOf = (piece: Size, gap: Length, log: WorkingsLog): Size =>
  log.size('sizes.inside', 'inside', 'piece + 2 × gap', (key) => [
    plus(piece[key], times(gap, 2)),
    { piece: piece[key], gap },
  ]);

export interface Riser {
  readonly riser: Length;
  /** How far the piece stands out of the frame. */
  readonly proud: Length;
  /** How far below the face it really sits. */
  readonly setBack: Length;
  readonly needed: boolean;
  readonly blocks: number;
}
/** `riser = innerDepth − pieceDepth − setBack`; blocks by the side of the piece, one in the middle or two (R28). */
export function riserOf(
  piece: Size,
  depths: { innerDepth: Length; pieceDepth: Length; setBack: Length; riserMin: Length },
  settings: Pick<Settings, 'screwStep'>,
  log: WorkingsLog,
): Riser {
  const { innerDepth, pieceDepth, setBack, riserMin } = depths;
  const riser = log.note(
    'sizes.riser',
    'riser under the piece',
    'inner depth − piece depth − set back',
    { 'inner depth': innerDepth, 'piece depth': pieceDepth, 'set back': setBack },
    minus(innerDepth, pieceDepth, setBack),
  );
  const needed = riser >= riserMin && riser > 0;
  const onSide = (side: Length) => (side <= settings.screwStep ? 1 : 2);
  return {
    riser,
    proud: log.note(
      'sizes.proud',
      'stands out of the frame',
      'larger of (piece depth − inner depth, 0)',
      { 'piece depth': pieceDepth, 'inner depth': innerDepth },
      pieceDepth > innerDepth ? minus(pieceDepth, innerDepth) : length(0),
    ),
    setBack: riser >= 0 ? setBack : pieceDepth > innerDepth ? length(0) : minus(innerDepth, pieceDepth),
    needed,
    blocks: needed ? 2 * (onSide(piece.w) + onSide(piece.h)) : 0,
  };
}

/** Shims of one thickness that fit the gap on one side. */
export const shimsASide = (gap: Length, card: Length): number => Math.floor(gap / card);

/** The fewest shims of stocked thicknesses that fill a gap from below within `clear`, then the fullest; none within: the fullest (R60). */
export function shims(gap: Length, stocked: readonly Length[], clear: Length): { count: number; fill: Length } {
  const fewest = new Map<number, number>([[0, 0]]);
  const sorted = [...new Set(stocked)].sort((a, b) => b - a);
  for (let fill = 1; fill <= gap; fill += 1) {
    let best: number | undefined;
    for (const measure of sorted) {
      const before = fewest.get(fill - measure);
      if (before !== undefined && (best === undefined || before + 1 < best)) best = before + 1;
    }
    if (best !== undefined) fewest.set(fill, best);
  }
  const all = [...fewest].filter(([fill]) => fill <= gap);
  const within = all.filter(([fill]) => fill > gap - clear);
  const [fill, count] = (within.length > 0 ? within : all.sort((a, b) => b[0] - a[0]).slice(0, 1)).reduce(
    (best, one) => (one[1] < best[1] || (one[1] === best[1] && one[0] > best[0]) ? one : best),
  );
  return { count, fill: length(fill) };
}

export const floater = build({
  publicName: 'floater frame',
  usualPiece: { kind: 'canvas', thickness: both(inches(0, 3, 4), mm(18)) },
  ground: '#2b2a27',
  pressesOnFace: true,
  walled: true,
  withoutShadow: true,
  standInFace: (own) => own.wall as Length | undefined,
  fields: {
    gap: aLength({ usual: both(inches(0, 1, 8), mm(3)) }),
    wall: aLength({}),
    innerDepth: aLength({}),
    pieceDepth: aLength({}),
    setBack: aLength({ usual: both(length(0), length(0)), zero: true }),
    riserMin: aLength({ usual: both(inches(0, 1, 16), mm(1.5)), zero: true }),
    cardThickness: aLength({}),
    floor: aLength({}),
    bar: aLength({}),
    fixing: { kind: 'choice', of: ['oversized holes', 'screwed hard', 'glued blocks'] },
    ringsOn: { kind: 'choice', of: ['back', 'inner wall'] },
    strainer: { kind: 'flag' },
  },
  uses: ['moulding'],
  allowance: (settings) => settings.allowance,
  work: { mount: 14 },
  layUp: (job, own) => {
    const { design, moulding, settings, log: log, piece } = job;
    const wall = own.wall ?? moulding.faceWidth;
    const innerDepth = own.innerDepth ?? moulding.rabbetDepth;
    const pieceDepth = own.pieceDepth ?? design.piece.thickness;
    const inside = insideOf(piece.larger, own.gap, log);
    const of = walledFrame(inside, wall, wall, log);
    const rise = riserOf(
      piece.larger,
      { innerDepth, pieceDepth, setBack: own.setBack, riserMin: own.riserMin },
      settings,
      log,
    );
    const pack = packageOfPiece(job);
    const screws = 2 * (screwsOnSide(piece.larger.w, settings) + screwsOnSide(piece.larger.h, settings));
    const screw =
      own.floor && own.bar ? screwFor(own.floor, rise.needed ? rise.riser : length(0), own.bar, settings) : undefined;
    const shimCount = own.cardThickness ? shimsASide(own.gap, own.cardThickness) : 0;
    const hardware: Hardware[] = [
      ...(own.fixing === 'glued blocks'
        ? []
        : [{ item: 'screw', count: screws, ...(screw?.recommend ? { length: screw.recommend } : {}) } as const]),
      ...(own.fixing === 'oversized holes' ? [{ item: 'washer', count: screws } as const] : []),
      ...(rise.blocks > 0 ? [{ item: 'riser block', count: rise.blocks } as const] : []),
      ...(shimCount > 0 ? [{ item: 'shim', count: 4 * shimCount } as const] : []),
    ];
    const riserSize = {
      part: 'riser block',
      name: 'Riser blocks, barrier film over raw wood',
      count: rise.blocks,
      height: rise.riser,
      into: true,
    };
    const strainer: Loose[] = own.strainer
      ? [
          { part: 'strainer', name: 'Strainer, inside painted dark', count: 2, length: inside.w, into: true },
          { part: 'strainer', name: 'Strainer, inside painted dark', count: 2, length: inside.h, into: true },
        ]
      : [];
    return {
      package: pack,
      matted: undefined,
      frames: [
        {
          of: 'frame',
          moulding,
          package: pack,
          rabbet: undefined,
          inside,
          ...of,
          legs: legsOf('frame', moulding.name, of.outside, undefined, inside, settings.cuttingStep),
        },
      ],
      layers: [pieceLayer(job, pieceDepth)],
      loose: [...(rise.blocks > 0 ? [riserSize] : []), ...strainer],
      hardware,
      figures: {
        riser: rise.riser,
        proud: rise.proud,
        setBack: rise.setBack,
        ...(own.strainer ? { strainer: inside } : {}),
        ...(own.cardThickness ? { shimsOff: minus(own.gap, times(own.cardThickness, shimCount)) } : {}),
        ...(screw ? { screwAtLeast: screw.atLeast, screwAtMost: screw.atMost } : {}),
      },
      counts: {
        riserNeeded: rise.needed,
        riserBlocks: rise.blocks,
        ...(own.cardThickness ? { shimsASide: shimCount } : {}),
      },
      depth: undefined,
      held: 'nothing',
      gap: own.gap,
      insets: own.ringsOn === 'inner wall' ? times(wall, 2) : wall,
    };
  },
});
