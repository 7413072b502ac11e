/** Dimension lines beside what is drawn, with mitre ticks. */
import { type Size, toMm } from '../units/length';
import { INK, type Shape } from './scene';

/** A dimension line with mitre ticks; `at` is how far outside the frame it stands. */
export function dimensions(outside: Size, at: number): Shape[] {
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
