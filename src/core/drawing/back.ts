/** The back: rings, the wire as it hangs on its hook, and the distance from its peak to the top edge. */
import type { WorkedOut } from '../work-out';
import { FOUR } from '../builds/many-sided';
import { polygonPoints } from '../sizing/polygon';
import { length, toMm } from '../units/length';
import type { Hanging } from '../parts/hanging';
import { INK, type Point, type Scene, type Shape, rectangle } from './scene';

const NEXT = '#0e6a5e';

/** The corners of a frame of other than four sides, as large as its box, standing on one of them. */
function manySided({ resolved: { design }, sizes }: WorkedOut, w: number, h: number, by: number): Point[] | undefined {
  const { sides } = design.frame;
  const outer = sizes.frames.at(-1);
  if (!outer || sides === undefined || sides === FOUR) return undefined;
  const inner = toMm(outer.sight.w) / 2 + toMm(outer.moulding.faceWidth);
  return polygonPoints(sides, inner - by).map(([x, y]): Point => [w / 2 + x, h - inner + y]);
}

export function backScene(worked: WorkedOut): Scene {
  const { sizes, hanging } = worked;
  const outside = sizes.outside ?? sizes.package;
  const [w, h] = [toMm(outside.w), toMm(outside.h)];
  const face = sizes.sight ? (w - toMm(sizes.sight.w)) / 2 : 0;
  const ground: Shape[] = [
    { kind: 'area', points: manySided(worked, w, h, 0) ?? rectangle(0, 0, w, h), fill: '#b8ae98', line: INK },
    {
      kind: 'area',
      points:
        manySided(worked, w, h, toMm(sizes.frames.at(-1)?.moulding.faceWidth ?? length(0)) * 0.6) ??
        rectangle(face * 0.6, face * 0.6, w - face * 1.2, h - face * 1.2),
      fill: '#cfc19c',
    },
  ];
  return { width: w, height: h, shapes: [...ground, ...(hanging ? hung(hanging, w, h) : [])], about: 'back' };
}

/** From the top edge down to where a hook catches. */
function dropLine(x: number, drop: number, tick: number): Shape[] {
  const line = (from: Point, to: Point): Shape => ({ kind: 'line', points: [from, to], line: NEXT, width: 0.7 });
  return [line([x, 0], [x, drop]), line([x - tick, 0], [x + tick, 0]), line([x - tick, drop], [x + tick, drop])];
}

/** Rings and wire, plates or hooks where they are, and how far below the top each hook in the wall goes. */
function hung(hanging: Hanging, w: number, h: number): Shape[] {
  const dot = Math.max(w, h) * 0.012;
  const tick = dot * 1.4;
  const drop = toMm(hanging.hookDrop);
  const at = hanging.apart === undefined ? [w / 2] : [(w - toMm(hanging.apart)) / 2, (w + toMm(hanging.apart)) / 2];
  const drops = at.flatMap((x) => dropLine(x, drop, tick));
  if (hanging.by === 'sawtooth') {
    const plates = at.map((x): Shape => ({
      kind: 'area',
      points: rectangle(x - dot * 2.4, drop - dot * 0.6, dot * 4.8, dot * 1.2),
      fill: INK,
    }));
    return [...plates, ...drops];
  }
  const inset = (w - toMm(hanging.span)) / 2;
  const rings = toMm(hanging.ringDrop);
  const dots = [inset, w - inset].map((x): Shape => ({ kind: 'dot', at: [x, rings], radius: dot, fill: INK }));
  if (hanging.apart !== undefined) return [...dots, ...drops];
  const wire: Shape = {
    kind: 'line',
    points: [
      [inset, rings],
      [w / 2, drop],
      [w - inset, rings],
    ],
    line: INK,
    width: 0.5,
  };
  return [...dots, wire, ...drops];
}
