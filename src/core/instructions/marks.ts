/**
 * Where every fixing goes: from the left edge and the top of the frame's outside, seen from behind. What has no frame
 * is measured from the package. Source: handbook, jobs, "Holes and marks"; depth and hanging.
 */
import type { Hardware } from '../builds/build';
import { pointsOnSide } from '../parts/joining';
import { screwsOnSide } from '../parts/screws';
import type { StepKey } from '../route/steps';
import { type Length, type Size, length, minus, plus } from '../units/length';
import type { Has } from './has';

export interface Mark {
  readonly item: Hardware['item'];
  readonly step: StepKey;
  readonly x: Length;
  readonly y: Length;
}

/** Evenly along a side, half a distance from its ends: so many places. */
const along = (side: Length, count: number): Length[] =>
  Array.from({ length: count }, (_, index) => length(Math.round((side * (2 * index + 1)) / (2 * count))));

type Place = readonly [x: Length, y: Length];
/** Places round a rectangle that lies at `left`, `top`: so many on each side across, and on each upright. */
function round(left: Length, top: Length, of: Size, across: number, upright: number): Place[] {
  const [right, bottom] = [plus(left, of.w), plus(top, of.h)];
  return [
    ...along(of.w, across).flatMap((x): Place[] => [
      [plus(left, x), top],
      [plus(left, x), bottom],
    ]),
    ...along(of.h, upright).flatMap((y): Place[] => [
      [left, plus(top, y)],
      [right, plus(top, y)],
    ]),
  ];
}

/** Over the floor of the frame and in the bar of the piece, whatever they are: so far inside the piece's edge. */
const SCREW_IN = length(3048);
/** The same places, so far inside the rectangle that what is fastened there is met; never past its middle. */
function inside(left: Length, top: Length, of: Size, across: number, upright: number): Place[] {
  const by = length(Math.min(SCREW_IN, Math.floor(Math.min(of.w, of.h) / 4)));
  const inner = { w: minus(of.w, by, by), h: minus(of.h, by, by) };
  return round(plus(left, by), plus(top, by), inner, across, upright);
}

/** Shares a count over two kinds of sides as their lengths ask, so that all of them are placed. */
function shared(count: number, { w, h }: Size): [across: number, upright: number] {
  const half = Math.max(2, Math.floor(count / 2));
  const across = Math.max(1, Math.min(half - 1, Math.round((half * w) / (w + h))));
  return [across, half - across];
}

export function marksOf(has: Has): Mark[] {
  const { worked, settings, hanging } = has;
  const { sizes } = worked;
  const outside = has.inFrame ? (sizes.outside ?? sizes.package) : sizes.package;
  const pack = sizes.package;
  const [left, top] = [length(Math.floor((outside.w - pack.w) / 2)), length(Math.floor((outside.h - pack.h) / 2))];
  const marks: Mark[] = [];
  const put = (item: Mark['item'], step: StepKey, places: readonly Place[]) => {
    if (has.worked.route.some((one) => one.step === step))
      for (const [x, y] of places) marks.push({ item, step, x, y });
  };
  for (const item of ['flexible point', 'rigid point'] as const)
    if (has.count(item) > 0)
      put(item, 'fit', round(left, top, pack, pointsOnSide(pack.w, settings), pointsOnSide(pack.h, settings)));
  for (const item of ['spring clip', 'clip', 'offset clip'] as const)
    if (has.count(item) > 0) put(item, 'fit', round(left, top, pack, ...shared(has.count(item), pack)));
  if (has.count('tab') > 0) put('tab', 'fit', round(left, top, pack, 0, has.count('tab') / 2));
  if (has.layer('pane') && has.count('pin') > 0)
    put('pin', 'fit', round(left, top, pack, ...shared(has.count('pin'), pack)));
  if (has.count('screw') > 0 && has.count('riser block') > 0)
    put('riser block', 'mount', inside(left, top, pack, ...shared(has.count('riser block'), pack)));
  if (has.count('screw') > 0) {
    const evenly: [number, number] = [screwsOnSide(pack.w, settings), screwsOnSide(pack.h, settings)];
    const counted = 2 * (evenly[0] + evenly[1]) === has.count('screw') ? evenly : shared(has.count('screw'), pack);
    put('screw', 'mount', inside(left, top, pack, ...counted));
  }
  for (const item of ['hinge', 'tape hinge'] as const)
    if (has.count(item) > 0 && !has.design.several) {
      const { larger } = sizes.piece;
      const inset: Place = [
        length(Math.floor((outside.w - larger.w) / 2)),
        length(Math.floor((outside.h - larger.h) / 2)),
      ];
      put(
        item,
        'mount',
        along(larger.w, has.count(item)).map((x): Place => [plus(inset[0], x), inset[1]]),
      );
    }
  if (has.count('corner pocket') === 4 || has.count('pad') === 4) {
    const { larger } = sizes.piece;
    const x = length(Math.floor((outside.w - larger.w) / 2));
    const y = length(Math.floor((outside.h - larger.h) / 2));
    put(has.count('pad') === 4 ? 'pad' : 'corner pocket', 'mount', corners(x, y, larger));
  }
  if (has.framed && has.count('wedge') > 0) put('wedge', 'join', atMitres(has, outside, has.count('wedge') / 4));
  if (hanging && sizes.outside) {
    const inset = length(Math.floor((outside.w - hanging.span) / 2));
    if (hanging.by === 'sawtooth') {
      const apart = hanging.apart;
      const xs =
        apart === undefined
          ? [length(Math.floor(outside.w / 2))]
          : [length(Math.floor((outside.w - apart) / 2)), length(Math.floor((outside.w + apart) / 2))];
      put(
        'sawtooth',
        'back-and-hang',
        xs.map((x): Place => [x, hanging.hookDrop]),
      );
    } else
      put(has.count('hook') > 0 ? 'hook' : 'ring', 'back-and-hang', [
        [inset, hanging.ringDrop],
        [minus(outside.w, inset), hanging.ringDrop],
      ]);
    const face = length(Math.floor(((sizes.frames.at(-1)?.moulding.faceWidth ?? 0) as number) / 2));
    put('bumper', 'back-and-hang', [
      [face, minus(outside.h, face)],
      [minus(outside.w, face), minus(outside.h, face)],
    ]);
  }
  if (has.count('corner brace') > 0) {
    const face = sizes.frames.at(-1)?.moulding.faceWidth ?? length(0);
    put(
      'corner brace',
      'back-and-hang',
      corners(face, face, { w: minus(outside.w, face, face), h: minus(outside.h, face, face) }),
    );
  }
  return marks;
}

function corners(left: Length, top: Length, of: Size): Place[] {
  const [right, bottom] = [plus(left, of.w), plus(top, of.h)];
  return [
    [left, top],
    [right, top],
    [left, bottom],
    [right, bottom],
  ];
}

/** Along each mitre, from the inside out. */
function atMitres(has: Has, outside: Size, aCorner: number): Place[] {
  const face = has.worked.sizes.frames.at(-1)?.moulding.faceWidth ?? length(0);
  return along(face, Math.min(6, aCorner)).flatMap((inset) =>
    corners(inset, inset, { w: minus(outside.w, inset, inset), h: minus(outside.h, inset, inset) }),
  );
}
