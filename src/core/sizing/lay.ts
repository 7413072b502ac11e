/**
 * Windows of a mat laid out by hand: starting points, where a moved one snaps to, even gaps, and the strips of mat that
 * are left between them. Places are of windows, from any one corner; `normal` brings them back to that of their box.
 * Source: handbook, sizes, "Several windows".
 */
import { type Length, type Size, halve, larger, length, minus, plus } from '../units/length';
import { evenStarts } from './even';
import type { Bridges, Place, Placed } from './windows';

/** Layouts that are starting points only: from there each window lies freely. */
export const STARTS = ['large and small', 'over plate'] as const;
export type Start = (typeof STARTS)[number];

const middleOf = (room: Length, own: Length): Length => halve(minus(room, own))[0];
const area = ({ w, h }: Size): number => w * h;
const rightOf = ({ left, w }: Placed): Length => plus(left, w);
const belowOf = ({ top, h }: Placed): Length => plus(top, h);

/** One above the other, each in the middle of the widest: their tops, and how tall and wide all are. */
function stacked(sizes: readonly Size[], gap: Length): { places: Place[]; w: Length; h: Length } {
  const w = sizes.reduce((most, one) => larger(most, one.w), length(0));
  let top = length(0);
  const places = sizes.map((one) => {
    const at = { left: middleOf(w, one.w), top };
    top = plus(top, one.h, gap);
    return at;
  });
  return { places, w, h: minus(top, gap) };
}

/** The places of `windows` for a starting point: the largest beside a stack of the others, or one under the other. */
export function startAt(start: Start, windows: readonly Size[], bridge: Bridges): Place[] {
  if (start === 'over plate') return stacked(windows, bridge.down).places;
  const large = windows.reduce((best, one, index) => (area(one) > area(windows[best]!) ? index : best), 0);
  const first = windows[large]!;
  const others = stacked(
    windows.filter((_, index) => index !== large),
    bridge.down,
  );
  const tall = larger(first.h, others.h);
  const beside = others.places.map(({ left, top }) => ({
    left: plus(first.w, bridge.across, left),
    top: plus(middleOf(tall, others.h), top),
  }));
  return windows.map((_, index) =>
    index === large ? { left: length(0), top: middleOf(tall, first.h) } : beside[index < large ? index : index - 1]!,
  );
}

/** The same places, measured from the corner of the box round them all. */
export function normal(places: readonly Place[]): Place[] {
  const left = length(Math.min(...places.map((place) => place.left)));
  const top = length(Math.min(...places.map((place) => place.top)));
  return places.map((place) => ({ left: minus(place.left, left), top: minus(place.top, top) }));
}

/** The gaps made even across or down; the outermost two stay where they are. */
export function spread(windows: readonly Placed[], way: 'across' | 'down'): Place[] {
  const [start, long] = way === 'across' ? (['left', 'w'] as const) : (['top', 'h'] as const);
  const starts = evenStarts(windows.map((window) => ({ start: window[start], long: window[long] })));
  return windows.map(({ left, top }, index) => ({ left, top, [start]: starts[index]! }));
}

/** A strip of mat between two windows that face each other. */
export interface Bridge {
  readonly way: 'across' | 'down';
  /** How wide it is; below zero where they overlap. */
  readonly gap: Length;
  /** The middle of it. */
  readonly at: Place;
  readonly between: readonly [number, number];
}
const overlaps = (a: Length, along: Length, b: Length, other: Length): boolean => a < b + other && b < a + along;
const half = (value: number): Length => length(Math.round(value / 2));

