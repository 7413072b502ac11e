/** Shapes cut to a box: what of a drawing is seen in a window. */
import type { Box, Point, Shape } from './scene';

interface Edge {
  readonly inside: (point: Point) => boolean;
  /** Where the way from one point to another crosses the edge. */
  readonly cross: (from: Point, to: Point) => Point;
}
const crossX =
  (x: number) =>
  ([ax, ay]: Point, [bx, by]: Point): Point => [x, ay + ((by - ay) * (x - ax)) / (bx - ax)];
const crossY =
  (y: number) =>
  ([ax, ay]: Point, [bx, by]: Point): Point => [ax + ((bx - ax) * (y - ay)) / (by - ay), y];
const edgesOf = ({ x, y, w, h }: Box): readonly Edge[] => [
  { inside: ([px]) => px >= x, cross: crossX(x) },
  { inside: ([px]) => px <= x + w, cross: crossX(x + w) },
  { inside: ([, py]) => py >= y, cross: crossY(y) },
  { inside: ([, py]) => py <= y + h, cross: crossY(y + h) },
];

/** An area within the edges; it may have come to nothing. */
function area(points: readonly Point[], edges: readonly Edge[]): readonly Point[] {
  return edges.reduce<readonly Point[]>(
    (corners, { inside, cross }) =>
      corners.flatMap((to, index) => {
        const from = corners.at(index - 1)!;
        if (inside(from) === inside(to)) return inside(to) ? [to] : [];
        return inside(to) ? [cross(from, to), to] : [cross(from, to)];
      }),
    points,
  );
}

/** A line within the edges: the stretches of it that are. */
function stretches(points: readonly Point[], edges: readonly Edge[]): Point[][] {
  return edges.reduce<Point[][]>(
    (lines, { inside, cross }) =>
      lines.flatMap((line) => {
        const kept: Point[][] = [];
        let now: Point[] = [];
        for (const [index, to] of line.entries()) {
          const from = line[index - 1];
          if (from && inside(from) !== inside(to)) now.push(cross(from, to));
          if (inside(to)) now.push(to);
          else if (now.length > 0) {
            kept.push(now);
            now = [];
          }
        }
        return [...kept, now].filter((one) => one.length > 1);
      }),
    [[...points]],
  );
}

/** What of these shapes lies within the box; a picture already says what of it is seen, words are left out beyond it. */
export function clipped(shapes: readonly Shape[], box: Box): Shape[] {
  const edges = edgesOf(box);
  return shapes.flatMap((shape): Shape[] => {
    if (shape.kind === 'area') {
      const points = area(shape.points, edges);
      return points.length > 2 ? [{ ...shape, points }] : [];
    }
    if (shape.kind === 'line') return stretches(shape.points, edges).map((points) => ({ ...shape, points }));
    if (shape.kind === 'picture') return [shape];
    return edges.every(({ inside }) => inside(shape.at)) ? [shape] : [];
  });
}
