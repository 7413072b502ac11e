/** Small drawings of single sums, to scale, from the figures that were typed and worked out (millimetres by their keys). */
import { length } from '../units/length';
import { INK, moved, rectangle, type Point, type Scene, type Shape } from './scene';

const WOOD = '#9a7b52';
const PALE = '#d6bf92';
const BOARD = '#f4ecdd';
const PAPER = '#d9cfae';
const NEXT = '#0e6a5e';
const CAUTION = '#a4660b';

/** A figure by its key, in millimetres; 0 where it is not there. */
export type Figures = (key: string) => number;

const area = (points: readonly Point[], fill: string, line = INK): Shape => ({ kind: 'area', points, fill, line });
const stroke = (points: readonly Point[], line = INK, width = 0.5, dashed = false): Shape => ({
  kind: 'line',
  points,
  line,
  width,
  dashed,
});
const label = (x: number, y: number, mm: number): Shape => ({
  kind: 'length',
  at: [x, y],
  value: length(Math.round(mm * 320)),
  anchor: 'middle',
});
const word = (x: number, y: number, text: string): Shape => ({ kind: 'text', at: [x, y], text, anchor: 'start' });
const scene = (width: number, height: number, shapes: readonly Shape[]): Scene => ({
  width,
  height,
  shapes,
  about: 'sum',
});
const around = (width: number, height: number, shapes: readonly Shape[], share = 0.12): Scene => {
  const margin = Math.max(width, height) * share;
  return scene(
    width + 2 * margin,
    height + 2 * margin,
    shapes.map((shape) => moved(shape, [margin, margin])),
  );
};

/** The mat from behind: left and right have changed places; centre lines and guide settings. */
function mat(n: Figures): Scene {
  const [left, right, top, bottom] = ['right', 'left', 'top', 'bottom'].map((side) => n(`border.${side}`)) as [
    number,
    number,
    number,
    number,
  ];
  const [w, h] = [n('opening.w'), n('opening.h')];
  const [pw, ph] = [w + left + right, h + top + bottom];
  return around(
    pw,
    ph,
    [
      area(rectangle(0, 0, pw, ph), BOARD),
      area(rectangle(left, top, w, h), '#ffffff'),
      stroke(
        [
          [left + w / 2, 0],
          [left + w / 2, ph],
        ],
        NEXT,
        0.4,
        true,
      ),
      stroke(
        [
          [0, top + h / 2],
          [pw, top + h / 2],
        ],
        NEXT,
        0.4,
        true,
      ),
      label(left / 2, top + h / 2, left),
      label(left + w + right / 2, top + h / 2, right),
      label(left + w / 2, top / 2, top),
      label(left + w / 2, top + h + bottom / 2, bottom),
    ],
    0.04,
  );
}

function floater(n: Figures): Scene {
  const [wall, gap, deep, inner] = [n('wall'), n('gap'), n('pieceDepth'), n('innerDepth')];
  const riser = Math.max(0, n('riser'));
  const back = n('setBack');
  const top = deep > inner ? inner - deep : back;
  const floor = 6;
  const right = wall + gap + 34;
  return around(
    right,
    inner + floor,
    [
      area(rectangle(0, 0, wall, inner + floor), WOOD),
      area(rectangle(wall, inner, right - wall - 12, floor), WOOD),
      ...(riser > 0 ? [area(rectangle(wall + gap + 6, inner - riser, 12, riser), PALE)] : []),
      area(rectangle(wall + gap, top, right - wall - gap, deep), PAPER),
      stroke(
        [
          [wall + gap + 12, inner + floor],
          [wall + gap + 12, top + deep * 0.45],
        ],
        NEXT,
        1,
      ),
      ...(gap > 0 ? [label(wall + gap / 2, inner * 0.25, gap)] : []),
      ...(riser > 2 ? [label(right - 4, inner - riser / 2, riser)] : []),
    ],
    0.1,
  );
}

function box(n: Figures): Scene {
  const [w, h, strip] = [n('package.w'), n('package.h'), n('stripThickness')];
  return around(
    w,
    h,
    [
      area(rectangle(0, 0, w, h), '#e6dcc4'),
      area(rectangle(0, 0, strip, h), BOARD),
      area(rectangle(w - strip, 0, strip, h), BOARD),
      area(rectangle(strip, 0, w - 2 * strip, strip), PALE),
      area(rectangle(strip, h - strip, w - 2 * strip, strip), PALE),
      label(w / 2, h / 2, w - 2 * strip),
      label(w / 2, strip * 2.6, w - 2 * strip),
      label(strip * 3, h * 0.7, h),
    ],
    0.05,
  );
}

