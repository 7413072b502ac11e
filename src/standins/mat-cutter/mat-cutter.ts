/**
 * A mat cutter that is not there. It takes a DXF file, refuses what it could not cut, and plays the cuts one after the
 * other: scores first, then bevels, the board's outline last so that nothing shifts; each with its travel and its time.
 */
import { type Outcome, bad, good, issue } from '@/core/issue';
import type { Dot } from '@/core/drawing/vector-file';
import { type CutLayerName, type CutPath, LAYERS } from '@/core/mat-cut/paths';
import { readDxf } from '@/core/mat-cut/read-dxf';
import type { MatCutter, MatCutterPlay, PlayedCut } from '../ports';

export interface Machine {
  readonly bedW: number;
  readonly bedH: number;
  /** Millimetres a second with the blade in the board, by layer; and without. */
  readonly speed: Readonly<Record<CutLayerName, number>>;
  readonly travel: number;
  /** Seconds to turn and sink the blade, at each cut and at each corner of a bevel. */
  readonly sink: number;
  readonly corner: number;
}
const USUAL: Machine = {
  bedW: 1220,
  bedH: 1020,
  speed: { SCORE: 180, BEVEL: 110, OUTLINE: 140 },
  travel: 320,
  sink: 0.8,
  corner: 0.6,
};
const CLOSES_MM = 0.05;
const SHARP = 20;

const apart = (a: Dot, b: Dot) => Math.hypot(a[0] - b[0], a[1] - b[1]);
const ringOf = ({ points, closed }: CutPath): Dot[] => (closed ? [...points, points[0]!] : [...points]);
const long = (path: CutPath) =>
  ringOf(path).reduce((sum, point, at, all) => sum + (at > 0 ? apart(all[at - 1]!, point) : 0), 0);

/** Corners where the blade has to come up and turn: changes of direction sharper than a curve's. */
function corners(path: CutPath): number {
  const ring = ringOf(path);
  let count = 0;
  for (let at = 1; at + 1 < ring.length; at += 1) {
    const [a, b, c] = [ring[at - 1]!, ring[at]!, ring[at + 1]!];
    const turn =
      Math.abs(Math.atan2(c[1] - b[1], c[0] - b[0]) - Math.atan2(b[1] - a[1], b[0] - a[0])) * (180 / Math.PI);
    if (Math.min(turn, 360 - turn) > SHARP) count += 1;
  }
  return count + 1;
}

function within([x, y]: Dot, ring: readonly Dot[]): boolean {
  let inside = false;
  for (let at = 0, before = ring.length - 1; at < ring.length; before = at, at += 1) {
    const [ax, ay] = ring[at]!;
    const [bx, by] = ring[before]!;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
  }
  return inside;
}

function check(paths: readonly CutPath[], { bedW, bedH }: Machine): Outcome<readonly CutPath[]> {
  if (paths.length === 0) return bad(issue('machine-empty'));
  const all = paths.flatMap((path) => path.points);
  const [w, h] = [Math.max(...all.map(([x]) => x)), Math.max(...all.map(([, y]) => y))];
  const low = Math.min(...all.flat());
  if (low < -CLOSES_MM || w > bedW || h > bedH)
    return bad(issue('machine-bed', { w: Math.round(w), h: Math.round(h), bedW, bedH }));
  for (const path of paths) {
    // A straight cut ends where it ends: a slit to the corner of a turned edge.
    if (path.closed || path.layer === 'SCORE' || (path.layer === 'OUTLINE' && path.points.length === 2)) continue;
    const gap = apart(path.points[0]!, path.points.at(-1)!);
    if (gap > CLOSES_MM) return bad(issue('machine-open', { layer: path.layer, gap: Math.round(gap * 100) / 100 }));
  }
  const outlines = paths.filter((path) => path.layer === 'OUTLINE' && path.closed);
  const board = outlines.sort((a, b) => long(b) - long(a))[0];
  if (!board) return bad(issue('machine-no-outline'));
  const stray = paths.find((path) => path !== board && path.points.some((point) => !within(point, board.points)));
  return stray ? bad(issue('machine-outside', { layer: stray.layer })) : good(paths);
}

export function simulatedMatCutter(machine: Machine = USUAL): MatCutter {
  return {
    bed: { w: machine.bedW, h: machine.bedH },
    take(text): Outcome<MatCutterPlay> {
      const read = readDxf(text);
      if (!read.ok) return read;
      const checked = check(read.value, machine);
      if (!checked.ok) return checked;
      let at: Dot = [0, 0];
      let clock = 0;
      const order = [...checked.value].sort(
        (a, b) => LAYERS.indexOf(a.layer) - LAYERS.indexOf(b.layer) || long(a) - long(b),
      );
      const cuts = order.map((path): PlayedCut => {
        const ring = ringOf(path);
        const length = long(path);
        const starts = clock + apart(at, ring[0]!) / machine.travel + machine.sink;
        const lift = path.layer === 'BEVEL' ? corners(path) * machine.corner : 0;
        clock = starts + length / machine.speed[path.layer] + lift;
        at = ring.at(-1)!;
        return { layer: path.layer, points: ring, length, starts, ends: clock };
      });
      return good({ cuts, seconds: clock, length: cuts.reduce((sum, cut) => sum + cut.length, 0) });
    },
  };
}
