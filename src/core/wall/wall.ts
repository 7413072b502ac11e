/** A wall to hang on: its colour, and something beside the frames to see how large they are. */
import { inches, mm } from '../units/length';
import type { Shape } from '../drawing/scene';
import { rectangle, shade } from '../drawing/scene';
import type { Hung } from './hung';

export const THINGS = ['sofa', 'door', 'person'] as const;
export type Thing = (typeof THINGS)[number];
export interface WallChoice {
  /** `#rrggbb`; the shop's own wall when it is not said. */
  readonly colour?: string | undefined;
  readonly thing?: Thing | undefined;
  readonly hung?: readonly Hung[] | undefined;
}
export const WALL_COLOURS = [
  '#dad7cc',
  '#c8cfc6',
  '#efe9e0',
  '#dcc8ae',
  '#5f6b78',
  '#f7f5f0',
  '#8a5a4a',
  '#2f3b3a',
] as const;

/** How tall each is, in millimetres. */
export const TALL: Readonly<Record<Thing, number>> = { sofa: 820, door: 2030, person: 1720 };
const WIDE: Readonly<Record<Thing, number>> = { sofa: 1980, door: 830, person: 480 };
export const widthOfThing = (thing: Thing): number => WIDE[thing];

/** The thing in plain shapes, in millimetres, its left foot at `x` and the floor at `floor`. */
export function thingShapes(thing: Thing, x: number, floor: number, ground: string): Shape[] {
  const tone = shade(ground, -0.34);
  const dark = shade(ground, -0.5);
  const box = (left: number, above: number, w: number, h: number, fill = tone): Shape => ({
    kind: 'area',
    points: rectangle(x + left, floor - above - h, w, h),
    fill,
    line: dark,
  });
  if (thing === 'door')
    return [
      box(0, 0, WIDE.door, TALL.door, shade(ground, 0.25)),
      box(90, 1080, WIDE.door - 180, 800, shade(ground, 0.18)),
      box(90, 120, WIDE.door - 180, 780, shade(ground, 0.18)),
      { kind: 'dot', at: [x + 70, floor - 1000], radius: 22, fill: dark },
    ];
  if (thing === 'sofa')
    return [
      box(60, 380, WIDE.sofa - 120, 420),
      box(0, 60, 220, 560),
      box(WIDE.sofa - 220, 60, 220, 560),
      box(220, 60, WIDE.sofa - 440, 340, shade(ground, -0.26)),
      box(60, 0, 60, 60, dark),
      box(WIDE.sofa - 120, 0, 60, 60, dark),
    ];
  const body: readonly (readonly [number, number])[] = [
    [0.28, 0],
    [0.36, 0.48],
    [0.14, 0.5],
    [0.2, 0.8],
    [0.42, 0.84],
    [0.58, 0.84],
    [0.8, 0.8],
    [0.86, 0.5],
    [0.64, 0.48],
    [0.72, 0],
    [0.54, 0],
    [0.5, 0.42],
    [0.46, 0],
  ];
  return [
    {
      kind: 'area',
      points: body.map(([u, v]) => [x + u * WIDE.person, floor - v * TALL.person]),
      fill: tone,
      line: dark,
    },
    { kind: 'dot', at: [x + WIDE.person / 2, floor - 0.925 * TALL.person], radius: 0.068 * TALL.person, fill: tone },
  ];
}

/** The gap between the frames of a set, until somebody says otherwise. */
export const SET_GAP = { in: inches(2), mm: mm(50) } as const;
