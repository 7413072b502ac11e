/** The back: rings, the wire as it hangs on its hook, and the distance from its peak to the top edge. */
import type { WorkedOut } from '../work-out';
import { toMm } from '../units/length';
import { INK, type Scene, type Shape, rectangle } from './scene';

const NEXT = '#0e6a5e';

export function backScene({ sizes, hanging }: WorkedOut): Scene {
  const outside = sizes.outside ?? sizes.package;
  const [w, h] = [toMm(outside.w), toMm(outside.h)];
  const face = sizes.sight ? (w - toMm(sizes.sight.w)) / 2 : 0;
  const ground: Shape[] = [
    { kind: 'area', points: rectangle(0, 0, w, h), fill: '#b8ae98', line: INK },
    { kind: 'area', points: rectangle(face * 0.6, face * 0.6, w - face * 1.2, h - face * 1.2), fill: '#cfc19c' },
  ];
  const wire = (): Shape[] => {
    if (!hanging) return [];
    const [drop, peak] = [toMm(hanging.ringDrop), toMm(hanging.wireDrop)];
    const inset = (w - toMm(hanging.span)) / 2;
    const dot = Math.max(w, h) * 0.012;
    const rings: Shape[] = [inset, w - inset].map((x) => ({ kind: 'dot', at: [x, drop], radius: dot, fill: INK }));
    if (hanging.by === 'sawtooth')
      return (hanging.hooks.count === 1 ? [w / 2] : [w * 0.25, w * 0.75]).map((x) => ({
        kind: 'area',
        points: rectangle(x - dot * 2.4, face * 0.25, dot * 4.8, dot * 1.2),
        fill: INK,
      }));
    if (hanging.noWire || hanging.by === 'hooks') return rings;
    const line: Shape = {
      kind: 'line',
      points: [
        [inset, drop],
        [w / 2, peak],
        [w - inset, drop],
      ],
      line: INK,
      width: 0.5,
    };
    const tick = dot * 1.4;
    return [
      ...rings,
      line,
      {
        kind: 'line',
        points: [
          [w / 2, 0],
          [w / 2, peak],
        ],
        line: NEXT,
        width: 0.7,
      },
      {
        kind: 'line',
        points: [
          [w / 2 - tick, 0],
          [w / 2 + tick, 0],
        ],
        line: NEXT,
        width: 0.7,
      },
      {
        kind: 'line',
        points: [
          [w / 2 - tick, peak],
          [w / 2 + tick, peak],
        ],
        line: NEXT,
        width: 0.7,
      },
    ];
  };
  return { width: w, height: h, shapes: [...ground, ...wire()], about: 'back' };
}
