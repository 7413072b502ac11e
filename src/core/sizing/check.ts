/** Designs that cannot be built at all: an issue beside the field, before any caution is asked. */
import type { Resolved } from '../design/resolve';
import { type Issue, issue } from '../issue';
import type { Sizes } from './window-mat';

export function impossible({ design, moulding }: Resolved, sizes: Sizes): Issue[] {
  const { opening, sight, layers } = sizes;
  const issues: Issue[] = [];
  const tooMuch = (first: number, second: number | undefined) =>
    second !== undefined && Math.max(first, second) > 2 * Math.min(first, second);
  if (tooMuch(design.piece.width, design.piece.width2))
    issues.push(issue('ends-differ', { first: design.piece.width, second: design.piece.width2! }, 'piece.width2'));
  if (tooMuch(design.piece.height, design.piece.height2))
    issues.push(issue('ends-differ', { first: design.piece.height, second: design.piece.height2! }, 'piece.height2'));
  if (opening.w <= 0 || opening.h <= 0) {
    issues.push(
      issue(
        'overlap-takes-all',
        { overlap: design.window.overlap, shorter: Math.min(sizes.piece.smaller.w, sizes.piece.smaller.h) },
        'window.overlap',
      ),
    );
  }
  if (moulding.rabbetWidth >= moulding.faceWidth)
    issues.push(
      issue('rabbet-wider-than-face', { rabbet: moulding.rabbetWidth, face: moulding.faceWidth }, 'frame.moulding'),
    );
  else if (sight.w <= 0 || sight.h <= 0)
    issues.push(issue('frame-closes', { rabbet: moulding.rabbetWidth }, 'frame.moulding'));
  const top = layers[0]!.border;
  if (Math.min(top.left, top.right, top.top, top.bottom) <= 0)
    issues.push(issue('reveals-take-border', {}, `mats.${layers.length - 1}.reveal`));
  return issues;
}
