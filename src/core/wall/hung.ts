/**
 * Several frames hung as a set: where the middle of each is, and from that where its hooks go. Lengths over the floor and
 * from the middle of the set; a set in a row has even gaps. Source: handbook, "Depth and hanging", wall card; R52, R68.
 */
import type { Hanging } from '../parts/hanging';
import { evenStarts } from '../sizing/even';
import { type Length, type Size, halve, length, minus, plus, times } from '../units/length';

/** The middle of a frame: from the middle of the set (to the right above zero), and over the floor. */
export interface Hung {
  readonly id: string;
  readonly x: Length;
  readonly y: Length;
}
export interface Framed {
  readonly id: string;
  readonly outside: Size;
}
const half = (value: Length): Length => halve(value)[0];

/** All in a row, their middles at one height, with this gap between one and the next. */
export function inRow(frames: readonly Framed[], gap: Length, eye: Length): Hung[] {
  const whole = plus(...frames.map(({ outside }) => outside.w), times(gap, Math.max(0, frames.length - 1)));
  let left = length(-half(whole));
  return frames.map(({ id, outside }) => {
    const x = plus(left, half(outside.w));
    left = plus(left, outside.w, gap);
    return { id, x, y: eye };
  });
}

/** Where each hangs: as it was put, or at the right end of those that were, for one that was not. */
export function placed(frames: readonly Framed[], hung: readonly Hung[], gap: Length, eye: Length): Hung[] {
  const known = new Map(hung.map((one) => [one.id, one]));
  if (frames.every(({ id }) => !known.has(id))) return inRow(frames, gap, eye);
  let right = Math.max(
    ...frames.flatMap(({ id, outside }) => {
      const at = known.get(id);
      return at ? [at.x + outside.w / 2] : [];
    }),
  );
  return frames.map(({ id, outside }) => {
    const at = known.get(id);
    if (at) return at;
    const x = length(Math.round(right + gap + outside.w / 2));
    right = x + outside.w / 2;
    return { id, x, y: eye };
  });
}

/** The gaps between the frames made even, from the leftmost to the rightmost, which stay. A remainder goes to the last gap. */
export function evened(frames: readonly Framed[], hung: readonly Hung[]): Hung[] {
  const width = new Map(frames.map(({ id, outside }) => [id, outside.w]));
  const long = ({ id }: Hung) => width.get(id)!;
  const starts = evenStarts(hung.map((one) => ({ start: minus(one.x, half(long(one))), long: long(one) })));
  return hung.map((one, index) => ({ ...one, x: plus(starts[index]!, half(long(one))) }));
}

export interface Hooks {
  readonly id: string;
  /** Over the floor. */
  readonly height: Length;
  /** From the left edge of the set, each. */
  readonly across: readonly Length[];
}
/** The hooks of each that hangs, measured from the floor and from the left edge of the set. */
export function hooksOf(
  frames: readonly (Framed & { readonly hanging?: Pick<Hanging, 'hookDrop' | 'apart'> | undefined })[],
  hung: readonly Hung[],
): Hooks[] {
  const at = new Map(hung.map((one) => [one.id, one]));
  const edge = Math.min(...frames.map(({ id, outside }) => at.get(id)!.x - half(outside.w)));
  return frames.flatMap(({ id, outside, hanging }) => {
    if (!hanging) return [];
    const { x, y } = at.get(id)!;
    const middle = length(x - edge);
    const out = hanging.apart === undefined ? undefined : half(hanging.apart);
    return [
      {
        id,
        height: minus(plus(y, half(outside.h)), hanging.hookDrop),
        across: out === undefined ? [middle] : [minus(middle, out), plus(middle, out)],
      },
    ];
  });
}
