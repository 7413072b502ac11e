/** A cut through one leg and what lies in its rabbet, front above: every layer at its true thickness, and the room left. */
import { type WorkedOut } from '../work-out';
import { toMm } from '../units/length';
import { fall } from './profile';
import { type Point, type Scene, type Shape, rectangle, shade } from './scene';

const INK = '#20272b';
const CAUTION = '#a4660b';

function wood({ resolved: { moulding } }: WorkedOut): Shape {
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
    const text = layer.part === 'piece' ? 'Piece' : (layer.name.split(',')[0] ?? '').replace(/ \d+ mm$/, '');
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

/** Section through the rabbet. The room that is left is dashed; proud layers stand out behind the wood. */
export function sectionScene(worked: WorkedOut): Scene {
  const {
    resolved: { moulding, design },
    stack,
  } = worked;
  const [face, height] = [toMm(moulding.faceWidth), toMm(moulding.height)];
  const [rabbet, depth] = [toMm(moulding.rabbetWidth), toMm(moulding.rabbetDepth)];
  const x = face - rabbet + toMm(design.frame.allowance) / 2;
  const right = face + Math.max(10, rabbet * 1.6);
  let y = height - depth;
  const tops: number[] = [];
  const layers = stack.layers.map((layer): Shape => {
    const thick = toMm(layer.thickness);
    tops.push(y);
    const shape: Shape = { kind: 'area', points: rectangle(x, y, right - x, thick), fill: layer.colour, line: INK };
    y += thick;
    return shape;
  });
  const room = toMm(stack.room);
  const left: Shape[] =
    room > 0
      ? [{ kind: 'area', points: rectangle(x, y, right - x, room), fill: '#f7ebd300', line: CAUTION, dashed: true }]
      : [];
  const bottom = Math.max(height, y);
  const step = Math.max(4, bottom / 5.2);
  return {
    width: right + Math.max(24, bottom * 0.9),
    height: Math.max(bottom, step * (stack.layers.length + 0.6)) + 1,
    shapes: [wood(worked), ...layers, ...left, ...names(worked, tops, right, step)],
    about: 'section',
  };
}
