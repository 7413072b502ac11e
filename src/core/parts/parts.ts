/** What the bench cuts and what it takes from the drawers. Source: handbook, builds, depth and hanging "Joining" and "Fitting", jobs. */
import type { Hardware, ResolvedPiece, LayUp, Loose, CutLayer, Window } from '../builds/build';
import type { Leg } from '../sizing/frame';
import { cutInto } from '../builds/matting';
import type { Settings } from '../settings';
import { type Length, type Size, ceilTo, floorTo, size } from '../units/length';
import type { Hanging } from './hanging';
import { dustCover, hinges, joining, pointsOnSide, tapeRound } from './joining';
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
  readonly mitre: 45;
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
    list.map((leg): LegPart => ({ kind: 'leg', ...leg, frame, code: moulding.code, mitre: 45 })),
  );
  const flat = laid.layers.flatMap((layer): FlatPart[] => {
    if (!layer.size) return [];
    const { part, name, size: exact, sheet } = layer;
    const of = {
      kind: 'flat',
      part,
      name,
      count: 1,
      exact,
      sheet: true,
      ...(sheet ? { code: sheet.code } : {}),
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

/** What holds the piece, by how it is mounted. */
function holding({ design, piece, settings, log: log }: ResolvedPiece, laid: LayUp): Hardware[] {
  const stands =
    laid.layers.some((layer) => layer.part === 'piece' && layer.size === undefined) && laid.depth !== undefined;
  const soft = !['canvas', 'panel', 'object', 'garment', 'mirror'].includes(design.piece.kind);
  if (!stands || !soft) return [];
  const mount = design.mount ?? 'hinges';
  if (!design.several && (mount === 'hinges' || mount === 'tape'))
    log.number(
      'hardware.hinges',
      'hinges',
      () => ({
        formula: '2 + larger of (0, rounded up ((piece width − first) ÷ step))',
        inputs: { 'piece width': piece.larger.w, first: settings.hinge.first, step: settings.hinge.step },
      }),
      hinges(piece.larger.w, settings),
    );
  if (mount === 'hinges' || mount === 'tape')
    return [
      {
        item: 'hinge',
        count: (design.several?.windows ?? [{ width: piece.larger.w }]).reduce(
          (sum, window) => sum + hinges(window.width, settings),
          0,
        ),
      },
    ];
  if (mount === 'corners') return [{ item: 'corner pocket', count: 4 * (design.several?.windows.length ?? 1) }];
  return mount === 'pads' ? [{ item: 'pad', count: 4 }] : [];
}

const FASTENERS = { flexible: 'flexible point', rigid: 'rigid point', staples: 'staple' } as const;

export function hardwareOf(
  job: ResolvedPiece,
  laid: LayUp,
  hanging: Hanging | undefined,
  kg: number,
  scope: Scoped,
): Hardware[] {
  const { settings } = job;
  const practice = practiceOf(settings.practice, job.design.practice);
  const frame = laid.frames.at(-1);
  const pack = laid.package;
  const panes = laid.layers.filter((layer) => layer.part === 'glazing' || layer.part === 'pane').length;
  const metal = frame?.moulding.material === 'metal';
  const joint =
    frame &&
    !metal &&
    scope.frame &&
    joining(frame.moulding.height, frame.moulding.faceWidth, frame.outside, kg, panes, settings, practice);
  const points = 2 * (pointsOnSide(pack.w, settings) + pointsOnSide(pack.h, settings));
  const hung = hanging && scope.hung;
  if (scope.closed && laid.held === 'points')
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
    ...(joint && joint.wedge && practice.corner === 'glue and wedges'
      ? [{ item: 'wedge', count: 4 * joint.stacked * joint.placesPerCorner, size: joint.wedge } as const]
      : []),
    ...(joint && joint.braces ? [{ item: 'corner brace', count: 4 } as const] : []),
    ...(scope.closed && laid.held === 'points'
      ? [{ item: FASTENERS[practice.fasteners], count: points } as const]
      : []),
    ...(joint && practice.corner === 'splines' ? [{ item: 'spline', count: 4 } as const] : []),
    ...(scope.closed && laid.held === 'points' && practice.back === 'board with tabs'
      ? [{ item: 'tab', count: 4 } as const]
      : []),
    ...laid.hardware,
    ...holding(job, laid),
    ...(scope.closed && laid.held === 'points' ? [{ item: 'sealing tape', length: tapeRound(pack) } as const] : []),
    ...(hung && hanging.by !== 'sawtooth'
      ? [
          {
            item: hanging.by === 'hooks' ? 'hook' : 'ring',
            count: 2,
            ...(hanging.choose ? { rating: hanging.choose } : {}),
          } as const,
        ]
      : []),
    ...(hung && hanging.by === 'sawtooth' ? [{ item: 'sawtooth', count: hanging.hooks.count } as const] : []),
    ...(hung && hanging.by === 'wire' && !hanging.noWire ? [{ item: 'wire', length: hanging.wireCut } as const] : []),
    ...(hung ? [{ item: 'bumper', count: 2 } as const] : []),
    ...(scope.sleeve ? [{ item: 'sleeve', count: 1 } as const] : []),
  ];
}
