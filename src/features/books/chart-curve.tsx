'use client';
/** The chart as a curve of steps: what each size costs, and where it would fall. */
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { curveStepBefore, line } from 'd3-shape';
import { type Money, formatMoney } from '@/core/units/money';
import { RULES } from '@/words/screens/books';
import styles from './chart.module.css';

interface Props {
  /** Steps as far as they can be read, in the order of the table. */
  readonly steps: readonly { readonly size: number; readonly price: Money; readonly wrong: boolean }[];
  readonly by: string;
}
const [WIDTH, HEIGHT] = [460, 240];
const EDGE = { left: 62, right: 14, top: 12, bottom: 28 };
const TICKS = 5;

export function ChartCurve({ steps, by }: Props) {
  const across = scaleLinear([0, max(steps, ({ size }) => size) ?? 1], [EDGE.left, WIDTH - EDGE.right]).nice(TICKS);
  const up = scaleLinear([0, max(steps, ({ price }) => price) ?? 1], [HEIGHT - EDGE.bottom, EDGE.top]).nice(TICKS);
  const first = steps[0];
  // The first price holds from nothing on.
  const points = first ? [{ ...first, size: 0 }, ...steps] : [];
  const path = line<(typeof points)[number]>(
    ({ size }) => across(size),
    ({ price }) => up(price),
  ).curve(curveStepBefore)(points);
  return (
    <figure className={styles.curve}>
      <figcaption>{RULES.curve(by)}</figcaption>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={RULES.curveSays(steps.length, by)}>
        {up.ticks(TICKS).map((tick) => (
          <g key={tick}>
            <line className={styles.grid} x1={EDGE.left} x2={WIDTH - EDGE.right} y1={up(tick)} y2={up(tick)} />
            <text x={EDGE.left - 8} y={up(tick) + 4} textAnchor="end">
              {formatMoney(Math.round(tick) as Money)}
            </text>
          </g>
        ))}
        {across.ticks(TICKS).map((tick) => (
          <text key={tick} x={across(tick)} y={HEIGHT - 8} textAnchor="middle">
            {tick}
          </text>
        ))}
        {path && <path d={path} />}
        {steps.map(({ size, price, wrong }, index) => (
          <circle key={index} cx={across(size)} cy={up(price)} r={wrong ? 6 : 3} data-wrong={wrong || undefined} />
        ))}
      </svg>
    </figure>
  );
}
