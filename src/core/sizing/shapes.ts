/**
 * Window shapes: rectangle, oval, circle, arch, chamfered and stepped corners. The outline is a path of lines and
 * quarter arcs, in the window's own rectangle; layers above are the same shape further out, with an even reveal.
 * Source: handbook, sizes, "Shapes".
 */
import { type Issue, issue } from '../issue';
import { type Length, type Size, length, plus, toMm } from '../units/length';

export const SHAPES = ['rectangle', 'oval', 'circle', 'arch', 'chamfer', 'step'] as const;
export type ShapeName = (typeof SHAPES)[number];
export interface WindowShape {
  readonly shape: ShapeName;
  /** The rise of an arch, the chamfer, or the depth of the step. */
  readonly corner?: Length | undefined;
}
export const CORNERED: readonly ShapeName[] = ['arch', 'chamfer', 'step'];

type Point = readonly [number, number];
/** From the point before to `to`: straight, or along an ellipse of these radii (clockwise), in millimetres. */
export type Stroke =
  | { readonly kind: 'line'; readonly to: Point }
  | { readonly kind: 'arc'; readonly to: Point; readonly rx: number; readonly ry: number };
export interface Outline {
  readonly from: Point;
  readonly strokes: readonly Stroke[];
}

const line = (x: number, y: number): Stroke => ({ kind: 'line', to: [x, y] });
const arc = (x: number, y: number, rx: number, ry = rx): Stroke => ({ kind: 'arc', to: [x, y], rx, ry });

/** Why a window of this shape cannot be, beside the field at `path`. */
export function shapeIssue(windowShape: WindowShape, opening: Size, path: string): Issue | undefined {
  if (windowShape.shape === 'circle' && opening.w !== opening.h)
    return issue('circle-not-round', { w: opening.w, h: opening.h }, path);
  const least = Math.min(opening.w, opening.h);
  const corner = windowShape.corner ?? 0;
  const tooMuch =
    (windowShape.shape === 'arch' && (corner >= opening.h || 2 * corner > opening.w)) ||
    ((windowShape.shape === 'chamfer' || windowShape.shape === 'step') && 2 * corner >= least);
  return tooMuch ? issue('corner-too-big', { corner, w: opening.w, h: opening.h }, path) : undefined;
}

/** The arch's rise when none is given: a half-round, as far as the height allows. */
export const archRise = (opening: Size): Length => length(Math.min(Math.floor(opening.w / 2), opening.h - 1));
export const usualCorner = (opening: Size): Length => length(Math.floor(Math.min(opening.w, opening.h) / 8));
export const cornerOf = (windowShape: WindowShape, opening: Size): Length =>
  windowShape.corner ?? (windowShape.shape === 'arch' ? archRise(opening) : usualCorner(opening));

const DIAGONAL = 2 - Math.SQRT2;

/** The same shape `by` further out on every side: what a layer above needs for an even reveal. */
export function shapeFurther(windowShape: WindowShape, opening: Size, by: Length): WindowShape {
  const corner = cornerOf(windowShape, opening);
  if (windowShape.shape === 'chamfer')
    return { ...windowShape, corner: plus(corner, length(Math.round(by * DIAGONAL))) };
  if (windowShape.shape === 'arch') return { ...windowShape, corner: plus(corner, by) };
  return windowShape.shape === 'step' ? { ...windowShape, corner } : windowShape;
}

/** The cut path of a window, clockwise from its upper left, in millimetres from the corner of its rectangle. */
export function outline(windowShape: WindowShape, opening: Size): Outline {
  const [w, h] = [toMm(opening.w), toMm(opening.h)];
  const c = toMm(cornerOf(windowShape, opening));
  switch (windowShape.shape) {
    case 'rectangle':
      return { from: [0, 0], strokes: [line(w, 0), line(w, h), line(0, h), line(0, 0)] };
    case 'oval':
    case 'circle':
      return {
        from: [0, h / 2],
        strokes: [
          arc(w / 2, 0, w / 2, h / 2),
          arc(w, h / 2, w / 2, h / 2),
          arc(w / 2, h, w / 2, h / 2),
          arc(0, h / 2, w / 2, h / 2),
        ],
      };
    case 'arch': {
      // A rise of half the width is a half-round; less is a segment of the circle through both springings and the crown.
      const radius = (c * c + (w / 2) ** 2) / (2 * c);
      return { from: [0, c], strokes: [arc(w / 2, 0, radius), arc(w, c, radius), line(w, h), line(0, h), line(0, c)] };
    }
    case 'chamfer':
      return {
        from: [c, 0],
        strokes: [
          line(w - c, 0),
          line(w, c),
          line(w, h - c),
          line(w - c, h),
          line(c, h),
          line(0, h - c),
          line(0, c),
          line(c, 0),
        ],
      };
    case 'step':
      return {
        from: [c, 0],
        strokes: [
          line(w - c, 0),
          line(w - c, c),
          line(w, c),
          line(w, h - c),
          line(w - c, h - c),
          line(w - c, h),
          line(c, h),
          line(c, h - c),
          line(0, h - c),
          line(0, c),
          line(c, c),
          line(c, 0),
        ],
      };
  }
}

/** The outline as points, for drawing: arcs in steps of a few degrees. */
export function outlinePoints({ from, strokes }: Outline, steps = 12): Point[] {
  const points: Point[] = [from];
  let point = from;
  for (const stroke of strokes) {
    if (stroke.kind === 'line') points.push(stroke.to);
    else points.push(...arcPoints(point, stroke, steps));
    point = stroke.to;
  }
  return points;
}

function arcPoints(
  [x0, y0]: Point,
  { to: [x1, y1], rx, ry }: Extract<Stroke, { kind: 'arc' }>,
  steps: number,
): Point[] {
  // On the unit circle: the centre lies to the right of the chord, clockwise on a page whose y runs down.
  const [ax, ay, bx, by] = [x0 / rx, y0 / ry, x1 / rx, y1 / ry];
  const [dx, dy] = [bx - ax, by - ay];
  const chord = Math.hypot(dx, dy);
  const off = Math.sqrt(Math.max(0, 1 - (chord / 2) ** 2));
  const [cx, cy] = [(ax + bx) / 2 - (dy / chord) * off, (ay + by) / 2 + (dx / chord) * off];
  const first = Math.atan2(ay - cy, ax - cx);
  let turn = Math.atan2(by - cy, bx - cx) - first;
  if (turn < 0) turn += 2 * Math.PI;
  return Array.from({ length: steps }, (_, k): Point => {
    const angle = first + (turn * (k + 1)) / steps;
    return [(cx + Math.cos(angle)) * rx, (cy + Math.sin(angle)) * ry];
  });
}

/** The path as text for SVG, in millimetres. */
export const svgPath = ({ from, strokes }: Outline): string =>
  [
    `M${from[0]} ${from[1]}`,
    ...strokes.map((stroke) =>
      stroke.kind === 'line'
        ? `L${stroke.to[0]} ${stroke.to[1]}`
        : `A${stroke.rx} ${stroke.ry} 0 0 1 ${stroke.to[0]} ${stroke.to[1]}`,
    ),
    'Z',
  ].join(' ');
