/** What the bench cuts and what it takes from the drawers. Source: handbook, builds, depth and hanging "Joining" and "Fitting", jobs. */
import type { CutLayer, Hardware, Joint, LayUp, Loose, ResolvedPiece, Window } from '../builds/build';
import type { Leg } from '../sizing/frame';
import { timesTangent } from '../sizing/polygon';
import { BUILDS, mountOf } from '../builds';
import { FOUR, bladeFor } from '../builds/many-sided';
import { cutInto, isHinged } from '../builds/matting';
import { clipsOnSide } from '../builds/sections';
import type { Design } from '../design/design';
import type { Settings } from '../settings';
import { type Length, type Size, ceilTo, floorTo, halve, minus, mm, size, smaller } from '../units/length';
import type { Hanging } from './hanging';
import { dustCover, hinges, joining, pinsOn, pointsOnSide, tapeRound } from '../fixings/joining';
import { practiceOf } from './practice';
import { BRACE_SCREWS, USUAL_BUMPER, WEDGE_LEAST, braceHole, braceOn, bumperOn } from '../fixings/corners';
import { type Holding, clipHole } from '../fixings/holding';
import { type Rails, cornerOf, holdingRail } from '../fixings/rails-of';
import type { Weight } from './weight';
import type { Scoped } from '../jobs/scope';

export interface FlatPart {
  readonly kind: 'flat';
  readonly part: string;
  readonly name: string;
  readonly count: number;
  readonly exact: Size;
  readonly cut: Size;
  /** It is cut from a sheet of the shop. */
  readonly sheet?: boolean;
  /** Code of that sheet in the books, where it is one of theirs. */
  readonly code?: string;
  /** Of a mat: its layer, and the windows as they are cut in it. */
  readonly layer?: CutLayer;
  readonly windows?: readonly Window[];
  /** Cut first to this, trimmed later. */
  readonly first?: Size;
}
export interface LegPart extends Leg {
  readonly kind: 'leg';
  /** Which of the piece's frames it belongs to, counted from the inside. */
  readonly frame: number;
  /** Code of the moulding it is cut from. */
  readonly code: string;
  /** The blade's setting from square, in degrees. */
  readonly mitre: number;
}
export interface StripPart {
  readonly kind: 'strip';
  readonly part: string;
  readonly name: string;
  readonly count: number;
  readonly length: Length | undefined;
  readonly cutLength: Length | undefined;
  readonly width: Length | undefined;
  readonly height: Length | undefined;
}
export type Part = LegPart | FlatPart | StripPart;

function looseParts(loose: readonly Loose[], step: Length): Part[] {
  return loose.map((loose): Part => {
    const { part, name, count, into } = loose;
    const round = into ? floorTo : ceilTo;
    if (loose.size) {
      const cut = size(round(loose.size.w, step), round(loose.size.h, step));
      return {
        kind: 'flat',
        part,
        name,
        count,
        exact: loose.size,
        cut,
        ...(loose.board ? { sheet: true, code: loose.board.code } : {}),
        ...(loose.first ? { first: loose.first } : {}),
      };
    }
    const { length, width, height } = loose;
    return { kind: 'strip', part, name, count, length, cutLength: length && round(length, step), width, height };
  });
}

/** Everything that is cut, in the order of the bench: legs, then what goes in, then strips and boards beside it. */
export function partsOf(
  { design }: Pick<ResolvedPiece, 'design'>,
  laid: LayUp,
  scope: Scoped,
  settings: Settings,
): Part[] {
  const practice = practiceOf(settings.practice, design.practice);
  const step = settings.cuttingStep;
  const legs = laid.frames.flatMap(({ legs: list, moulding }, frame) =>
    list.map((leg): LegPart => ({
      kind: 'leg',
      ...leg,
      frame,
      code: moulding.code,
      mitre: bladeFor(laid.sides ?? FOUR),
    })),
  );
  const flat = laid.layers.flatMap((layer): FlatPart[] => {
    if (!layer.size || layer.comes) return [];
    const { part, name, size: exact, sheet } = layer;
    const of = {
      kind: 'flat',
      part,
      name,
      count: 1,
      exact,
      sheet: true,
      ...(sheet ? { code: sheet.code } : {}),
      ...(layer.first ? { first: layer.first } : {}),
    } as const;
    const cut = cutInto(layer.size, step);
    const mat =
      layer.part === 'hidden spacer'
        ? laid.matted?.spacer
        : layer.mat === undefined
          ? undefined
          : laid.matted?.layers[layer.mat];
    return [mat ? { ...of, cut, layer: mat, windows: laid.matted!.windows } : { ...of, cut }];
  });
  const outside = laid.frames.at(-1)?.outside;
  const cover = outside && dustCover(outside, settings);
  // A sixteenth or a millimetre below, each side by itself (R80).
  const coverStep = settings.showStep[settings.homeUnit];
  const coverCut = cover && size(floorTo(cover.w, coverStep), floorTo(cover.h, coverStep));
  const covered =
    practice.back === 'dust cover' &&
    scope.closed &&
    laid.held === 'points' &&
    cover &&
    coverCut &&
    coverCut.w > 0 &&
    coverCut.h > 0;
  return [
    ...(scope.frame ? legs : []),
    ...flat,
    ...looseParts(laid.loose, step),
    ...(covered
      ? [{ kind: 'flat', part: 'dust cover', name: '', count: 1, exact: cover, cut: coverCut } as const]
      : []),
  ];
}

