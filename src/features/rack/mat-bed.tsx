'use client';
/** The board on the cutter, with what is cut of it so far. */
import { CUTTER } from '@/words/screens/rack';
import { type Play, upTo } from './mat-play';
import styles from './rack.module.css';

const BOARD = '#f4ecdd';

export function Bed({ play, now }: { play: Play; now: number }) {
  const all = play.cuts.flatMap((cut) => cut.points);
  const w = Math.max(...all.map(([x]) => x));
  const h = Math.max(...all.map(([, y]) => y));
  const text = (points: Play['cuts'][number]['points']) => points.map(([x, y]) => `${x},${h - y}`).join(' ');
  const active = play.cuts.find((cut) => now >= cut.starts && now < cut.ends);
  const head = active && upTo(active.points, (now - active.starts) / (active.ends - active.starts)).at(-1);
  return (
    <svg
      className={styles.bed}
      viewBox={`${-w * 0.03} ${-h * 0.03} ${w * 1.06} ${h * 1.06}`}
      role="img"
      aria-label={CUTTER.bed}
    >
      <rect x={0} y={0} width={w} height={h} fill={BOARD} />
      {play.cuts.map((cut, index) => (
        <g key={index} data-layer={cut.layer}>
          <polyline points={text(cut.points)} />
          {now > cut.starts && (
            <polyline data-cut points={text(upTo(cut.points, (now - cut.starts) / (cut.ends - cut.starts)))} />
          )}
        </g>
      ))}
      {head && <circle cx={head[0]} cy={h - head[1]} r={w * 0.009} />}
    </svg>
  );
}