function garment(n: Figures): Scene {
  const [w, h] = [n('insert.w'), n('insert.h')];
  const pins = Math.max(2, Math.round(n('heldEdges.0') / 100) + 1);
  const cloth: Point[] = [
    [-w * 0.06, 0],
    [-w * 0.34, h * 0.16],
    [-w * 0.24, h * 0.34],
    [-w * 0.06, h * 0.27],
    [-w * 0.06, h * 0.94],
    [w * 1.06, h * 0.94],
    [w * 1.06, h * 0.27],
    [w * 1.24, h * 0.34],
    [w * 1.34, h * 0.16],
    [w * 1.06, 0],
  ];
  const shapes = [
    area(cloth, '#c9d3d6'),
    area(rectangle(0, h * 0.04, w, h * 0.96), '#ffffff'),
    ...Array.from({ length: Math.min(pins, 30) }, (_, k): Shape => ({
      kind: 'dot',
      at: [(w * (k + 0.5)) / Math.min(pins, 30), h * 0.93],
      radius: w * 0.008,
      fill: NEXT,
    })),
    label(w / 2, h * 0.5, w),
    label(w * 0.12, h * 0.7, h),
  ];
  const margin = w * 0.38;
  const moved = shapes.map((shape): Shape =>
    'points' in shape
      ? { ...shape, points: shape.points.map(([x, y]): Point => [x + margin, y + h * 0.03]) }
      : { ...shape, at: [shape.at[0] + margin, shape.at[1] + h * 0.03] },
  );
  return scene(w + 2 * margin, h * 1.06, moved);
}

function wire(n: Figures): Scene {
  const [w, h] = [n('outside.w'), n('outside.h')];
  const face = Math.min(n('faceWidth'), w / 3, h / 3);
  const [drop, peak, span] = [n('ringDrop'), n('wireDrop'), n('span')];
  const inset = (w - span) / 2;
  const dot = Math.max(w, h) * 0.012;
  const up = Math.max(0, -peak);
  const shapes = [
    area(rectangle(0, up, w, h), '#b8ae98'),
    area(rectangle(face, up + face, w - 2 * face, h - 2 * face), '#cfc19c'),
    stroke(
      [
        [inset, up + drop],
        [w / 2, up + peak],
        [w - inset, up + drop],
      ],
      INK,
      0.7,
    ),
    stroke(
      [
        [w / 2, up],
        [w / 2, up + peak],
      ],
      NEXT,
      0.8,
    ),
    ...[inset, w - inset].map((x): Shape => ({ kind: 'dot', at: [x, up + drop], radius: dot, fill: INK })),
    label(w / 2, up + Math.max(peak, 0) + h * 0.08, peak),
  ];
  return scene(w, h + up, shapes);
}

function polygon(n: Figures): Scene {
  const sides = Math.max(3, Math.round(n('sides')));
  const tan = Math.tan(Math.PI / sides);
  const ring = (side: number) => side / 2 / tan;
  const [outer, rabbet, inner] = [n('longPoint'), n('side'), n('shortPoint')];
  const at = (side: number): Point[] => {
    const radius = ring(side) / Math.cos(Math.PI / sides);
    return Array.from({ length: sides }, (_, k): Point => {
      const angle = (2 * Math.PI * (k + 0.5)) / sides + Math.PI / 2;
      return [radius * Math.cos(angle), radius * Math.sin(angle)];
    });
  };
  const [o, r, i] = [at(outer), at(rabbet), at(inner)];
  const size = (2 * ring(outer)) / Math.cos(Math.PI / sides);
  const shapes = [
    area(o, WOOD),
    area(i, '#ffffff'),
    { kind: 'area', points: r, fill: 'none', line: CAUTION, dashed: true } as const,
    ...o.map((point, k) => stroke([point, i[k]!], INK, 0.5)),
    label(0, size * 0.5 * 0.02, outer),
  ];
  const moved = shapes.map((shape): Shape =>
    'points' in shape
      ? { ...shape, points: shape.points.map(([x, y]): Point => [x + size / 2, y + size / 2]) }
      : { ...shape, at: [size / 2, size / 2] },
  );
  return scene(size, size, moved);
}

/** The last corner, its gap drawn ten times as wide as it is. */
function saw(n: Figures): Scene {
  const face = n('faceWidth');
  const long = face * 3;
  const gap = Math.min(face, n('gap') * 10);
  return around(
    long + face,
    long + face,
    [
      area(
        [
          [0, 0],
          [long + face, 0],
          [long + face, face],
          [face, face],
        ],
        WOOD,
      ),
      area(
        [
          [0, gap],
          [face, face + gap],
          [face, long + face],
          [0, long + face],
        ],
        PALE,
      ),
      word(face * 1.3, face * 2, 'drawn ten times as wide'),
    ],
    0.06,
  );
}

