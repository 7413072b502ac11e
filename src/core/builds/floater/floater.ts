/**
 * A canvas or panel standing in an L-shaped frame with a gap, no glass. Legs are measured on the inside.
 * A rigid print lies on a strainer and is held by tape on riser strips; no screw goes into it.
 * Source: handbook, builds 5 and variants; R12, R27, R28, R60, R62, R70.
 */
import type { Settings } from '../../settings';
import { legsOf, walledFrame } from '../../sizing/frame';
import { type Length, type Size, inches, length, minus, mm, plus, times } from '../../units/length';
import type { WorkingsLog } from '../../working';
import {
  HOLES,
  type Screw,
  USUAL_GAUGE,
  blocksOnSide,
  screwFor,
  screwForBlock,
  screwsOnSide,
} from '../../fixings/screws';
import { type Hardware, type Loose, type Said, build } from '../build';
import { type Line, line } from '../../instructions/line';
import { screwLines } from '../../instructions/screws';
import { type Field, aLength, both, whereOn } from '../fields';
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
/** `riser = innerDepth − pieceDepth − setBack`; blocks by the side of the piece (R28, R78). */
export function riserOf(
  piece: Size,
  depths: { innerDepth: Length; pieceDepth: Length; setBack: Length; riserMin: Length; strainer?: Length },
  settings: Pick<Settings, 'screwStep'>,
  log: WorkingsLog,
): Riser {
  const { innerDepth, pieceDepth, setBack, riserMin, strainer } = depths;
  const inputs = { 'inner depth': innerDepth, 'piece depth': pieceDepth, 'set back': setBack };
  const riser =
    strainer === undefined
      ? log.note(
          'sizes.riser',
          'riser under the piece',
          'inner depth − piece depth − set back',
          inputs,
          minus(innerDepth, pieceDepth, setBack),
        )
      : log.note(
          'sizes.riser',
          'riser strips on the strainer',
          'inner depth − piece depth − strainer − set back',
          { ...inputs, strainer },
          minus(innerDepth, pieceDepth, strainer, setBack),
        );
  const needed = riser >= riserMin && riser > 0;
  const onSide = (side: Length) => blocksOnSide(side, settings);
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

/** A block is so long, and as wide as the bar or strip it bears. Source: handbook, fixings. */
const BLOCK_LONG = both(inches(1, 1, 2), mm(40));
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

/** The strainer that fills the frame: two full sides and two between them, or four that are mitred (R70). */
export function strainerParts(inside: Size, width: Length, depth: Length, mitred: boolean): Loose[] {
  const of = { part: 'strainer', name: 'Strainer, inside painted dark', count: 2, width, height: depth, into: true };
  const between = mitred ? inside.h : minus(inside.h, times(width, 2));
  return [
    { ...of, name: mitred ? `${of.name}, mitred` : of.name, length: inside.w },
    { ...of, name: mitred ? `${of.name}, mitred` : `${of.name}, between`, length: between },
  ];
}
/** Strips on the strainer that the print is taped to, so far inside its edge that they are not seen. */
export function riserStrips(piece: Size, strip: Length, height: Length, setIn: Length): Loose[] {
  const of = { part: 'riser strip', name: 'Riser strips on the strainer', count: 2, width: strip, height, into: true };
  const [w, h] = [minus(piece.w, times(setIn, 2)), minus(piece.h, times(setIn, 2))];
  return [
    { ...of, length: w },
    { ...of, length: minus(h, times(strip, 2)) },
  ];
}

/** What holds a canvas and lifts it is asked for where it is not taped to a strainer. */
const free: Field['when'] = (own) => own.strainer !== true;
const floaterFields = {
  gap: aLength({ usual: both(inches(0, 1, 8), mm(3)) }),
  wall: aLength({}),
  innerDepth: aLength({}),
  pieceDepth: aLength({}),
  setBack: aLength({ usual: both(length(0), length(0)), zero: true }),
  riserMin: aLength({ usual: both(inches(0, 1, 16), mm(1.5)), zero: true, when: free }),
  cardThickness: aLength({}),
  floor: aLength({}),
  bar: aLength({ when: free }),
  fixing: {
    kind: 'choice',
    of: ['oversized holes', 'screwed hard', 'glued blocks'],
    when: free,
  },
  ringsOn: { kind: 'choice', of: ['back', 'inner wall'] },
  strainer: { kind: 'flag' },
  strainerWidth: aLength({ usual: both(inches(2), mm(50)), when: whereOn('strainer') }),
  strainerDepth: aLength({ usual: both(inches(0, 3, 4), mm(19)), when: whereOn('strainer') }),
  strainerMitred: { kind: 'flag', when: whereOn('strainer') },
  riserStrip: aLength({ usual: both(inches(0, 3, 4), mm(19)), when: whereOn('strainer') }),
  tape: aLength({ usual: both(inches(0, 1, 2), mm(12)), when: whereOn('strainer') }),
} as const;

export const floater = build({
  publicName: 'floater frame',
  usualPiece: { kind: 'canvas', thickness: both(inches(0, 3, 4), mm(18)) },
  ground: '#2b2a27',
  pressesOnFace: true,
  walled: true,
  withoutShadow: true,
  standInFace: (own) => own.wall as Length | undefined,
  fields: floaterFields,
  uses: ['moulding'],
  allowance: (settings) => settings.allowance,
  work: { mount: 14 },
  says: (said) => {
    const { own, figures, counts } = said;
    return {
      mount: [
        line('float-gap', { gap: own.gap }),
        line('floater-depths', {
          inner: own.innerDepth ?? 0,
          piece: own.pieceDepth ?? said.design.piece.thickness,
          setBack: figures.setBack ?? 0,
          proud: figures.proud ?? 0,
          wall: own.wall ?? 0,
        }),
        ...(own.strainer ? strainerLines(said) : blockLines(said)),
        // The gap is set with cards while everything can still be moved; only then it is screwed.
        ...(counts.shimsASide
          ? [line('shims', { aSide: counts.shimsASide, thickness: own.cardThickness ?? 0, off: figures.shimsOff ?? 0 })]
          : [line('centre-by-eye')]),
        ...(own.strainer ? [] : floorScrewLines(said)),
        ...(said.design.piece.keyed ? [line('keys-reachable', {}, { of: [] })] : []),
      ],
      'back-and-hang': [line('rings-where', { on: own.ringsOn, wall: own.wall ?? 0 }, { of: ['hangers'] })],
    };
  },
  layUp: (job, own) => {
    const { design, moulding, settings, log: log, piece } = job;
    const wall = own.wall ?? moulding.faceWidth;
    const innerDepth = own.innerDepth ?? moulding.rabbetDepth;
    const pieceDepth = own.pieceDepth ?? design.piece.thickness;
    const inside = insideOf(piece.larger, own.gap, log);
    const of = walledFrame(inside, wall, wall, log);
    const rise = riserOf(
      piece.larger,
      {
        innerDepth,
        pieceDepth,
        setBack: own.setBack,
        riserMin: own.riserMin,
        ...(own.strainer ? { strainer: own.strainerDepth } : {}),
      },
      settings,
      log,
    );
    const pack = packageOfPiece(job);
    const shimCount = own.cardThickness ? shimsASide(own.gap, own.cardThickness) : 0;
    const held = own.strainer
      ? onStrainer(piece.larger, inside, rise, own, settings)
      : fromBehind(piece.larger, rise, own, settings);
    const { screw } = held;
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
      loose: held.loose,
      hardware: [...held.hardware, ...(shimCount > 0 ? [{ item: 'shim', count: 4 * shimCount } as const] : [])],
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
        riserBlocks: own.strainer ? 0 : rise.blocks,
        ...(own.cardThickness ? { shimsASide: shimCount } : {}),
      },
      depth: undefined,
      held: 'nothing',
      gap: own.gap,
      wallsHigh: plus(innerDepth, own.floor ?? length(0)),
      ...(own.strainer ? { tape: { wide: own.tape, strip: own.riserStrip } } : {}),
      joints: [{ of: 'wall', height: plus(innerDepth, own.floor ?? length(0)), solid: wall, face: wall }],
      ...(own.ringsOn === 'inner wall'
        ? { insets: times(wall, 2), rail: { solid: wall, face: wall, depth: wall } }
        : { rail: { solid: wall, face: wall, depth: plus(innerDepth, own.floor ?? length(0)) } }),
      ...(screw
        ? { screw: { atLeast: screw.atLeast, atMost: screw.atMost, found: screw.recommend !== undefined } }
        : {}),
      ...(!own.strainer && own.fixing === 'glued blocks' && !rise.needed ? { noRoomForBlocks: true as const } : {}),
    };
  },
});

