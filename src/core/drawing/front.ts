/** The piece framed, seen from the front, to scale: wall shadow, mitred legs with shading, bevels, lip shadow, dimensions. */
import type { PieceKind } from '../design/design';
import type { WorkedOut } from '../work-out';
import { type Size, toMm } from '../units/length';
import { slope } from './profile';
import { type Point, type Scene, type Shape, rectangle, shade } from './scene';

const BANDS = 12;
const INK = '#20272b';

/** The four sides of a mitred band between two insets, with the light from the upper left. */
function band(w: number, h: number, from: number, to: number): { points: Point[]; light: number }[] {
  const [a, b] = [from, to];
  return [
    {
      points: [
        [a, a],
        [w - a, a],
        [w - b, b],
        [b, b],
      ],
      light: 1,
    },
    {
      points: [
        [w - a, a],
        [w - a, h - a],
        [w - b, h - b],
        [w - b, b],
      ],
      light: -0.8,
    },
    {
      points: [
        [a, h - a],
        [b, h - b],
        [w - b, h - b],
        [w - a, h - a],
      ],
      light: -1,
    },
    {
      points: [
        [a, a],
        [b, b],
        [b, h - b],
        [a, h - a],
      ],
      light: 0.8,
    },
  ];
}

function frame(outside: Size, { resolved: { moulding } }: WorkedOut): Shape[] {
  const [w, h, face] = [toMm(outside.w), toMm(outside.h), toMm(moulding.faceWidth)];
  const bands = Array.from({ length: BANDS }, (_, k) => {
    const turn = slope(moulding.profile, (k + 0.5) / BANDS);
    return band(w, h, (face * k) / BANDS, (face * (k + 1)) / BANDS).map(({ points, light }): Shape => ({
      kind: 'area',
      points,
      fill: shade(moulding.colour, 0.07 * light + 0.16 * light * turn),
    }));
  }).flat();
  const mitres: Shape[] = (
    [
      [0, 0, face, face],
      [w, 0, w - face, face],
      [0, h, face, h - face],
      [w, h, w - face, h - face],
    ] as const
  ).map(([x1, y1, x2, y2]) => ({
    kind: 'line',
    points: [
      [x1, y1],
      [x2, y2],
    ],
    line: shade(moulding.colour, -0.45),
    width: 0.5,
  }));
  const edges: Shape[] = [
    { kind: 'area', points: rectangle(0, 0, w, h), fill: 'none', line: shade(moulding.colour, -0.5) },
    {
      kind: 'area',
      points: rectangle(face, face, w - 2 * face, h - 2 * face),
      fill: 'none',
      line: shade(moulding.colour, -0.55),
    },
  ];
  return [...bands, ...mitres, ...edges];
}

const PAPER: Readonly<Record<PieceKind, readonly [paper: string, mark: string, accent: string]>> = {
  print: ['#efe7d2', '#3d5a66', '#c9b487'],
  poster: ['#e9dfc6', '#8b3a2b', '#d7a53f'],
  photograph: ['#8d9396', '#3c4245', '#c8cccd'],
  certificate: ['#f6f1e2', '#5c6063', '#b79b52'],
  chart: ['#efe7d2', '#3d5a66', '#c9b487'],
  drawing: ['#f1ecdf', '#55595b', '#a9a79d'],
  pastel: ['#d9cdb9', '#a8664f', '#7d93a6'],
  charcoal: ['#e6e0d4', '#2f3133', '#8c8a85'],
  watercolour: ['#f0eadb', '#5a8199', '#9db59a'],
  painting: ['#b9a782', '#44616b', '#a0592f'],
  textile: ['#cfc3a8', '#6b4e3d', '#94816a'],
};

/** An invented picture that fills the window: a shore and the lines of the water, or lines of writing. */
function artwork(kind: PieceKind, x: number, y: number, w: number, h: number): Shape[] {
  const [paper, mark, accent] = PAPER[kind];
  const ground: Shape = { kind: 'area', points: rectangle(x, y, w, h), fill: paper };
  const at = (u: number, v: number): Point => [x + u * w, y + v * h];
  if (kind === 'certificate') {
    const rules = [0.3, 0.42, 0.5, 0.58, 0.66].map((v, k): Shape => {
      const half = k === 0 ? 0.26 : 0.34 - 0.02 * k;
      return { kind: 'line', points: [at(0.5 - half, v), at(0.5 + half, v)], line: mark, width: k === 0 ? 2 : 0.8 };
    });
    return [ground, ...rules, { kind: 'dot', at: at(0.5, 0.82), radius: Math.min(w, h) * 0.05, fill: accent }];
  }
  const shore = [
    [0.56, 0],
    [0.52, 0.1],
    [0.6, 0.18],
    [0.71, 0.22],
    [0.84, 0.2],
    [0.93, 0.26],
    [1, 0.24],
    [1, 0],
  ] as const;
  const lines = Array.from({ length: 9 }, (_, row): Shape => {
    const points = Array.from({ length: 25 }, (_, k): Point => {
      const u = k / 24;
      return at(u, 0.3 + row * 0.068 + 0.018 * Math.sin(u * 9 + row * 0.8) + 0.014 * Math.cos(u * 17 - row) - 0.02 * u);
    });
    return { kind: 'line', points, line: mark, width: 0.5 };
  });
  return [ground, { kind: 'area', points: shore.map(([u, v]) => at(u, v)), fill: accent }, ...lines];
}