/** Between each window and the nearest one that it faces to the right, and below it. */
export function bridgesOf(windows: readonly Placed[]): Bridge[] {
  return windows.flatMap((one, index) => {
    const others = windows.flatMap((other, at) => (at === index ? [] : [{ other, at }]));
    const beyond = (way: Bridge['way']): Bridge[] => {
      const across = way === 'across';
      const faced = others.filter(({ other, at }) =>
        across
          ? overlaps(one.top, one.h, other.top, other.h) && isAfter(one.left, other.left, index, at)
          : overlaps(one.left, one.w, other.left, other.w) && isAfter(one.top, other.top, index, at),
      );
      const gapTo = (other: Placed) => (across ? minus(other.left, rightOf(one)) : minus(other.top, belowOf(one)));
      const [next] = faced.sort((a, b) => gapTo(a.other) - gapTo(b.other));
      if (!next) return [];
      const { other, at } = next;
      const gap = gapTo(other);
      const shared = across
        ? Math.max(one.top, other.top) + Math.min(belowOf(one), belowOf(other))
        : Math.max(one.left, other.left) + Math.min(rightOf(one), rightOf(other));
      const place = across
        ? { left: half(rightOf(one) + other.left), top: half(shared) }
        : { left: half(shared), top: half(belowOf(one) + other.top) };
      return [{ way, gap, at: place, between: [index, at] }];
    };
    return [...beyond('across'), ...beyond('down')];
  });
}
/** Of two at the very same place, the one named later comes after. */
const isAfter = (one: Length, other: Length, index: number, at: number): boolean =>
  other > one || (other === one && at > index);

/** A line to which a moved window has snapped. */
export interface Guide {
  readonly way: 'across' | 'down';
  readonly at: Length;
}
interface Caught {
  readonly to: Length;
  readonly line: Length;
}

/** Where a span of this length may start to lie in line, at a bridge's distance or evenly with the others. */
function catches(own: Length, others: readonly { start: Length; end: Length }[], bridge: Length): Caught[] {
  const inLine = others.flatMap(({ start, end }): Caught[] => [
    { to: start, line: start },
    { to: minus(end, own), line: end },
    { to: length(start + Math.floor((end - start - own) / 2)), line: half(start + end) },
    { to: plus(end, bridge), line: plus(end, bridge) },
    { to: minus(start, own, bridge), line: minus(start, bridge) },
  ]);
  const even = others.flatMap((a) =>
    others.flatMap((b): Caught[] => {
      const gap = minus(b.start, a.end);
      if (gap <= 0) return [];
      const between: Caught[] = gap > own ? [{ to: plus(a.end, half(gap - own)), line: half(a.end + b.start) }] : [];
      return [
        ...between,
        { to: plus(b.end, gap), line: plus(b.end, gap) },
        { to: minus(a.start, gap, own), line: minus(a.start, gap) },
      ];
    }),
  );
  return [...inLine, ...even];
}

/**
 * Where a window comes to lie that is moved to `to`: in line with another (its edges or its middle), a bridge away, or
 * with even gaps, when that is within `reach`; else where it was let go. In each direction by itself.
 */
export function snapped(
  windows: readonly Placed[],
  index: number,
  to: Place,
  bridge: Bridges,
  reach: Length,
): { place: Place; guides: Guide[] } {
  const own = windows[index]!;
  const others = windows.filter((_, at) => at !== index);
  const nearest = (found: readonly Caught[], wish: Length) =>
    found
      .filter((caught) => Math.abs(caught.to - wish) <= reach)
      .reduce<Caught | undefined>(
        (best, one) => (best && Math.abs(best.to - wish) <= Math.abs(one.to - wish) ? best : one),
        undefined,
      );
  const x = nearest(
    catches(
      own.w,
      others.map((other) => ({ start: other.left, end: rightOf(other) })),
      bridge.across,
    ),
    to.left,
  );
  const y = nearest(
    catches(
      own.h,
      others.map((other) => ({ start: other.top, end: belowOf(other) })),
      bridge.down,
    ),
    to.top,
  );
  return {
    place: { left: x?.to ?? to.left, top: y?.to ?? to.top },
    guides: [
      ...(x ? [{ way: 'across' as const, at: x.line }] : []),
      ...(y ? [{ way: 'down' as const, at: y.line }] : []),
    ],
  };
}
