'use client';
/** How many orders would change by how much: a bar for each step of five percent. */
import { max } from 'd3-array';
import { scaleBand, scaleLinear } from 'd3-scale';
import { CHANGES } from '@/core/pricing/what-if-parts';
import { PRICES_ASKED } from '@/words/screens/prices-asked';
import styles from './prices.module.css';

const [WIDTH, HEIGHT, FOOT, TOP] = [640, 150, 22, 16];
/** What a step is called: below the first bound, from bound to bound, from the last on. */
const nameOf = (index: number): string =>
  index === 0
    ? PRICES_ASKED.fallsMore(CHANGES[0])
    : index === CHANGES.length
      ? PRICES_ASKED.risesMore(CHANGES[CHANGES.length - 1]!)
      : PRICES_ASKED.between(CHANGES[index - 1]!, CHANGES[index]!);

export function Spread({ counts }: { counts: readonly number[] }) {
  const across = scaleBand<number>([0, WIDTH])
    .domain(counts.map((_, index) => index))
    .padding(0.18);
  const up = scaleLinear([0, max(counts) ?? 1], [0, HEIGHT - FOOT - TOP]);
  return (
    <figure className={styles.spread}>
      <figcaption>{PRICES_ASKED.spread}</figcaption>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={PRICES_ASKED.spread}>
        {counts.map((count, index) => {
          const [x, tall] = [across(index)!, up(count)];
          const middle = x + across.bandwidth() / 2;
          return (
            <g key={index}>
              <title>{`${nameOf(index)}: ${count}`}</title>
              <rect x={x} y={HEIGHT - FOOT - tall} width={across.bandwidth()} height={tall} />
              {count > 0 && (
                <text x={middle} y={HEIGHT - FOOT - tall - 4}>
                  {count}
                </text>
              )}
            </g>
          );
        })}
        {CHANGES.map((percent, index) => (
          <text
            key={percent}
            className={styles.bound}
            x={(across(index)! + across.bandwidth() + across(index + 1)!) / 2}
            y={HEIGHT - 5}
          >
            {PRICES_ASKED.change(percent)}
          </text>
        ))}
        <line x1={0} x2={WIDTH} y1={HEIGHT - FOOT} y2={HEIGHT - FOOT} />
      </svg>
    </figure>
  );
}