const HINGED = { hinges: 'hinge', tape: 'tape hinge' } as const;
/** Along all four edges, one each 100 mm, as pins of a garment are counted. */
const round = ({ w, h }: Size): number => 2 * (pinsOn(w) + pinsOn(h));

/** What holds the piece, by how it is mounted; each window of several holds a piece of its own. */
function holding(
  { design, piece, settings, log: log }: ResolvedPiece<Design>,
  laid: LayUp,
  { scope }: Fitted,
): Hardware[] {
  const stands = laid.layers.some((layer) => layer.part === 'piece' && layer.size === undefined);
  // What stands in a frame, or between panes, is held by its build.
  if (scope.assembled === 'nobody') return [];
  const inRabbet = laid.depth !== undefined || !scope.frame;
  if (!stands || !inRabbet || !BUILDS[design.build].uses.includes('mount')) return [];
  const mount = mountOf(design);
  const pieces: readonly Size[] = design.several
    ? design.several.windows.filter(isHinged).map(({ width, height }) => size(width, height))
    : [piece.larger];
  if (mount === 'stapled') return [{ item: 'staple', count: pieces.reduce((sum, one) => sum + round(one), 0) }];
  if (mount === 'pinned' && laid.counts.pins === undefined)
    return [{ item: 'pin', count: pieces.reduce((sum, one) => sum + round(one), 0) }];
  if (mount === 'laced') return [{ item: 'lacing', count: pieces.length }];
  if (mount === 'strips') return [{ item: 'edge strip', count: 4 * pieces.length }];
  if (mount === 'pads') return [{ item: 'pad', count: 4 * pieces.length }];
  if (mount === 'corners') return [{ item: 'corner pocket', count: 4 * pieces.length }];
  if (mount !== 'hinges' && mount !== 'tape') return [];
  if (!design.several)
    log.number(
      'hardware.hinges',
      'hinges',
      () => ({
        formula: '2 + larger of (0, rounded up ((piece width − first) ÷ step))',
        inputs: { 'piece width': piece.larger.w, first: settings.hinge.first, step: settings.hinge.step },
      }),
      hinges(piece.larger.w, settings),
    );
  return [{ item: HINGED[mount], count: pieces.reduce((sum, one) => sum + hinges(one.w, settings), 0) }];
}

const rated = ({ choose }: Hanging) => (choose ? { rating: choose } : {});
/** Turn tabs stand where points would, at twice their distance; at least two on each upright side. */
const tabsRound = ({ h }: Size, { pointStep }: Settings): number => 2 * Math.max(2, Math.ceil(h / (2 * pointStep)));
const FASTENERS = { flexible: 'flexible point', rigid: 'rigid point', staples: 'staple' } as const;

/** What a ring keeps free beside it. */
const RING_ROOM = mm(15);
/** What holds the corners: wedges where the wood takes them, else splines or braces. */
function cornerHardware(
  { settings, design }: ResolvedPiece<Design>,
  laid: LayUp,
  { weight, scope, rails, hanging }: Fitted,
): Hardware[] {
  const frame = laid.frames.at(-1);
  if (!frame || laid.pairs || laid.readyMade || !scope.frame || frame.moulding.material === 'metal') return [];
  const practice = practiceOf(settings.practice, design.practice);
  const corners = laid.sides ?? FOUR;
  const panes = laid.layers.filter((layer) => layer.part === 'glazing' || layer.part === 'pane').length;
  const { height, faceWidth } = frame.moulding;
  const wood = rails && cornerOf(rails);
  const joints: readonly Joint[] = laid.joints ?? [
    { of: 'frame', height, solid: wood?.solid ?? faceWidth, face: faceWidth },
  ];
  const joined = joints.map((joint) => {
    const sums = joining(joint.height, joint.face, frame.outside, weight.kg, panes, settings, practice);
    return { joint, sums, wedge: joint.solid < WEDGE_LEAST ? undefined : sums.wedge };
  });
  const wedged = practice.corner === 'glue and wedges';
  const bare = wedged && joined.some(({ wedge }) => wedge === undefined);
  const wanted = bare || joined.some(({ sums }) => sums.braces);
  // Its legs end before the middle of a side, and before a ring.
  const { w, h } = frame.outside;
  const room = smaller(halve(smaller(w, h))[0], minus(hanging?.ringDrop ?? h, RING_ROOM));
  const brace = wanted && wood ? braceOn(wood, room) : undefined;
  const hole = brace && wood && braceHole(wood, settings.homeUnit);
  return [
    ...(wedged
      ? joined.flatMap(({ joint, sums, wedge }): Hardware[] =>
          wedge === undefined
            ? []
            : [
                {
                  item: 'wedge',
                  count: corners * sums.stacked * sums.placesPerCorner,
                  size: wedge,
                  ...(joints.length > 1 ? { joint: joint.of } : {}),
                },
              ],
        )
      : []),
    ...(brace && hole
      ? [
          { item: 'corner brace', count: corners, size: brace.width } as const,
          { item: 'brace screw', count: corners * BRACE_SCREWS, length: hole.length, gauge: hole.gauge } as const,
        ]
      : []),
    ...(practice.corner === 'splines' || (bare && !hole) ? [{ item: 'spline', count: corners } as const] : []),
  ];
}

