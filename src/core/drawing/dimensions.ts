/** Dimension lines beside what is drawn, with mitre ticks. */
import { type Size, toMm } from '../units/length';
import { INK, type Shape } from './scene';

/** A dimension line with mitre ticks; `at` is how far outside the frame it stands. */
export function dimensions(outside: Size, away: number): Shape[] {
  const [w, h] = [toMm(outside.w), toMm(outside.h)];
  const tick = away * 0.14;
  const across: Shape[] = [
    {
      kind: 'line',
      points: [
        [0, h + away],
        [w, h + away],
      ],
      line: INK,
      width: 0.35,
    },
    {
      kind: 'line',
      points: [
        [-tick, h + away + tick],
        [tick, h + away - tick],
      ],
      line: INK,
      width: 0.6,
    },
    {
      kind: 'line',
      points: [
        [w - tick, h + away + tick],
        [w + tick, h + away - tick],
      ],
      line: INK,
      width: 0.6,
    },
    { kind: 'length', at: [w / 2, h + away], value: outside.w, anchor: 'middle' },
  ];
  const up: Shape[] = [
    {
      kind: 'line',
      points: [
        [-away, 0],
        [-away, h],
      ],
      line: INK,
      width: 0.35,
    },
    {
      kind: 'line',
      points: [
        [-away - tick, tick],
        [-away + tick, -tick],
      ],
      line: INK,
      width: 0.6,
    },
    {
      kind: 'line',
      points: [
        [-away - tick, h + tick],
        [-away + tick, h - tick],
      ],
      line: INK,
      width: 0.6,
    },
    { kind: 'length', at: [-away, h / 2], value: outside.h, anchor: 'middle' },
  ];
  return [...across, ...up];
}
