/** The piece framed, seen from the front, to scale: wall shadow, mitred legs with shading, bevels, lip shadow, dimensions. */
import type { PieceKind, WindowHolds } from '../design/choices';
import { BUILDS } from '../builds';
import type { Moulding } from '../materials';
import { FOUR } from '../builds/many-sided';
import { polygonPoints } from '../sizing/polygon';
import { outline, outlinePoints, shapeFurther } from '../sizing/shapes';
import type { WorkedOut } from '../work-out';
import { type Length, type Size, mm, plus, times, toMm } from '../units/length';
import { slope } from './profile';
import { type Box, type Point, type Scene, type Shape, rectangle, shade } from './scene';
import { artwork } from './artwork';
import { clipped } from './clip';
import { plate } from './plate';
import { dimensions } from './dimensions';

const BANDS = 12;

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

/** An area with holes, as one outline that runs in to each hole and back. */
const holed = (outer: readonly Point[], holes: readonly (readonly Point[])[]): Point[] => [
  ...outer,
  outer[0]!,
  ...holes.flatMap((hole) => [hole[0]!, ...[...hole].reverse(), outer[0]!]),
];

/** Mats over the artwork, the lowest first, each with its bevels; every window by its shape. */
function mats(worked: WorkedOut, edge: number, top: number): Shape[] {
  const { sizes, resolved } = worked;
  const { matted } = sizes;
  if (!matted) return [];
  const pack = packageOutline(worked, { x: edge, y: top, w: toMm(sizes.package.w), h: toMm(sizes.package.h) });
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
    const holes = matted.windows.map((window) => holeOf(window, layer.back));
    const bevels = matted.windows.map((window, k): Shape => {
      const outer = holeOf(window, plus(layer.back, mm(bevel)));
      return { kind: 'area', points: holed(outer, [holes[k]!]), fill: '#fbf8f0' };
    });
    const rims = holes.map((points): Shape => ({ kind: 'area', points, fill: 'none', line: '#b9b19f' }));
    return [{ kind: 'area', points: holed(pack, holes), fill: board.colour }, ...(bevel > 0 ? bevels : []), ...rims];
  });
}

const boxed = ({ x, y, w, h }: Box) => rectangle(x, y, w, h);
const centred = (inside: Box, size: Size): Box => {
  const [w, h] = [toMm(size.w), toMm(size.h)];
  return { x: inside.x + (inside.w - w) / 2, y: inside.y + (inside.h - h) / 2, w, h };
};

/** The sides of a frame that has not four. */
const sidesOf = ({ resolved: { design }, sizes }: WorkedOut): number | undefined =>
  sizes.frames.length > 0 && design.frame.sides !== FOUR ? design.frame.sides : undefined;
const around = ({ x, y, w, h }: Box, inner: number, sides: number): Point[] =>
  polygonPoints(sides, inner).map(([px, py]): Point => [x + w / 2 + px, y + h / 2 + py]);
/** The package as it is cut: square, or as many-sided as its frame. */
function packageOutline(worked: WorkedOut, box: Box): Point[] {
  const sides = sidesOf(worked);
  return sides === undefined ? boxed(box) : around(box, Math.min(box.w, box.h) / 2, sides);
}
/** The legs of a frame of many sides between its outside and its sight, lit from the upper left. */
function manySided(worked: WorkedOut, area: Box, sides: number): Shape[] {
  const outer = worked.sizes.frames.at(-1)!;
  const face = toMm(outer.moulding.faceWidth);
  const inner = toMm(outer.sight.w) / 2 + face;
  const middle: Point = [area.x + area.w / 2, area.y + area.h / 2];
  const [out, within] = [around(area, inner, sides), around(area, inner - face, sides)];
  return out.map((point, index): Shape => {
    const next = (index + 1) % sides;
    const [x, y] = [(point[0] + out[next]![0]) / 2 - middle[0], (point[1] + out[next]![1]) / 2 - middle[1]];
    const light = -(x + y) / (inner * 1.5);
    return {
      kind: 'area',
      points: [point, out[next]!, within[next]!, within[index]!],
      fill: shade(outer.moulding.colour, 0.16 * light),
      line: shade(outer.moulding.colour, -0.4),
    };
  });
}

/** What is drawn in a window that holds something else than the piece. */
const WINDOW_KIND: Readonly<Partial<Record<WindowHolds, PieceKind>>> = { photograph: 'photograph', cloth: 'textile' };

/** The photo of the piece where the piece lies, or the picture of its kind. */
const picture = (photo: string | undefined, kind: PieceKind, { x, y, w, h }: Box, clip: Box): Shape[] =>
  photo === undefined ? artwork(kind, x, y, w, h) : [{ kind: 'picture', hash: photo, at: [x, y], w, h, clip }];

/** Where the sheet lies behind a window that shows a part of it, or covers its edges. */
function behind(worked: WorkedOut, window: Box, piece: Size): Box {
  const { opening } = worked.resolved.design.window;
  if (!opening || worked.sizes.matted!.windows.length > 1) return centred(window, piece);
  const { larger } = worked.sizes.piece;
  return { x: window.x - toMm(opening.left), y: window.y - toMm(opening.top), w: toMm(larger.w), h: toMm(larger.h) };
}

