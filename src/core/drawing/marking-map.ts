/** The marking map as a drawing in millimetres, and as a file for a machine. */
import { type MarkingMap, labelled } from '../instructions/marking-map';
import { toMm } from '../units/length';
import { dimensions } from './dimensions';
import { INK, type Point, type Scene, type Shape, rectangle } from './scene';
import { type Dot, type Looks, type VectorFile, type VectorPath, dxfOf, round, svgOf } from './vector-file';

const SOFT = '#6b6f6c';
/** Half a cross, in millimetres: to be pricked through at full size. */
const CROSS = 3;

/** A cross at each mark with its number beside it; `crisp` leaves out what is only there to be looked at. */
export function mapScene({ outside, package: pack, outline, framed, marks }: MarkingMap, scale = 1): Scene {
  const [w, h] = [toMm(outside.w), toMm(outside.h)];
  const [pw, ph] = [toMm(pack.w), toMm(pack.h)];
  const half = CROSS / scale;
  const cross = ({ at, text }: ReturnType<typeof labelled>[number]): Shape[] => {
    const [x, y] = [toMm(at.x), toMm(at.y)];
    const line = (points: readonly Point[]): Shape => ({ kind: 'line', points, line: INK, width: 0.5 });
    const inwards = x > w / 2 ? -1 : 1;
    return [
      line([
        [x - half, y],
        [x + half, y],
      ]),
      line([
        [x, y - half],
        [x, y + half],
      ]),
      {
        kind: 'text',
        at: [x + inwards * half * 1.5, y + half * 1.3],
        text,
        anchor: inwards > 0 ? 'start' : 'end',
      },
    ];
  };
  const shapes: Shape[] = [
    { kind: 'area', points: outline ?? rectangle(0, 0, w, h), fill: '#ffffff', line: INK },
    ...(framed && !outline
      ? [
          {
            kind: 'area',
            points: rectangle((w - pw) / 2, (h - ph) / 2, pw, ph),
            fill: 'none',
            line: SOFT,
            dashed: true,
          } as const,
        ]
      : []),
    ...labelled(marks).flatMap(cross),
    ...dimensions(outside, 9 / scale),
  ];
  return { width: w, height: h, shapes, about: 'marking map' };
}

type MapLayer = 'OUTLINE' | 'PACKAGE' | 'MARK' | 'HOLE';
const LOOKS: Looks<MapLayer> = {
  OUTLINE: { number: 7, stroke: '#20272b' },
  PACKAGE: { number: 8, stroke: '#6b6f6c' },
  MARK: { number: 5, stroke: '#0e6a5e' },
  HOLE: { number: 1, stroke: '#9e3226' },
};
const ROUND = 24;

/** In millimetres from the lower left, as machines have it: a cross at each mark, a circle as wide as its bit. */
export function mapFile(
  { outside, package: pack, outline, framed, marks, from }: MarkingMap,
  name: string,
): VectorFile<MapLayer> {
  const [w, h] = [toMm(outside.w), toMm(outside.h)];
  const [pw, ph] = [toMm(pack.w), toMm(pack.h)];
  const ring = (points: readonly Point[]): Dot[] => points.map(([x, y]): Dot => [round(x), round(h - y)]);
  const path = (layer: MapLayer, points: readonly Point[], closed: boolean): VectorPath<MapLayer> => ({
    layer,
    points: ring(points),
    closed,
  });
  const marked = marks.flatMap(({ at, drill }) => {
    const [x, y] = [toMm(at.x), toMm(at.y)];
    const radius = drill ? toMm(drill.clearance ?? drill.pilot) / 2 : 0;
    const circle = Array.from({ length: ROUND }, (_, step): Point => {
      const angle = (2 * Math.PI * step) / ROUND;
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
    });
    return [
      path(
        'MARK',
        [
          [x - CROSS, y],
          [x + CROSS, y],
        ],
        false,
      ),
      path(
        'MARK',
        [
          [x, y - CROSS],
          [x, y + CROSS],
        ],
        false,
      ),
      ...(radius > 0 ? [path('HOLE', circle, true)] : []),
    ];
  });
  return {
    name: `${name}, from ${from}`,
    w,
    h,
    paths: [
      path('OUTLINE', outline ?? rectangle(0, 0, w, h), true),
      ...(framed && !outline ? [path('PACKAGE', rectangle((w - pw) / 2, (h - ph) / 2, pw, ph), true)] : []),
      ...marked,
    ],
  };
}
export const mapDxf = (file: VectorFile<MapLayer>): string => dxfOf(file, LOOKS);
export const mapSvg = (file: VectorFile<MapLayer>): string => svgOf(file, LOOKS);
