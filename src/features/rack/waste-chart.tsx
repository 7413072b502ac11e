/** What was lost of sticks and of sheets, plan by plan. Drawn on the server: nothing of it is touched. */
import { extent, max } from 'd3-array';
import { scaleLinear, scaleTime } from 'd3-scale';
import { line } from 'd3-shape';
import type { MadePlanView } from '@/contract/views';
import { MADE } from '@/words/screens/rack';
import styles from './rack.module.css';
import { percent, shareLost } from './words';

/** What a name on the chart takes. */
const NAME_HIGH = 16;
const [HIGH, LEFT, BOTTOM, RIGHT] = [150, 40, 22, 90];
/** As wide as the page is on the usual screen. */
const WIDE = 1240;
const DAY_MS = 86_400_000;
const SERIES = [
  ['sticks', 'var(--ink)'],
  ['sheets', 'var(--next)'],
] as const;
type Kind = (typeof SERIES)[number][0];
interface PlanRow {
  readonly plan: MadePlanView;
  readonly at: Date;
}

/** Where the names of the two lines stand: beside the last point of each, never over one another. */
function namePlaces(ends: readonly (number | undefined)[]): (index: number) => number {
  const [sticks, sheets] = ends;
  const near =
    sticks !== undefined && sheets !== undefined ? Math.max(0, NAME_HIGH - Math.abs(sticks - sheets)) / 2 : 0;
  const lower = (sheets ?? 0) >= (sticks ?? 0) ? 1 : 0;
  return (index) => ends[index]! + (index === lower ? near : -near);
}

function scalesOf(rows: readonly PlanRow[], width: number) {
  const most = Math.max(
    0.1,
    max(rows.flatMap(({ plan }) => [shareLost(plan.figures.sticks), shareLost(plan.figures.sheets)])) ?? 0,
  );
  const [from, to] = extent(rows, (row) => row.at) as [Date, Date];
  const right = Math.max(LEFT + 100, width - RIGHT);
  return {
    right,
    x: scaleTime([new Date(from.getTime() - DAY_MS), new Date(to.getTime() + DAY_MS)], [LEFT, right]),
    y: scaleLinear([0, most], [HIGH - BOTTOM, 10]).nice(4),
  };
}

export function WasteChart({ plans }: { plans: readonly MadePlanView[] }) {
  const rows: PlanRow[] = plans
    .filter((plan) => plan.state === 'confirmed')
    .map((plan) => ({ plan, at: new Date(plan.at) }))
    .reverse();
  if (rows.length === 0) return null;
  const { x, y, right } = scalesOf(rows, WIDE);
  const opened = (kind: Kind) => rows.filter(({ plan }) => plan.figures[kind].opened > 0);
  const height = (kind: Kind) => (row: PlanRow) => y(shareLost(row.plan.figures[kind]));
  const nameAt = namePlaces(
    SERIES.map(([kind]) => {
      const last = opened(kind).at(-1);
      return last && height(kind)(last);
    }),
  );
  return (
    <div className={styles.chart}>
      <svg viewBox={`0 0 ${WIDE} ${HIGH}`} role="img" aria-label={MADE.chart}>
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line x1={LEFT} x2={right} y1={y(tick)} y2={y(tick)} stroke="var(--hair)" />
            <text x={LEFT - 6} y={y(tick)} dy="0.34em" textAnchor="end" fontSize={13} fill="var(--soft)">
              {Math.round(tick * 100)} %
            </text>
          </g>
        ))}
        {SERIES.map(([kind, colour], index) => {
          const there = opened(kind);
          const last = there.at(-1);
          const path = line<PlanRow>()
            .x((row) => x(row.at))
            .y(height(kind))(there);
          return (
            <g key={kind}>
              <path d={path ?? ''} fill="none" stroke={colour} strokeWidth={1.6} />
              {there.map((row) => (
                <rect
                  key={row.plan.id}
                  x={x(row.at) - 3.5}
                  y={height(kind)(row) - 3.5}
                  width={7}
                  height={7}
                  fill={colour}
                  transform="skewX(-14)"
                  style={{ transformBox: 'fill-box', transformOrigin: 'center' }}
                >
                  <title>{MADE.point(row.plan.number, percent(shareLost(row.plan.figures[kind])))}</title>
                </rect>
              ))}
              {last && (
                <text x={x(last.at) + 10} y={nameAt(index)} dy="0.34em" fontSize={14} fontWeight={700} fill={colour}>
                  {MADE.series[kind]}
                </text>
              )}
            </g>
          );
        })}
        {rows.map(({ plan, at }) => (
          <text key={plan.id} x={x(at)} y={HIGH - 5} textAnchor="middle" fontSize={13} fill="var(--soft)">
            {plan.number}
          </text>
        ))}
      </svg>
    </div>
  );
}
