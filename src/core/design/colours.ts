/** Colours as an eye tells them apart: in CIE Lab, D65. Source: CIE 15; sRGB by IEC 61966-2-1. */

export type Lab = readonly [l: number, a: number, b: number];

const linear = (part: number): number => {
  const value = part / 255;
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
};
const root = (value: number): number => (value > 216 / 24389 ? Math.cbrt(value) : ((24389 / 27) * value + 16) / 116);

/** `#rrggbb` in Lab. */
export function labOf(hex: string): Lab {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => linear(Number.parseInt(hex.slice(at, at + 2), 16)));
  const x = root((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047);
  const y = root(0.2126729 * r + 0.7151522 * g + 0.072175 * b);
  const z = root((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / 1.08883);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}
/** How far apart two colours are; about 2 is just seen. */
export const apart = ([l, a, b]: Lab, [l2, a2, b2]: Lab): number => Math.hypot(l - l2, a - a2, b - b2);

/** The thing whose colour is nearest. Undefined only where there is none. */
export function nearest<T extends { readonly colour: string }>(colour: string, things: readonly T[]): T | undefined {
  const to = labOf(colour);
  let best: { readonly thing: T; readonly far: number } | undefined;
  for (const thing of things) {
    const far = apart(to, labOf(thing.colour));
    if (!best || far < best.far) best = { thing, far };
  }
  return best?.thing;
}

const CELL = 32;
const two = (value: number) => Math.round(value).toString(16).padStart(2, '0');
/** Two that are nearer than this are one. */
const ONE = 14;

/**
 * The colours that make up most of a picture, the largest first, each far enough from the others: pixels counted in a grid
 * of 32 steps a channel, each cell by its mean. `data` is RGBA.
 */
export function palette(data: ArrayLike<number>, most: number): string[] {
  const cells = new Map<number, [count: number, r: number, g: number, b: number]>();
  for (let at = 0; at + 3 < data.length; at += 4) {
    if (data[at + 3]! < 128) continue;
    const [r, g, b] = [data[at]!, data[at + 1]!, data[at + 2]!];
    const key = (Math.floor(r / CELL) * 8 + Math.floor(g / CELL)) * 8 + Math.floor(b / CELL);
    const cell = cells.get(key) ?? [0, 0, 0, 0];
    cells.set(key, [cell[0] + 1, cell[1] + r, cell[2] + g, cell[3] + b]);
  }
  const found: string[] = [];
  for (const [count, r, g, b] of [...cells.values()].sort((one, other) => other[0] - one[0])) {
    if (found.length === most) break;
    const hex = `#${two(r / count)}${two(g / count)}${two(b / count)}`;
    if (found.every((other) => apart(labOf(other), labOf(hex)) >= ONE)) found.push(hex);
  }
  return found;
}
