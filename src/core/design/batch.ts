/**
 * One design over many pieces of other sizes: what stays equal is the border, the outside, or the opening; the rest
 * follows. Rows are typed one a line, with a name before the size or without.
 */
import { type Issue, issue } from '../issue';
import { type Length, type Size, type Unit, halve, length, minus } from '../units/length';
import { parseLength, splitSize } from '../units/parse-length';
import type { WorkedOut } from '../work-out';
import type { Design } from './design';

export const EQUALS = ['border', 'outside', 'opening'] as const;
export type Equal = (typeof EQUALS)[number];
/** Pieces of one order, at most. */
export const MOST_PIECES = 40;

export interface Row {
  readonly title: string;
  readonly size: Size;
}
const LONGEST_NAME = 120;

/** The rows of a text: each a size, or a name, then `;` or a tab, then a size. What cannot be read is named by its line. */
export function readRows(
  text: string,
  unit: Unit,
): { readonly rows: readonly Row[]; readonly issues: readonly Issue[] } {
  const rows: Row[] = [];
  const issues: Issue[] = [];
  for (const [index, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue;
    const parts = line.split(/[;\t]/);
    const sized = parts.pop()!.trim();
    const title = parts.join(' ').trim().slice(0, LONGEST_NAME);
    const both = splitSize(sized);
    const read = (both?.[1] === undefined ? [sized, ''] : [both[0], both[1]]).map((one) => parseLength(one, { unit }));
    const [w, h] = read;
    if (w!.ok && h!.ok) rows.push({ title, size: { w: w!.value, h: h!.value } });
    else issues.push(issue('batch-line', { line: index + 1, read: line.trim().slice(0, 60) }));
  }
  return { rows, issues };
}

const middle = (whole: Length, part: Length): Length => length(Math.max(0, halve(minus(whole, part))[0]));

/** Whether this can stay equal: an outside and an opening need a mat with one window. */
export const canStay = (equal: Equal, { mats, several }: Design): boolean =>
  equal === 'border' || (mats.length > 0 && several === undefined);

/** The design for a piece of this size. `worked` is what the design comes to as it is: what stays equal is read off it. */
export function batchDesign(design: Design, { title, size }: Row, equal: Equal, worked: WorkedOut): Design {
  const { width2: _width2, height2: _height2, carrier: _carrier, ...piece } = design.piece;
  const sized = { ...design, piece: { ...piece, title, width: size.w, height: size.h } };
  const { opening } = worked.sizes;
  if (equal === 'opening' && opening) {
    const part = { left: middle(size.w, opening.w), top: middle(size.h, opening.h), w: opening.w, h: opening.h };
    return { ...sized, window: { ...design.window, opening: part } };
  }
  if (equal === 'outside') {
    const { opening: _opening, ...window } = design.window;
    const how = design.border.mode === 'weighted' || design.border.mode === 'four' ? 'optical' : 'centred';
    return { ...sized, window, border: { mode: 'fit', package: worked.sizes.package, how } };
  }
  return sized;
}
