/** Shapes that are cut round at full size: the boards in the sleeves of a garment, and its insert. Source: handbook, builds 9; R47. */
import type { BuildFigures } from '../builds/figures';
import { type Length, type Size, toMm } from '../units/length';
import { dimensions } from './dimensions';
import { INK, type Point, type Scene, type Shape, rectangle } from './scene';

export interface Template {
  readonly name: 'sleeve' | 'insert';
  /** How many are cut by it; the second of two is turned over. */
  readonly count: number;
  readonly w: number;
  readonly h: number;
  readonly scene: Scene;
}

const AWAY = 7;
const length = (x: number, y: number, value: Length): Shape => ({
  kind: 'length',
  at: [x, y],
  value,
  anchor: 'middle',
});

/** Right-angled at the cuff: its long edge the outer length, the other the length under the arm, the top slanted. */
export function sleeveOutline(cuff: Length, outer: Length, under: Length): Point[] {
  const [w, long, short] = [toMm(cuff), toMm(outer), toMm(under)];
  const high = Math.max(long, short);
  return [
    [0, high],
    [w, high],
    [w, high - short],
    [0, high - long],
  ];
}

const CURVE = 24;
/** The insert with its neck cut out as half an ellipse from the middle of its top, where both measures are known. */
export function insertOutline(insert: Size, neckWidth: Length | undefined, neckDepth: Length | undefined): Point[] {
  const [w, h] = [toMm(insert.w), toMm(insert.h)];
  const outline = rectangle(0, 0, w, h);
  if (!neckWidth || !neckDepth || neckWidth >= insert.w || neckDepth >= insert.h) return outline;
  const [across, deep] = [toMm(neckWidth) / 2, toMm(neckDepth)];
  const neck = Array.from({ length: CURVE + 1 }, (_, index): Point => {
    const turn = Math.PI * (index / CURVE);
    return [w / 2 - across * Math.cos(turn), deep * Math.sin(turn)];
  });
  return [[0, 0], ...neck, [w, 0], [w, h], [0, h]];
}

/** The templates of a garment; none where it has no sleeves that were measured, and no insert. */
export function templatesOf({
  insert,
  sleeveCuff,
  sleeveOuter,
  sleeveUnder,
  neckWidth,
  neckDepth,
}: BuildFigures): Template[] {
  const templates: Template[] = [];
  if (sleeveCuff && sleeveOuter && sleeveUnder) {
    const [w, h] = [toMm(sleeveCuff), Math.max(toMm(sleeveOuter), toMm(sleeveUnder))];
    const points = sleeveOutline(sleeveCuff, sleeveOuter, sleeveUnder);
    const shapes: Shape[] = [
      { kind: 'area', points, fill: 'none', line: INK },
      length(w / 2, h - AWAY, sleeveCuff),
      length(AWAY * 1.5, h - toMm(sleeveOuter) / 2, sleeveOuter),
      length(w - AWAY * 1.5, h - toMm(sleeveUnder) / 2, sleeveUnder),
    ];
    templates.push({ name: 'sleeve', count: 2, w, h, scene: { width: w, height: h, shapes, about: 'sleeve' } });
  }
  if (insert) {
    const [w, h] = [toMm(insert.w), toMm(insert.h)];
    const shapes: Shape[] = [
      { kind: 'area', points: insertOutline(insert, neckWidth, neckDepth), fill: 'none', line: INK },
      ...(neckWidth && neckDepth ? [length(w / 2, toMm(neckDepth) + 2 * AWAY, neckWidth)] : []),
      ...dimensions(insert, -AWAY),
    ];
    templates.push({ name: 'insert', count: 1, w, h, scene: { width: w, height: h, shapes, about: 'insert' } });
  }
  return templates;
}

/** A page of a template that is larger than the paper: where on it the page begins, and how it is called. */
export interface Tile {
  readonly name: string;
  readonly x: number;
  readonly y: number;
}
/** Pages side by side and below each other, in millimetres; `A1`, `B1`, then `A2`. */
export function tiles(w: number, h: number, page: { readonly w: number; readonly h: number }): Tile[] {
  const [across, down] = [Math.max(1, Math.ceil(w / page.w)), Math.max(1, Math.ceil(h / page.h))];
  return Array.from({ length: across * down }, (_, index) => {
    const [column, row] = [index % across, Math.floor(index / across)];
    return { name: `${String.fromCharCode(65 + (column % 26))}${row + 1}`, x: column * page.w, y: row * page.h };
  });
}