interface Held {
  readonly hardware: readonly Hardware[];
  readonly loose: readonly Loose[];
  readonly screw?: Screw | undefined;
}
interface Fixing {
  readonly fixing: 'oversized holes' | 'screwed hard' | 'glued blocks';
  readonly floor: Length | undefined;
  readonly bar: Length | undefined;
}
const withLength = (screw: Screw | undefined) => (screw?.recommend ? { length: screw.recommend } : {});

/** Screwed from behind into its bars, or into blocks that were glued to it: those are the riser, never a bar too. */
function fromBehind(piece: Size, rise: Riser, { fixing, floor, bar }: Fixing, settings: Settings): Held {
  const loose: Loose[] =
    rise.blocks > 0
      ? [
          {
            part: 'riser block',
            name:
              fixing === 'glued blocks' ? 'Riser blocks, glued over paper' : 'Riser blocks, barrier film over raw wood',
            count: rise.blocks,
            length: BLOCK_LONG[settings.homeUnit],
            ...(bar ? { width: bar } : {}),
            height: rise.riser,
            into: true,
          },
        ]
      : [];
  const blocks: Hardware[] = rise.blocks > 0 ? [{ item: 'riser block', count: rise.blocks }] : [];
  if (fixing === 'glued blocks') {
    if (!rise.needed) return { hardware: [], loose: [] };
    const screw = floor ? screwForBlock(floor, rise.riser, settings) : undefined;
    return { hardware: [{ item: 'screw', count: rise.blocks, ...withLength(screw) }, ...blocks], loose, screw };
  }
  // Screws go through the blocks, one each, and nowhere else (R78).
  const count = rise.blocks || 2 * (screwsOnSide(piece.w, settings) + screwsOnSide(piece.h, settings));
  const screw = floor && bar ? screwFor(floor, rise.needed ? rise.riser : length(0), bar, settings) : undefined;
  const wide = plus(HOLES[USUAL_GAUGE].shank, settings.holeMore);
  return {
    hardware: [
      { item: 'screw', count, ...withLength(screw) },
      ...(fixing === 'oversized holes' ? [{ item: 'washer', count, size: wide } as const] : []),
      ...blocks,
    ],
    loose,
    screw,
  };
}

