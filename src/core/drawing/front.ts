/** The piece framed, seen from the front, to scale: wall shadow, mitred legs with shading, bevels, lip shadow, dimensions. */
import type { BuildCode } from '../builds';
import type { PieceKind } from '../design/design';
import type { Moulding } from '../materials';
import { outline, outlinePoints, shapeFurther } from '../sizing/shapes';
import type { WorkedOut } from '../work-out';
import { type Length, type Size, mm, plus, times, toMm } from '../units/length';
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

/** A mitred frame whose outside lies at `x`, `y`; `face` is as wide as it is seen. */
function mitred(x: number, y: number, w: number, h: number, face: number, moulding: Moulding): Shape[] {
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
  return [...bands, ...mitres, ...edges].map((shape) => move(shape, x, y));
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
  chalk: ['#4b5350', '#e8e4d8', '#c2a27c'],
  needlework: ['#e4dcc8', '#7a3f3c', '#5f7358'],
  canvas: ['#b9a782', '#44616b', '#a0592f'],
  panel: ['#a9966f', '#3f5a50', '#8c5a34'],
  object: ['#00000000', '#7c6640', '#b89a5c'],
  garment: ['#00000000', '#33505c', '#e3d9c2'],
  mirror: ['#d5dfe2', '#f4f8f9', '#b4c3c8'],
};

/** A shirt laid flat, its sleeves to the sides. */
function shirt(at: (u: number, v: number) => Point, cloth: string, collar: string): Shape[] {
  const outlineOf = [
    [0.36, 0.08],
    [0.64, 0.08],
    [0.98, 0.24],
    [0.9, 0.42],
    [0.76, 0.36],
    [0.76, 0.96],
    [0.24, 0.96],
    [0.24, 0.36],
    [0.1, 0.42],
    [0.02, 0.24],
  ] as const;
  const neck = [
    [0.38, 0.08],
    [0.44, 0.18],
    [0.56, 0.18],
    [0.62, 0.08],
  ] as const;
  const band = [
    [0.24, 0.5],
    [0.76, 0.5],
    [0.76, 0.6],
    [0.24, 0.6],
  ] as const;
  return [
    { kind: 'area', points: outlineOf.map(([u, v]) => at(u, v)), fill: cloth, line: shade(cloth, -0.4) },
    { kind: 'area', points: neck.map(([u, v]) => at(u, v)), fill: collar, line: shade(cloth, -0.4) },
    { kind: 'area', points: band.map(([u, v]) => at(u, v)), fill: collar },
  ];
}

/** A ship's compass with its shadow: an object that stands off the floor of its box. */
function compass(at: (u: number, v: number) => Point, w: number, h: number, brass: string, dial: string): Shape[] {
  const ring = (radius: number, dx = 0): Point[] =>
    Array.from({ length: 40 }, (_, k) => {
      const angle = (k / 40) * 2 * Math.PI;
      const [x, y] = at(0.5, 0.5);
      const r = (Math.min(w, h) / 2) * radius;
      return [x + dx + r * Math.cos(angle), y + dx + r * Math.sin(angle)];
    });
  return [
    { kind: 'area', points: ring(0.98, Math.min(w, h) * 0.05), fill: '#20272b30' },
    { kind: 'area', points: ring(0.98), fill: brass, line: shade(brass, -0.5) },
    { kind: 'area', points: ring(0.78), fill: '#f3ecd9', line: shade(brass, -0.5) },
    {
      kind: 'area',
      points: [at(0.5, 0.18), at(0.55, 0.5), at(0.5, 0.82), at(0.45, 0.5)],
      fill: dial,
      line: shade(dial, -0.4),
    },
  ];
}

/** An invented picture that fills the window: a shore and the lines of the water, or what the piece is. */
function artwork(kind: PieceKind, x: number, y: number, w: number, h: number): Shape[] {
  const [paper, mark, accent] = PAPER[w > 5 * h ? 'certificate' : kind];
  const ground: Shape = { kind: 'area', points: rectangle(x, y, w, h), fill: paper };
  const at = (u: number, v: number): Point => [x + u * w, y + v * h];
  if (w > 5 * h) return [ground, { kind: 'line', points: [at(0.3, 0.5), at(0.7, 0.5)], line: mark, width: 1.6 }];
  if (kind === 'garment') return shirt(at, mark, accent);
  if (kind === 'object') return compass(at, w, h, accent, mark);
  if (kind === 'mirror') {
    const glints = [0.2, 0.28, 0.62].map((u): Shape => ({
      kind: 'line',
      points: [at(u, 0.12), at(u - 0.16, 0.42)],
      line: mark,
      width: 1.2,
    }));
    return [ground, ...glints];
  }
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

/** An area with holes, as one outline that runs in to each hole and back. */
const holed = (outer: readonly Point[], holes: readonly (readonly Point[])[]): Point[] => [
  ...outer,
  outer[0]!,
  ...holes.flatMap((hole) => [hole[0]!, ...[...hole].reverse(), outer[0]!]),
];

/** Mats over the artwork, the lowest first, each with its bevels; every window by its shape. */
function mats({ sizes, resolved }: WorkedOut, edge: number, top: number): Shape[] {
  const { matted } = sizes;
  if (!matted) return [];
  const pack = rectangle(edge, top, toMm(sizes.package.w), toMm(sizes.package.h));
  const innermost = { x: edge + toMm(matted.border.left), y: top + toMm(matted.border.top) };
  const holeOf = (window: (typeof matted.windows)[number], back: Length): Point[] => {
    const size = { w: plus(window.w, times(back, 2)), h: plus(window.h, times(back, 2)) };
    const dx = innermost.x + toMm(window.left) - toMm(back);
    const dy = innermost.y + toMm(window.top) - toMm(back);
    return outlinePoints(outline(shapeFurther(window.shape, window, back), size)).map(([x, y]): Point => [
      x + dx,
      y + dy,
    ]);
  };
  return [...matted.layers.entries()].reverse().flatMap(([index, layer]): Shape[] => {
    const board = resolved.mats[index]!;
    const bevel = layer.turned ? 0 : Math.max(0.8, toMm(board.thickness));
    const holes = matted.windows.map((one) => holeOf(one, layer.back));
    const bevels = matted.windows.map((one, k): Shape => {
      const outer = holeOf(one, plus(layer.back, mm(bevel)));
      return { kind: 'area', points: holed(outer, [holes[k]!]), fill: '#fbf8f0' };
    });
    const rims = holes.map((points): Shape => ({ kind: 'area', points, fill: 'none', line: '#b9b19f' }));
    return [{ kind: 'area', points: holed(pack, holes), fill: board.colour }, ...(bevel > 0 ? bevels : []), ...rims];
  });
}

interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}
const boxed = ({ x, y, w, h }: Box) => rectangle(x, y, w, h);
const centred = (inside: Box, of: Size): Box => {
  const [w, h] = [toMm(of.w), toMm(of.h)];
  return { x: inside.x + (inside.w - w) / 2, y: inside.y + (inside.h - h) / 2, w, h };
};