const CLIPS: readonly Hardware['item'][] = ['clip', 'offset clip'];
/** What holds the package, where it is not the build's own; and the tape that seals it. */
function holdingHardware(
  { settings, design, log }: ResolvedPiece<Design>,
  laid: LayUp,
  { scope, rails, holding }: Fitted,
): Hardware[] {
  const practice = practiceOf(settings.practice, design.practice);
  const pack = laid.package;
  const sealed: Hardware[] =
    scope.closed && (laid.held === 'points' || (laid.readyMade && scope.frame))
      ? [{ item: 'sealing tape', length: tapeRound(pack) }]
      : [];
  const wood = holdingRail(laid, rails);
  const hole = wood && clipHole(wood, settings.homeUnit);
  const screwed = (count: number): Hardware[] =>
    hole ? [{ item: 'clip screw', count, length: hole.length, gauge: hole.gauge }] : [];
  if (laid.held === 'clips' && !laid.pairs)
    return screwed(laid.hardware.reduce((all, { item, count = 0 }) => (CLIPS.includes(item) ? all + count : all), 0));
  if (holding === 'tabs') return [{ item: 'tab', count: tabsRound(pack, settings) }, ...sealed];
  if (holding === 'offset clips') {
    const count = 2 * (clipsOnSide(pack.w, settings) + clipsOnSide(pack.h, settings));
    return [{ item: 'offset clip', count }, ...screwed(count), ...sealed];
  }
  if (holding !== 'points' && holding !== 'points by hand') return sealed;
  const count = laid.sides
    ? laid.sides * pointsOnSide(timesTangent(pack.w, laid.sides), settings)
    : 2 * (pointsOnSide(pack.w, settings) + pointsOnSide(pack.h, settings));
  if (!laid.sides)
    log.number(
      'hardware.points',
      'points',
      () => ({
        formula:
          '2 × (larger of (2, rounded up (package width ÷ step)) + larger of (2, rounded up (package height ÷ step)))',
        inputs: { 'package width': pack.w, 'package height': pack.h, step: settings.pointStep },
      }),
      count,
    );
  // Rigid points and staples are shot: a thin wall takes only what is pushed in by hand.
  const item = holding === 'points by hand' ? 'flexible point' : FASTENERS[practice.fasteners];
  return [{ item, count }, ...sealed];
}

/** What it hangs by, with its screws; nothing goes into wood that does not bear it. */
function hangingHardware(laid: LayUp, { hanging, scope, rails }: Fitted): Hardware[] {
  if (!hanging || !scope.hung) return [];
  const { by, noWire, noWood, fixing, hooks } = hanging;
  const count = by === 'sawtooth' ? hooks.count : 2;
  const item = by === 'sawtooth' ? 'sawtooth' : by === 'hooks' || noWire ? 'hook' : 'ring';
  const bumper = rails && bumperOn(rails.cross);
  return [
    ...(noWood ? [] : [{ item, count, ...rated(hanging) } as const]),
    ...(fixing?.hole && !noWood
      ? [
          {
            item: 'hanger screw',
            count: count * fixing.screws,
            length: fixing.hole.length,
            gauge: fixing.gauge,
          } as const,
        ]
      : []),
    ...(by === 'wire' && !noWire && !noWood
      ? [{ item: 'wire', length: hanging.wireCut, ...rated(hanging) } as const]
      : []),
    ...(rails && bumper === undefined
      ? [{ item: 'felt', length: laid.frames.at(-1)?.outside.w ?? laid.package.w } as const]
      : [{ item: 'bumper', count: 2, ...(bumper && bumper < USUAL_BUMPER ? { size: bumper } : {}) } as const]),
  ];
}

/** What else of a worked-out piece its hardware follows from. */
export interface Fitted {
  readonly hanging: Hanging | undefined;
  readonly weight: Pick<Weight, 'kg'>;
  readonly scope: Scoped;
  readonly rails: Rails | undefined;
  readonly holding: Holding;
}

export const hardwareOf = (job: ResolvedPiece<Design>, laid: LayUp, fitted: Fitted): Hardware[] => [
  ...cornerHardware(job, laid, fitted),
  ...holdingHardware(job, laid, fitted),
  ...(fitted.holding === 'refused' ? laid.hardware.filter(({ item }) => !CLIPS.includes(item)) : laid.hardware),
  ...holding(job, laid, fitted),
  ...hangingHardware(laid, fitted),
  ...(fitted.scope.sleeve ? [{ item: 'sleeve', count: 1 } as const] : []),
];
