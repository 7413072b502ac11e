/**
 * A mat as paths for a cutting machine, in millimetres from the lower left of the board as drawn from its face: OUTLINE
 * round the board, BEVEL for each window, SCORE where a turned edge is folded; the cut-out of a turned edge goes straight
 * through and is OUTLINE too, with a slit to each corner. Written as DXF and SVG, one layer each. Source: handbook, sizes, "Mats".
 */
import type { CutLayer, Window } from '../builds/build';
import { type Dot, type Looks, type VectorFile, type VectorPath, dxfOf, round, svgOf } from '../drawing/vector-file';
import type { FlatPart } from '../parts/parts';
import { outline, outlinePoints, shapeFurther } from '../sizing/shapes';
import { grow, size, times, toMm } from '../units/length';

export const LAYERS = ['SCORE', 'BEVEL', 'OUTLINE'] as const;
export type CutLayerName = (typeof LAYERS)[number];
export type CutPath = VectorPath<CutLayerName>;
export type MatFile = VectorFile<CutLayerName>;
const LOOKS: Looks<CutLayerName> = {
  SCORE: { number: 3, stroke: '#a4660b' },
  BEVEL: { number: 5, stroke: '#0e6a5e' },
  OUTLINE: { number: 7, stroke: '#20272b' },
};
export const writeDxf = (file: MatFile): string => dxfOf(file, LOOKS);
export const writeSvg = (file: MatFile): string => svgOf(file, LOOKS);

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
    if (window.shape.shape !== 'rectangle') continue;
    // From each corner of the cut-out to that of the window, so that the tabs fold without a crease.
    const [ww, wh] = [toMm(layer.turned.cutOut.w) + 2 * tab, toMm(layer.turned.cutOut.h) + 2 * tab];
    for (const [x, y] of [
      [0, 0],
      [ww, 0],
      [ww, wh],
      [0, wh],
    ] as const) {
      const inward: Dot = [x + (x === 0 ? tab : -tab), y + (y === 0 ? tab : -tab)];
      paths.push({ layer: 'OUTLINE', closed: false, points: [flip(inward, at), flip([x, y], at)] });
    }
  }
  return { name, w, h, paths };
}