/** What lies behind the piece where it does not fill its place: a float board, a dark gap, the floor of a box. */
const GROUNDS: Partial<Record<BuildCode, string>> = {
  floater: '#2b2a27',
  float: '#f1e9d8',
  'shadow-box': '#e6dcc4',
  garment: '#ece4d2',
  'glass-sandwich': '#dfe9e8',
  fabric: '#e9e1cf',
};

/** The piece as it is seen, and what is seen around it. */
function pieces(worked: WorkedOut, area: Box): Shape[] {
  const { sizes, resolved } = worked;
  const { kind } = resolved.design.piece;
  const { build } = resolved.design;
  const { matted } = sizes;
  const ground = build === 'tray' ? shade(resolved.moulding.colour, 0.25) : (GROUNDS[build] ?? '#efe7d2');
  const under: Shape = { kind: 'area', points: boxed(area), fill: ground };
  if (!matted) {
    const piece = centred(area, sizes.piece.larger);
    const floats = piece.w < area.w - 0.5 || piece.h < area.h - 0.5;
    const shadow: Shape[] =
      floats && build !== 'floater' && build !== 'glass-sandwich' && kind !== 'object' && kind !== 'garment'
        ? [{ kind: 'area', points: rectangle(piece.x + 1.5, piece.y + 1.5, piece.w, piece.h), fill: '#20272b2e' }]
        : [];
    return [under, ...sides(worked, area), ...shadow, ...artwork(kind, piece.x, piece.y, piece.w, piece.h)];
  }
  return [
    under,
    ...matted.windows.flatMap((one) => {
      const window: Box = {
        x: area.x + toMm(matted.border.left) + toMm(one.left),
        y: area.y + toMm(matted.border.top) + toMm(one.top),
        w: toMm(one.w),
        h: toMm(one.h),
      };
      const within = matted.edge === 'floated' ? centred(window, one.piece) : window;
      return artwork(kind, within.x, within.y, within.w, within.h);
    }),
  ];
}

/** The lined sides of a box, seen from the front as narrow bands. */
function sides({ sizes }: WorkedOut, { x, y, w, h }: Box): Shape[] {
  const floor = sizes.figures.visibleFloor;
  if (!floor || typeof floor === 'number' || !('w' in floor)) return [];
  const deep = Math.max(2, (w - toMm(floor.w)) / 2) + Math.min(w, h) * 0.02;
  return band(w, h, 0, deep).map(({ points, light }) =>
    move({ kind: 'area', points, fill: shade('#e6dcc4', 0.1 * light - 0.08), line: '#b9b19f' }, x, y),
  );
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
  const { sizes } = worked;
  const outside = sizes.outside ?? sizes.package;
  const whole: Box = { x: 0, y: 0, w: toMm(outside.w), h: toMm(outside.h) };
  const { w, h } = whole;
  const outer = sizes.frames.at(-1);
  const face = outer ? (w - toMm(outer.sight.w)) / 2 : Math.max(w, h) * 0.02;
  const margin = withDimensions ? Math.max(w, h) * 0.115 : face * 0.4;
  const area = outer?.inside ? centred(whole, outer.inside) : centred(whole, sizes.package);
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
  const rings = sizes.frames.flatMap((frame): Shape[] => {
    const of = centred(frame.of === 'fillet' ? openingBox(worked, area) : whole, frame.outside);
    return mitred(of.x, of.y, of.w, of.h, (of.w - toMm(frame.sight.w)) / 2, frame.moulding);
  });
  const shapes = [
    ...wall,
    ...pieces(worked, area),
    ...mats(worked, area.x, area.y),
    ...(outer ? lip : []),
    ...rings,
    ...(withDimensions ? dimensions(outside, margin * 0.42) : []),
  ];
  const [left, above] = [margin, margin * 0.35];
  return {
    width: w + left + Math.max(left * 0.3, face * 0.35),
    height: h + above + Math.max(margin, face * 0.55),
    shapes: shapes.map((shape) => move(shape, left, above)),
    about: 'front',
  };
}

function openingBox({ sizes: { matted } }: WorkedOut, area: Box): Box {
  if (!matted) return area;
  return {
    x: area.x + toMm(matted.border.left),
    y: area.y + toMm(matted.border.top),
    w: toMm(matted.opening.w),
    h: toMm(matted.opening.h),
  };
}