/** The piece as it is seen, and what is seen around it. */
function pieces(worked: WorkedOut, area: Box, photos: readonly string[]): Shape[] {
  const { sizes, resolved } = worked;
  const { kind } = resolved.design.piece;
  const { ground: colour = '#efe7d2', groundOfMoulding, withoutShadow } = BUILDS[resolved.design.build];
  const { matted } = sizes;
  const ground = groundOfMoulding ? shade(resolved.moulding.colour, 0.25) : colour;
  const under: Shape = { kind: 'area', points: packageOutline(worked, area), fill: ground };
  // A picture of four sides would stand out behind a frame of more.
  if (!matted && sidesOf(worked) !== undefined) return [under];
  if (!matted) {
    const piece = centred(area, sizes.piece.larger);
    const floats = piece.w < area.w - 0.5 || piece.h < area.h - 0.5;
    const shadow: Shape[] =
      floats && !withoutShadow && kind !== 'object' && kind !== 'garment'
        ? [{ kind: 'area', points: rectangle(piece.x + 1.5, piece.y + 1.5, piece.w, piece.h), fill: '#20272b2e' }]
        : [];
    return [under, ...sides(worked, area), ...shadow, ...picture(photos[0], kind, piece, area)];
  }
  const corner = [area.x + toMm(matted.border.left), area.y + toMm(matted.border.top)] as const;
  return [
    under,
    ...inWindows(worked, photos).flatMap((shapes, index) => {
      const { left, top } = matted.windows[index]!;
      return shapes.map((shape) => move(shape, corner[0] + toMm(left), corner[1] + toMm(top)));
    }),
  ];
}

/** What is seen in each window of the mat, from the corner of that window. */
export function inWindows(worked: WorkedOut, photos: readonly string[] = []): Shape[][] {
  const { matted } = worked.sizes;
  const { kind } = worked.resolved.design.piece;
  let shown = 0;
  return (matted?.windows ?? []).map((one) => {
    const window: Box = { x: 0, y: 0, w: toMm(one.w), h: toMm(one.h) };
    const within = matted!.edge === 'floated' ? centred(window, one.piece) : window;
    if (one.holds === 'plate') return plate(one.text ?? '', within);
    const other = WINDOW_KIND[one.holds ?? 'piece'];
    const photo = other === undefined || other === 'photograph' ? photos[shown] : undefined;
    const sheet = matted!.edge === 'floated' ? within : behind(worked, window, one.piece);
    if (photo === undefined) {
      // A drawn one fills its window; of a part of the sheet only that part is seen.
      const { x, y, w, h } = matted!.edge === 'part' ? sheet : within;
      return clipped(artwork(other ?? kind, x, y, w, h), window);
    }
    shown += 1;
    return picture(photo, kind, sheet, window);
  });
}

/** The lined sides of a box, seen from the front as narrow bands. */
function sides({ sizes }: WorkedOut, { x, y, w, h }: Box): Shape[] {
  const floor = sizes.figures.visibleFloor;
  if (!floor) return [];
  const deep = Math.max(2, (w - toMm(floor.w)) / 2) + Math.min(w, h) * 0.02;
  return band(w, h, 0, deep).map(({ points, light }) =>
    move({ kind: 'area', points, fill: shade('#e6dcc4', 0.1 * light - 0.08), line: '#b9b19f' }, x, y),
  );
}

const move = (shape: Shape, dx: number, dy: number): Shape =>
  'points' in shape
    ? { ...shape, points: shape.points.map(([x, y]): Point => [x + dx, y + dy]) }
    : {
        ...shape,
        at: [shape.at[0] + dx, shape.at[1] + dy],
        ...('clip' in shape ? { clip: { ...shape.clip, x: shape.clip.x + dx, y: shape.clip.y + dy } } : {}),
      };

/** The framed piece, with its outside dimensions or bare (for a small picture); with its photos, where there are any. */
export function frontScene(worked: WorkedOut, withDimensions = true, photos: readonly string[] = []): Scene {
  const { sizes } = worked;
  const outside = sizes.outside ?? sizes.package;
  const whole: Box = { x: 0, y: 0, w: toMm(outside.w), h: toMm(outside.h) };
  const { w, h } = whole;
  const outer = sizes.frames.at(-1);
  const face = outer ? (w - toMm(outer.sight.w)) / 2 : Math.max(w, h) * 0.02;
  // A corner in the middle of a side wants room beside it.
  const margin = withDimensions ? Math.max(w, h) * (sidesOf(worked) === undefined ? 0.115 : 0.18) : face * 0.4;
  const many = sidesOf(worked);
  const square = outer?.inside ? centred(whole, outer.inside) : centred(whole, sizes.package);
  // With an odd number of sides the middle lies below that of its height.
  const area =
    many && outer
      ? { ...square, y: square.y + h / 2 - toMm(outer.sight.h) / 2 - toMm(outer.moulding.faceWidth) }
      : square;
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
    const box = centred(frame.of === 'fillet' ? openingBox(worked, area) : whole, frame.outside);
    return mitred(box.x, box.y, box.w, box.h, (box.w - toMm(frame.sight.w)) / 2, frame.moulding);
  });
  const shapes = [
    ...(many === undefined ? wall : []),
    ...pieces(worked, area, photos),
    ...mats(worked, area.x, area.y),
    ...(outer && many === undefined ? lip : []),
    ...(many === undefined ? rings : manySided(worked, area, many)),
    ...(withDimensions ? dimensions(outside, margin * 0.42) : []),
  ];
  const [left, above] = [margin, margin * 0.35];
  return {
    width: w + left + Math.max(left * 0.3, face * 0.35),
    height: h + above + Math.max(margin, face * 0.55),
    shapes: shapes.map((shape) => move(shape, left, above)),
    middle: above + h / 2,
    ...(sizes.matted
      ? { opening: [left + area.x + toMm(sizes.matted.border.left), above + area.y + toMm(sizes.matted.border.top)] }
      : {}),
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
