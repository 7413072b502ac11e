/** Every size of a piece that was laid up, as screens, papers and the open interface show them. Source: handbook, sizes. */
import type { ResolvedPiece, LayUp, Matted } from './builds/build';
import type { Frame } from './sizing/frame';
import { type BuildCounts, type BuildFigures, FIGURES, figuresOf } from './builds/figures';
import { cutInto } from './builds/matting';
import { type Issue, issue } from './issue';
import { type Length, type Sides, type Size, halve, length, minus, plus } from './units/length';

export interface Sizes {
  readonly piece: { readonly larger: Size; readonly smaller: Size };
  readonly matted: Matted | undefined;
  readonly opening: Size | undefined;
  readonly border: Sides | undefined;
  readonly visibleBorder: Sides | undefined;
  readonly package: Size;
  /** The package as cut for mats, boards and glass. */
  readonly cutPackage: Size;
  readonly unitedSize: Length;
  /** Inner to outer: fillet, liners, the frame that hangs. */
  readonly frames: readonly Frame[];
  /** Of the frame that hangs. */
  readonly rabbet: Size | undefined;
  readonly inside: Size | undefined;
  readonly sight: Size | undefined;
  readonly outside: Size | undefined;
  readonly lengthCharged: Length;
  readonly figures: BuildFigures;
  readonly counts: BuildCounts;
}

export function sizesOf(job: ResolvedPiece, laid: LayUp): Sizes {
  const { log: log, settings, design } = job;
  const { matted, package: pack } = laid;
  const outer = laid.frames.at(-1);
  const holding = laid.frames.find((frame) => frame.of !== 'fillet');
  // The smaller half of an odd allowance lies left and at the top (R10).
  const [first, second] = halve(design.frame.inner?.[0]?.allowance ?? design.frame.allowance);
  const seen = (border: Sides, side: keyof Sides, rabbetWidth: Length, half: Length): Length =>
    log.note(
      `sizes.visibleBorder.${side}`,
      `border seen, ${side}`,
      'border − (rabbet width − half the allowance)',
      { border: border[side], 'rabbet width': rabbetWidth, 'half the allowance': half },
      minus(border[side], minus(rabbetWidth, half)),
    );
  const visible = (border: Sides, rabbetWidth: Length): Sides => ({
    left: seen(border, 'left', rabbetWidth, first),
    right: seen(border, 'right', rabbetWidth, second),
    top: seen(border, 'top', rabbetWidth, first),
    bottom: seen(border, 'bottom', rabbetWidth, second),
  });
  return {
    piece: job.piece,
    matted,
    opening: matted?.opening,
    border: matted?.border,
    visibleBorder: matted && holding?.rabbet ? visible(matted.border, holding.moulding.rabbetWidth) : undefined,
    package: pack,
    cutPackage: cutInto(pack, settings.cuttingStep),
    unitedSize: log.note(
      'sizes.unitedSize',
      'united size',
      'package width + package height',
      { 'package width': pack.w, 'package height': pack.h },
      plus(pack.w, pack.h),
    ),
    frames: laid.frames,
    rabbet: outer?.rabbet,
    inside: outer?.inside,
    sight: outer?.sight,
    outside: outer?.outside ?? laid.hangsAs,
    lengthCharged: outer?.lengthCharged ?? length(0),
    figures: laid.figures,
    counts: laid.counts,
  };
}

/** Designs that cannot be built at all: an issue beside the field, before any caution is asked. */
export function impossible({ design }: Pick<ResolvedPiece, 'design'>, laid: LayUp): Issue[] {
  const issues: Issue[] = [...(laid.issues ?? [])];
  const { piece } = design;
  const tooMuch = (first: number, second: number | undefined) =>
    second !== undefined && Math.max(first, second) > 2 * Math.min(first, second);
  if (tooMuch(piece.width, piece.width2))
    issues.push(issue('ends-differ', { first: piece.width, second: piece.width2! }, 'piece.width2'));
  if (tooMuch(piece.height, piece.height2))
    issues.push(issue('ends-differ', { first: piece.height, second: piece.height2! }, 'piece.height2'));
  if (laid.package.w <= 0 || laid.package.h <= 0) issues.push(issue('package-none', {}, 'piece.width'));
  for (const [index, frame] of laid.frames.entries()) {
    const path =
      frame.of === 'liner'
        ? `frame.inner.${index}.moulding`
        : frame.of === 'fillet'
          ? 'fillet.moulding'
          : 'frame.moulding';
    const wood = frame.moulding;
    if (frame.rabbet && wood.rabbetWidth >= wood.faceWidth)
      issues.push(issue('rabbet-wider-than-face', { rabbet: wood.rabbetWidth, face: wood.faceWidth }, path));
    else if (frame.sight.w <= 0 || frame.sight.h <= 0)
      issues.push(issue('frame-closes', { rabbet: wood.rabbetWidth }, path));
    if (frame.legs.some((leg) => leg.shortPoint <= 0) && !issues.some((issue) => issue.path === path))
      issues.push(issue('frame-closes', { rabbet: wood.rabbetWidth }, path));
  }
  if (cutToNothing(laid)) issues.push(issue('nothing-left', {}, 'own'));
  if (design.fillet && design.fillet.lip >= (laid.frames[0]?.moulding.faceWidth ?? 0))
    issues.push(issue('lip-too-wide', { lip: design.fillet.lip }, 'fillet.lip'));
  return issues;
}

/** Whether something would have to be cut with no length or no width: a leg, a layer, a strip, a board, a figure. */
function cutToNothing({ frames, layers, loose, figures }: LayUp): boolean {
  const none = (of: Length | Size | undefined) =>
    of !== undefined && (typeof of === 'number' ? of <= 0 : of.w <= 0 || of.h <= 0);
  return (
    frames.some(({ legs }) => legs.some((leg) => none(leg.longPoint) || none(leg.rabbetLength))) ||
    layers.some((layer) => none(layer.size)) ||
    loose.some((part) => [part.length, part.width, part.height, part.size, part.first].some(none)) ||
    figuresOf(figures).some(({ key, value }) => FIGURES[key].sign === 'more' && none(value))
  );
}
