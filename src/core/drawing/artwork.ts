/** What is framed, as a picture of its kind in a few plain shapes. */
import type { PieceKind } from '../design/common';
import { type Point, type Shape, rectangle, shade } from './scene';

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
  'metal-print': ['#8d9396', '#3c4245', '#c8cccd'],
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

/** A thing of no kind in particular, rounded and lit from the upper left, with its shadow: it stands off the floor of its box. */
function thing(at: (u: number, v: number) => Point, body: string): Shape[] {
  // Between an ellipse and a box, so that it is neither a coin nor a brick.
  const round = (half: number, dx = 0, dy = 0): Point[] =>
    Array.from({ length: 48 }, (_, k) => {
      const angle = (k / 48) * 2 * Math.PI;
      const [c, s] = [Math.cos(angle), Math.sin(angle)];
      const out = (value: number) => Math.sign(value) * Math.sqrt(Math.abs(value));
      return at(0.5 + dx + half * out(c), 0.5 + dy + half * out(s));
    });
  return [
    { kind: 'area', points: round(0.44, 0.03, 0.04), fill: '#20272b30' },
    { kind: 'area', points: round(0.44), fill: shade(body, -0.12), line: shade(body, -0.5) },
    { kind: 'area', points: round(0.36, -0.02, -0.02), fill: body },
    { kind: 'area', points: round(0.2, -0.1, -0.11), fill: shade(body, 0.22) },
  ];
}

/** An invented picture that fills the window: a shore and the lines of the water, or what the piece is. */
export function artwork(kind: PieceKind, x: number, y: number, w: number, h: number): Shape[] {
  const [paper, mark, accent] = PAPER[w > 5 * h ? 'certificate' : kind];
  const ground: Shape = { kind: 'area', points: rectangle(x, y, w, h), fill: paper };
  const at = (u: number, v: number): Point => [x + u * w, y + v * h];
  if (w > 5 * h) return [ground, { kind: 'line', points: [at(0.3, 0.5), at(0.7, 0.5)], line: mark, width: 1.6 }];
  if (kind === 'garment') return shirt(at, mark, accent);
  if (kind === 'object') return thing(at, accent);
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