function matched(n: Figures): Scene {
  const [face, rabbet, x] = [n('faceWidth'), n('rabbetWidth'), n('w.x')];
  const tall = face * 0.8;
  const lip = tall * 0.25;
  return around(
    face,
    tall,
    [
      area(
        [
          [0, 0],
          [face, 0],
          [face, lip],
          [face - rabbet - x, lip],
          [face - rabbet - x, tall],
          [0, tall],
        ],
        WOOD,
      ),
      ...(x > 0
        ? [
            {
              kind: 'area',
              points: rectangle(face - rabbet - x, lip, x, tall - lip),
              fill: '#f7ebd3',
              line: CAUTION,
              dashed: true,
            } as const,
          ]
        : []),
      label((face - rabbet - x) / 2, tall * 0.65, face - rabbet - x),
      ...(x > 0 ? [label(face - rabbet - x / 2, tall * 0.4, x)] : []),
    ],
    0.1,
  );
}

function canvas(n: Figures): Scene {
  const [w, h, wrap] = [n('piece.w'), n('piece.h'), n('wrap')];
  return around(
    w + 2 * wrap,
    h + 2 * wrap,
    [
      area(rectangle(0, 0, w + 2 * wrap, h + 2 * wrap), '#e9e1cf'),
      area(rectangle(wrap, wrap, w, h), PAPER),
      label(wrap + w / 2, wrap + h / 2, w),
      label(wrap / 2, wrap + h / 2, wrap),
      label(wrap + w / 2, wrap / 2, w + 2 * wrap),
    ],
    0.03,
  );
}

/** Bars as long as each part is heavy. */
function weight(n: Figures, names: readonly string[]): Scene {
  const kilos = names.map((_, index) => n(`parts.${index}`));
  const limit = Math.max(...kilos, 0.01);
  const rows = names.map((name, index): Shape[] => [
    area(rectangle(0, index * 14, (kilos[index]! / limit) * 150, 9), index === 0 ? WOOD : PALE),
    word((kilos[index]! / limit) * 150 + 4, index * 14 + 4.5, `${name} ${kilos[index]!.toFixed(2)} kg`),
  ]);
  return scene(260, Math.max(40, names.length * 14), rows.flat());
}

/** What a screw goes through: floor, riser, bar; its point in the middle third. */
function screw(n: Figures): Scene {
  const [floor, riser, bar] = [n('floor'), n('riser'), n('bar')];
  const deep = floor + riser + bar;
  const wide = Math.max(30, deep * 0.9);
  const long = n('screw') || n('recommend');
  return around(
    wide,
    deep,
    [
      area(rectangle(0, deep - floor, wide, floor), WOOD),
      ...(riser > 0 ? [area(rectangle(wide * 0.25, bar, wide * 0.5, riser), '#d6bf92')] : []),
      area(rectangle(0, 0, wide, bar), PAPER),
      { kind: 'area', points: rectangle(0, bar / 3, wide, bar / 3), fill: '#ddebe680', line: NEXT, dashed: true },
      ...(long > 0
        ? [
            stroke(
              [
                [wide / 2, deep],
                [wide / 2, deep - long],
              ],
              INK,
              1.4,
            ),
          ]
        : []),
    ],
    0.08,
  );
}

/** The sizes that suit, side by side, with the window in each. */
function standard(n: Figures): Scene {
  const offers = [0, 1, 2, 3].filter((index) => n(`offered.${index}.package.w`) > 0);
  let x = 0;
  const tall = Math.max(1, ...offers.map((index) => n(`offered.${index}.package.h`)));
  const shapes = offers.flatMap((index): Shape[] => {
    const of = `offered.${index}`;
    const [w, h] = [n(`${of}.package.w`), n(`${of}.package.h`)];
    const [left, top] = [n(`${of}.border.left`), n(`${of}.border.top`)];
    const at = x;
    x += w + tall * 0.1;
    return [
      area(rectangle(at, tall - h, w, h), BOARD),
      area(rectangle(at + left, tall - h + top, n('opening.w'), n('opening.h')), '#ffffff'),
      label(at + w / 2, tall - h + h * 0.5, w),
    ];
  });
  return scene(Math.max(1, x - tall * 0.1), tall, shapes);
}

export const SUM_SCENES = { mat, floater, box, garment, wire, polygon, saw, matched, canvas, screw, standard } as const;
export type SumScene = keyof typeof SUM_SCENES | 'weight';
/** The drawing of a sum; `names` are the parts of a weight. */
export const sumScene = (sumScene: SumScene, n: Figures, names: readonly string[]): Scene =>
  sumScene === 'weight' ? weight(n, names) : SUM_SCENES[sumScene](n);