function mats({ sizes, resolved }: WorkedOut): Shape[] {
  const [w, h] = [toMm(sizes.package.w), toMm(sizes.package.h)];
  const edge = toMm(sizes.outside.w) / 2 - w / 2;
  const top = toMm(sizes.outside.h) / 2 - h / 2;
  return sizes.layers.flatMap((layer, index): Shape[] => {
    const board = resolved.mats[index]!;
    const bevel = Math.max(0.8, toMm(board.thickness));
    const [x, y] = [edge + toMm(layer.border.left), top + toMm(layer.border.top)];
    const [ow, oh] = [toMm(layer.opening.w), toMm(layer.opening.h)];
    const area = index === 0 ? rectangle(edge, top, w, h) : rectangle(x - 40, y - 40, ow + 80, oh + 80);
    const above = sizes.layers[index - 1];
    const clipped = above
      ? rectangle(
          edge + toMm(above.border.left),
          top + toMm(above.border.top),
          toMm(above.opening.w),
          toMm(above.opening.h),
        )
      : area;
    return [
      { kind: 'area', points: clipped, fill: board.colour },
      {
        kind: 'area',
        points: rectangle(x - bevel, y - bevel, ow + 2 * bevel, oh + 2 * bevel),
        fill: '#fbf8f0',
        line: '#b9b19f',
      },
    ];
  });
}

/** A dimension line with mitre ticks; `at` is how far outside the frame it stands. */
function dimensions(outside: Size, at: number): Shape[] {
  const [w, h] = [toMm(outside.w), toMm(outside.h)];
  const tick = at * 0.14;
  const across: Shape[] = [
    {
      kind: 'line',
      points: [
        [0, h + at],
        [w, h + at],
      ],
      line: INK,
      width: 0.35,
    },
    {
      kind: 'line',
      points: [
        [-tick, h + at + tick],
        [tick, h + at - tick],
      ],
      line: INK,
      width: 0.6,
    },
    {
      kind: 'line',
      points: [
        [w - tick, h + at + tick],
        [w + tick, h + at - tick],
      ],
      line: INK,
      width: 0.6,
    },
    { kind: 'length', at: [w / 2, h + at], value: outside.w, anchor: 'middle' },
  ];
  const up: Shape[] = [
    {
      kind: 'line',
      points: [
        [-at, 0],
        [-at, h],
      ],
      line: INK,
      width: 0.35,
    },
    {
      kind: 'line',
      points: [
        [-at - tick, tick],
        [-at + tick, -tick],
      ],
      line: INK,
      width: 0.6,
    },
    {
      kind: 'line',
      points: [
        [-at - tick, h + tick],
        [-at + tick, h - tick],
      ],
      line: INK,
      width: 0.6,
    },
    { kind: 'length', at: [-at, h / 2], value: outside.h, anchor: 'middle' },
  ];
  return [...across, ...up];
}

const move = (shape: Shape, dx: number, dy: number): Shape =>
  'points' in shape
    ? { ...shape, points: shape.points.map(([x, y]): Point => [x + dx, y + dy]) }
    : { ...shape, at: [shape.at[0] + dx, shape.at[1] + dy] };

/** The framed piece, with its outside dimensions or bare (for a small picture). */
export function frontScene(worked: WorkedOut, withDimensions = true): Scene {
  const { sizes, resolved } = worked;
  const [w, h] = [toMm(sizes.outside.w), toMm(sizes.outside.h)];
  const face = toMm(resolved.moulding.faceWidth);
  const margin = withDimensions ? Math.max(w, h) * 0.115 : face * 0.4;
  const open = { w: toMm(sizes.opening.w), h: toMm(sizes.opening.h) };
  const x = w / 2 - toMm(sizes.package.w) / 2 + toMm(sizes.border.left);
  const y = h / 2 - toMm(sizes.package.h) / 2 + toMm(sizes.border.top);
  const drop = face * 0.16;
  const lip: Shape[] = [
    {
      kind: 'area',
      points: [
        [face, face],
        [w - face, face],
        [w - face - drop, face + drop],
        [face + drop, face + drop],
      ],
      fill: '#20272b2e',
    },
    {
      kind: 'area',
      points: [
        [face, face],
        [face + drop, face + drop],
        [face + drop, h - face - drop],
        [face, h - face],
      ],
      fill: '#20272b1f',
    },
  ];
  const wall = [0.5, 0.32, 0.16].map((share): Shape => {
    const spread = face * share;
    return {
      kind: 'area',
      points: rectangle(spread * 0.35, spread * 0.6, w + spread * 0.25, h + spread * 0.35),
      fill: '#20272b14',
    };
  });
  const shapes = [
    ...wall,
    ...mats(worked),
    ...artwork(resolved.design.piece.kind, x, y, open.w, open.h),
    ...lip,
    ...frame(sizes.outside, worked),
    ...(withDimensions ? dimensions(sizes.outside, margin * 0.42) : []),
  ];
  const [left, above] = [margin, margin * 0.35];
  return {
    width: w + left + Math.max(left * 0.3, face * 0.35),
    height: h + above + Math.max(margin, face * 0.55),
    shapes: shapes.map((shape) => move(shape, left, above)),
    about: 'front',
  };
}
