/** A cut through one leg and what lies in its rabbet, front above: every layer at its true thickness, and the room left. */
import { type WorkedOut } from '../work-out';
import { type Size, toMm, length as units } from '../units/length';
import { fall } from './profile';
import { INK, type Point, type Scene, type Shape, rectangle, shade } from './scene';

const CAUTION = '#a4660b';

/** The moulding that holds the package: a liner's where there is one. */
const holding = ({ sizes, resolved }: WorkedOut) =>
  sizes.frames.find((frame) => frame.of !== 'fillet')?.moulding ?? resolved.moulding;

function wood(worked: WorkedOut): Shape {
  const moulding = holding(worked);
  const [face, height] = [toMm(moulding.faceWidth), toMm(moulding.height)];
  const [rabbet, depth] = [toMm(moulding.rabbetWidth), toMm(moulding.rabbetDepth)];
  const lip = Math.max(0.8, height - depth);
  const top = Array.from({ length: 33 }, (_, k): Point => {
    const t = k / 32;
    return [
      face * t,
      Math.min(fall(moulding.profile, t) * lip * 1.1, t > 1 - rabbet / face ? lip * 0.82 : height * 0.7),
    ];
  });
  const foot: Point[] = [
    [face, height - depth],
    [face - rabbet, height - depth],
    [face - rabbet, height],
    [0, height],
  ];
  return { kind: 'area', points: [...top, ...foot], fill: moulding.colour, line: shade(moulding.colour, -0.5) };
}

/** Names beside the layers, pushed apart so that none lies on another. */
function names(worked: WorkedOut, tops: number[], right: number, step: number): Shape[] {
  const { stack } = worked;
  const middle = tops.map((top, index) => top + toMm(stack.layers[index]!.thickness) / 2);
  const first = Math.max(step * 0.6, middle[0]! - step * (stack.layers.length / 2 - 0.5));
  return stack.layers.flatMap((layer, index): Shape[] => {
    const y = first + index * step;
    const text = layer.name === '' ? 'Piece' : (layer.name.split(',')[0] ?? '').replace(/ \d+ mm$/, '');
    return [
      {
        kind: 'line',
        points: [
          [right, middle[index]!],
          [right + step * 0.9, y],
        ],
        line: INK,
        width: 0.18,
      },
      { kind: 'text', at: [right + step * 1.1, y], text, anchor: 'start' },
    ];
  });
}

/** Section through the frame. The room that is left is dashed; proud layers stand out behind the wood. */
export const sectionScene = (worked: WorkedOut): Scene =>
  worked.sizes.inside ? walled(worked, worked.sizes.inside) : rabbeted(worked);

function rabbeted(worked: WorkedOut): Scene {
  const {
    resolved: { design },
    stack,
  } = worked;
  const moulding = holding(worked);
  const [face, height] = [toMm(moulding.faceWidth), toMm(moulding.height)];
  const [rabbet, depth] = [toMm(moulding.rabbetWidth), toMm(moulding.rabbetDepth)];
  const x = face - rabbet + toMm(design.frame.allowance) / 2;
  const right = face + Math.max(10, rabbet * 1.6);
  let y = height - depth;
  const tops: number[] = [];
  const layers = stack.layers.map((layer): Shape => {
    const thick = toMm(layer.thickness);
    tops.push(y);
    // Strips and side strips stand at the edge only: the middle stays open.
    const wide = layer.part === 'spacer' ? Math.min(right - x, 5) : layer.part === 'side strips' ? 6.4 : right - x;
    const shape: Shape = { kind: 'area', points: rectangle(x, y, wide, thick), fill: layer.colour, line: INK };
    y += layer.beside ? 0 : thick;
    return shape;
  });
  const room = stack.room === undefined ? 0 : toMm(stack.room);
  const left: Shape[] =
    room > 0
      ? [{ kind: 'area', points: rectangle(x, y, right - x, room), fill: '#f7ebd300', line: CAUTION, dashed: true }]
      : [];
  const bottom = Math.max(height, y);
  const step = Math.max(4, bottom / Math.max(5.2, stack.layers.length + 0.4));
  return {
    width: right + Math.max(24, bottom * 0.9),
    height: Math.max(bottom, step * (stack.layers.length + 0.6)) + 1,
    shapes: [
      ...(worked.sizes.frames.length > 0 ? [wood(worked)] : []),
      ...layers,
      ...left,
      ...names(worked, tops, right, step),
    ],
    about: 'section',
  };
}

const NO_LENGTH = units(0);

/** A floater or a tray: the wall, the floor under the piece, the gap, the riser. Face above. */
function walled(worked: WorkedOut, inside: Size): Scene {
  const { sizes, stack, resolved } = worked;
  const figure = (key: 'riser' | 'proud' | 'setBack' | 'baseWidth') => toMm(sizes.figures[key] ?? NO_LENGTH);
  const wall = (toMm(sizes.outside!.w) - toMm(inside.w)) / 2;
  const gap = (toMm(inside.w) - toMm(sizes.piece.larger.w)) / 2;
  const deep = toMm(stack.total);
  const [riser, proud, setBack] = [Math.max(0, figure('riser')), figure('proud'), figure('setBack')];
  const isTray = sizes.figures.baseWidth !== undefined;
  const face = proud;
  const top = isTray ? Math.max(0, 8 - deep) : face - proud + setBack;
  const floor = top + deep + riser;
  const thick = 6;
  const reach = isTray ? figure('baseWidth') : gap + Math.max(14, wall);
  const right = wall + gap + 26;
  const colour = resolved.moulding.colour;
  const shapes: Shape[] = [
    { kind: 'area', points: rectangle(0, face, wall, floor + thick - face), fill: colour, line: shade(colour, -0.5) },
    {
      kind: 'area',
      points: rectangle(wall, floor, Math.min(reach, right - wall - 4), thick),
      fill: shade(colour, 0.12),
      line: shade(colour, -0.5),
    },
    ...(riser > 0
      ? [
          {
            kind: 'area',
            points: rectangle(wall + gap + 4, floor - riser, 9, riser),
            fill: '#d6bf92',
            line: INK,
          } as const,
        ]
      : []),
    { kind: 'area', points: rectangle(wall + gap, top, right - wall - gap, deep), fill: '#d9cfae', line: INK },
  ];
  const bottom = floor + thick;
  const labels: [string, number][] = [
    ['Piece', top + deep / 2],
    ...(riser > 0 ? ([['Riser', floor - riser / 2]] as [string, number][]) : []),
    [isTray ? 'Base' : 'Floor', floor + thick / 2],
  ];
  return {
    width: right + Math.max(22, bottom * 0.8),
    height: bottom + 1,
    shapes: [
      ...shapes,
      ...labels.map(([text, y]): Shape => ({ kind: 'text', at: [right + 3, y], text, anchor: 'start' })),
    ],
    about: 'section',
  };
}
