/**
 * A mat as paths for a cutting machine, in millimetres from the lower left of the board as drawn from its face: OUTLINE
 * round the board, BEVEL for each window, SCORE where a turned edge is folded; the cut-out of a turned edge goes straight
 * through and is OUTLINE too. Written as DXF (R12, polylines) and SVG, one layer each. Source: handbook, sizes, "Mats".
 */
import type { CutLayer, Window } from '../builds/build';
import type { FlatPart } from '../parts/parts';
import { outline, outlinePoints, shapeFurther } from '../sizing/shapes';
import { grow, size, times, toMm } from '../units/length';

export const LAYERS = ['SCORE', 'BEVEL', 'OUTLINE'] as const;
export type CutLayerName = (typeof LAYERS)[number];
export type Dot = readonly [x: number, y: number];
export interface CutPath {
  readonly layer: CutLayerName;
  readonly points: readonly Dot[];
  readonly closed: boolean;
}
export interface MatFile {
  readonly name: string;
  readonly w: number;
  readonly h: number;
  readonly paths: readonly CutPath[];
}

/** Steps of a quarter turn: on a window of half a metre the chord is off by less than a hundredth of a millimetre. */
const STEPS = 64;

function windowPath(window: Window, layer: CutLayer, alone: boolean): { points: Dot[]; at: Dot } {
  const back = layer.back;
  const opening = alone ? layer.cut.window : grow(window, times(back, 2));
  const points = outlinePoints(outline(shapeFurther(window.shape, window, back), opening), STEPS);
  const at: Dot = [toMm(layer.cut.border.left) + toMm(window.left), toMm(layer.cut.border.top) + toMm(window.top)];
  return { points, at };
}

/** The paths of a mat as it is cut; undefined for a board without windows. */
export function matFile(part: FlatPart, name: string): MatFile | undefined {
  const { layer, windows, cut } = part;
  if (!layer || !windows || windows.length === 0) return undefined;
  const [w, h] = [toMm(cut.w), toMm(cut.h)];
  // The page's y runs down, the machine's up.
  const flip = ([x, y]: Dot, [dx, dy]: Dot): Dot => [round(x + dx), round(h - (y + dy))];
  const paths: CutPath[] = [
    {
      layer: 'OUTLINE',
      closed: true,
      points: [
        [0, 0],
        [w, 0],
        [w, h],
        [0, h],
      ].map(([x, y]): Dot => [round(x!), round(y!)]),
    },
  ];
  for (const window of windows) {
    const { points, at } = windowPath(window, layer, windows.length === 1);
    const ring = points.slice(0, -1).map((point) => flip(point, at));
    paths.push({ layer: layer.turned ? 'SCORE' : 'BEVEL', closed: true, points: ring });
    if (!layer.turned) continue;
    const tab = toMm(layer.turned.tab);
    const inner = outlinePoints(outline(window.shape, size(layer.turned.cutOut.w, layer.turned.cutOut.h)), STEPS);
    paths.push({
      layer: 'OUTLINE',
      closed: true,
      points: inner.slice(0, -1).map((point) => flip(point, [at[0] + tab, at[1] + tab])),
    });
  }
  return { name, w, h, paths };
}
const round = (value: number) => Math.round(value * 1e4) / 1e4;

const pair = (code: number, value: string | number) => `${code}\n${value}\n`;
const COLOURS: Readonly<Record<CutLayerName, number>> = { SCORE: 3, BEVEL: 5, OUTLINE: 7 };

export function writeDxf({ paths, w, h }: MatFile): string {
  const header = [
    pair(0, 'SECTION') + pair(2, 'HEADER'),
    pair(9, '$ACADVER') + pair(1, 'AC1009'),
    pair(9, '$EXTMIN') + pair(10, 0) + pair(20, 0),
    pair(9, '$EXTMAX') + pair(10, w) + pair(20, h),
    pair(0, 'ENDSEC'),
  ];
  const layers = LAYERS.map(
    (name) => pair(0, 'LAYER') + pair(2, name) + pair(70, 0) + pair(62, COLOURS[name]) + pair(6, 'CONTINUOUS'),
  );
  const tables =
    pair(0, 'SECTION') +
    pair(2, 'TABLES') +
    pair(0, 'TABLE') +
    pair(2, 'LAYER') +
    pair(70, LAYERS.length) +
    layers.join('');
  const entities = paths.map(
    ({ layer, closed, points }) =>
      pair(0, 'POLYLINE') +
      pair(8, layer) +
      pair(66, 1) +
      pair(70, closed ? 1 : 0) +
      points.map(([x, y]) => pair(0, 'VERTEX') + pair(8, layer) + pair(10, x) + pair(20, y)).join('') +
      pair(0, 'SEQEND'),
  );
  return [
    ...header,
    tables + pair(0, 'ENDTAB') + pair(0, 'ENDSEC'),
    pair(0, 'SECTION') + pair(2, 'ENTITIES'),
    ...entities,
    pair(0, 'ENDSEC') + pair(0, 'EOF'),
  ].join('');
}

const SVG_STROKE: Readonly<Record<CutLayerName, string>> = { SCORE: '#a4660b', BEVEL: '#0e6a5e', OUTLINE: '#20272b' };
export function writeSvg({ paths, w, h, name }: MatFile): string {
  const group = (layer: CutLayerName) => {
    const lines = paths
      .filter((path) => path.layer === layer)
      .map(({ points, closed }) => {
        const d = points.map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${x} ${round(h - y)}`).join(' ');
        return `    <path d="${d}${closed ? ' Z' : ''}"/>`;
      });
    return `  <g id="${layer}" fill="none" stroke="${SVG_STROKE[layer]}" stroke-width="0.2">\n${lines.join('\n')}\n  </g>`;
  };
  const title = name.replace(/[<>&]/g, ' ');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}">\n  <title>${title}</title>\n${LAYERS.map(group).join('\n')}\n</svg>\n`;
}
