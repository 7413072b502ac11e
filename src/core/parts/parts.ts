/** What the bench cuts and what it takes from the drawers. Source: handbook, builds, depth and hanging "Joining" and "Fitting", jobs. */
import type { Hardware, ResolvedPiece, LayUp, Loose, CutLayer, Window } from '../builds/build';
import type { Leg } from '../sizing/frame';
import { leavesThinWood } from '../sizing/match';
import { BUILDS, mountOf } from '../builds';
import { FOUR, bladeFor } from '../builds/many-sided';
import { cutInto, isHinged } from '../builds/matting';
import type { Design } from '../design/design';
import type { Settings } from '../settings';
import { type Length, type Size, ceilTo, floorTo, size } from '../units/length';
import type { Hanging } from './hanging';
import { dustCover, hinges, joining, pinsOn, pointsOnSide, tapeRound } from './joining';
import { practiceOf } from './practice';
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
  const covered =
    practice.back === 'dust cover' && scope.closed && laid.held === 'points' && cover && cover.w > 0 && cover.h > 0;
  return [
    ...(scope.frame ? legs : []),
    ...flat,
    ...looseParts(laid.loose, step),
    ...(covered ? [{ kind: 'flat', part: 'dust cover', name: '', count: 1, exact: cover, cut: cover } as const] : []),
  ];
}

const HINGED = { hinges: 'hinge', tape: 'tape hinge' } as const;
/** Along all four edges, one each 100 mm, as pins of a garment are counted. */
const round = ({ w, h }: Size): number => 2 * (pinsOn(w) + pinsOn(h));

/** What holds the piece, by how it is mounted; each window of several holds a piece of its own. */
function holding({ design, piece, settings, log: log }: ResolvedPiece<Design>, laid: LayUp): Hardware[] {
  const stands = laid.layers.some((layer) => layer.part === 'piece' && layer.size === undefined);
  // What stands in a frame, or between panes, is held by its build.
  if (!stands || laid.depth === undefined || !BUILDS[design.build].uses.includes('mount')) return [];
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

export function hardwareOf(
  job: ResolvedPiece<Design>,
  laid: LayUp,
  hanging: Hanging | undefined,
  kg: number,
  scope: Scoped,
): Hardware[] {
  const { settings } = job;
  const practice = practiceOf(settings.practice, job.design.practice);
  const frame = laid.frames.at(-1);
  const corners = laid.sides ?? FOUR;
  const pack = laid.package;
  const panes = laid.layers.filter((layer) => layer.part === 'glazing' || layer.part === 'pane').length;
  const metal = laid.pairs !== undefined;
  const tabs = practice.back === 'board with tabs';
  const joint =
    frame &&
    !metal &&
    !laid.readyMade &&
    scope.frame &&
    joining(frame.moulding.height, frame.moulding.faceWidth, frame.outside, kg, panes, settings, practice);
  const points = 2 * (pointsOnSide(pack.w, settings) + pointsOnSide(pack.h, settings));
  const hung = hanging && scope.hung;
  // Too little wood for anything driven into it: brackets over the corners hold frame and package.
  const thin = scope.frame && leavesThinWood(frame, job.design.frame, settings);
  const pointed = scope.closed && laid.held === 'points' && !tabs && !thin;
  if (pointed)
    job.log.number(
      'hardware.points',
      'points',
      () => ({
        formula:
          '2 × (larger of (2, rounded up (package width ÷ step)) + larger of (2, rounded up (package height ÷ step)))',
        inputs: { 'package width': pack.w, 'package height': pack.h, step: settings.pointStep },
      }),
      points,
    );
  return [
    ...(joint && joint.wedge && !thin && practice.corner === 'glue and wedges'
      ? [{ item: 'wedge', count: corners * joint.stacked * joint.placesPerCorner, size: joint.wedge } as const]
      : []),
    ...(joint && (joint.braces || thin) ? [{ item: 'corner brace', count: corners } as const] : []),
    ...(pointed ? [{ item: FASTENERS[practice.fasteners], count: points } as const] : []),
    ...(joint && practice.corner === 'splines' ? [{ item: 'spline', count: corners } as const] : []),
    ...(scope.closed && laid.held === 'points' && tabs
      ? [{ item: 'tab', count: tabsRound(pack, settings) } as const]
      : []),
    ...laid.hardware,
    ...holding(job, laid),
    ...(scope.closed && laid.held === 'points' ? [{ item: 'sealing tape', length: tapeRound(pack) } as const] : []),
    ...(hung && hanging.by !== 'sawtooth'
      ? [
          {
            item: hanging.by === 'hooks' || hanging.noWire ? 'hook' : 'ring',
            count: 2,
            ...rated(hanging),
          } as const,
        ]
      : []),
    ...(hung && hanging.by === 'sawtooth'
      ? [{ item: 'sawtooth', count: hanging.hooks.count, ...rated(hanging) } as const]
      : []),
    ...(hung && hanging.by === 'wire' && !hanging.noWire
      ? [{ item: 'wire', length: hanging.wireCut, ...rated(hanging) } as const]
      : []),
    ...(hung ? [{ item: 'bumper', count: 2 } as const] : []),
    ...(scope.sleeve ? [{ item: 'sleeve', count: 1 } as const] : []),
  ];
}