interface Strainer {
  readonly strainerWidth: Length;
  readonly strainerDepth: Length;
  readonly strainerMitred: boolean;
  readonly riserStrip: Length;
  readonly tape: Length;
}
/** A rigid print: taped to strips on a strainer, which pocket screws hold in the frame. No screw goes into the print. */
function onStrainer(piece: Size, inside: Size, rise: Riser, own: Strainer, settings: Settings): Held {
  const strips = rise.needed ? riserStrips(piece, own.riserStrip, rise.riser, settings.stripSetIn) : [];
  const taped = strips.length > 0 ? strips : riserStrips(piece, own.riserStrip, own.strainerDepth, settings.stripSetIn);
  const tape = plus(...taped.map((strip) => times(strip.length!, strip.count)));
  return {
    hardware: [
      {
        item: 'pocket screw',
        count: 2 * (screwsOnSide(inside.w, settings) + screwsOnSide(inside.h, settings)),
      },
      { item: 'mounting tape', length: tape, size: own.tape },
    ],
    loose: [...strainerParts(inside, own.strainerWidth, own.strainerDepth, own.strainerMitred), ...strips],
  };
}

type FloaterFields = typeof floaterFields;
/** Blocks with film or paper, before the piece goes in. */
function blockLines({ own, figures, counts, settings }: Said<FloaterFields>): Line[] {
  const blocks = counts.riserBlocks ?? 0;
  const code = own.fixing === 'glued blocks' ? 'blocks-glued' : 'blocks';
  return [
    blocks > 0
      ? line(code, {
          count: blocks,
          height: figures.riser ?? 0,
          least: own.riserMin,
          long: BLOCK_LONG[settings.homeUnit],
        })
      : line('no-riser', { riser: figures.riser ?? 0, least: own.riserMin }),
  ];
}
/** Screws through the floor, and through the blocks where there are any, with their holes. */
function floorScrewLines({ own, figures, counts, hardware, design }: Said<FloaterFields>): Line[] {
  const screw = hardware.find(({ item }) => item === 'screw');
  const washer = hardware.find(({ item }) => item === 'washer');
  return [
    ...(screw
      ? screwLines({
          count: screw.count ?? 0,
          length: screw.length,
          floor: own.floor,
          stop: figures.screwAtMost,
          clearance: washer?.size,
          blocks: (counts.riserBlocks ?? 0) > 0,
        })
      : []),
    ...(own.bar && own.fixing !== 'glued blocks' ? [line('into-bar', { bar: own.bar })] : []),
    ...(own.fixing === 'oversized holes'
      ? [line('oversized-holes', { washers: washer?.count ?? 0, keyed: design.piece.keyed ? 1 : 0 })]
      : own.fixing === 'screwed hard'
        ? [line('screwed-hard')]
        : []),
  ];
}
/** A strainer that pocket screws hold, strips on it, tape on the strips; its inside is painted dark first. */
function strainerLines({ own, figures, hardware }: Said<FloaterFields>): Line[] {
  const count = (item: Hardware['item']) => hardware.find((one) => one.item === item)?.count ?? 0;
  return [
    line('strainer', {
      width: own.strainerWidth,
      depth: own.strainerDepth,
      mitred: own.strainerMitred ? 'mitred' : 'between',
      w: figures.strainer?.w ?? 0,
      h: figures.strainer?.h ?? 0,
    }),
    line('paint-inside-dark'),
    line('pocket-screws', { count: count('pocket screw') }),
    line('riser-strips', { height: figures.riser ?? 0, width: own.riserStrip, least: own.riserMin }),
    line('tape-print', { tape: own.tape, strip: own.riserStrip }),
  ];
}
