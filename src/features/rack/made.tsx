'use client';
/** Plans that were confirmed: what each lost, over time; their papers; a spoiled cut; the way back. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { extent, max } from 'd3-array';
import { scaleLinear, scaleTime } from 'd3-scale';
import { line } from 'd3-shape';
import { useState } from 'react';
import type { MadePlanView, RackView } from '@/contract/views';
import type { PlanFigures } from '@/core/cutting/plan-figures';
import type { Issue } from '@/core/issue';
import { parseLength } from '@/core/units/parse-length';
import { send } from '@/ui/send';
import { useBox } from '@/ui/scene-svg';
import { Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { dayName } from '@/words/materials';
import { RackPlaces, useRack } from './rack-places';
import styles from './rack.module.css';
import { cents, gapWords, percent } from './words';

const share = ({ opened, lost }: { opened: number; lost: number }) => (opened > 0 ? lost / opened : 0);

/** What a name on the chart takes. */
const NAME_HIGH = 16;

/** What was lost of sticks and of sheets, plan by plan. */
function WasteChart({ plans }: { plans: readonly MadePlanView[] }) {
  const [box, { width }] = useBox<HTMLDivElement>();
  const [HIGH, LEFT, BOTTOM] = [150, 40, 22];
  const rows = plans
    .filter((plan) => plan.state === 'confirmed')
    .map((plan) => ({ plan, at: new Date(plan.at) }))
    .reverse();
  const limit = Math.max(
    0.1,
    max(rows.flatMap(({ plan }) => [share(plan.figures.sticks), share(plan.figures.sheets)])) ?? 0,
  );
  const [from, to] = extent(rows, (row) => row.at) as [Date, Date];
  const day = 86_400_000;
  const x = scaleTime(
    [new Date(from.getTime() - day), new Date(to.getTime() + day)],
    [LEFT, Math.max(LEFT + 100, width - 90)],
  );
  const y = scaleLinear([0, limit], [HIGH - BOTTOM, 10]).nice(4);
  const series = [
    ['sticks', 'var(--ink)', 'Sticks'],
    ['sheets', 'var(--next)', 'Sheets'],
  ] as const;
  // Names beside the last of each, never over one another.
  const ends = series.map(([kind]) => {
    const last = rows.findLast(({ plan }) => plan.figures[kind].opened > 0);
    return last ? y(share(last.plan.figures[kind])) : undefined;
  });
  const [one, other] = ends;
  const near = one !== undefined && other !== undefined ? Math.max(0, NAME_HIGH - Math.abs(one - other)) / 2 : 0;
  const lower = (other ?? 0) >= (one ?? 0) ? 1 : 0;
  const nameAt = (index: number): number => ends[index]! + (index === lower ? near : -near);
  return (
    <div ref={box} className={styles.chart}>
      <svg
        width={Math.max(200, width)}
        height={HIGH}
        role="img"
        aria-label="Share of the opened material that was lost, plan by plan"
      >
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line x1={LEFT} x2={Math.max(LEFT + 100, width - 90)} y1={y(tick)} y2={y(tick)} stroke="var(--hair)" />
            <text x={LEFT - 6} y={y(tick)} dy="0.34em" textAnchor="end" fontSize={13} fill="var(--soft)">
              {Math.round(tick * 100)} %
            </text>
          </g>
        ))}
        {series.map(([kind, colour, name], index) => {
          const there = rows.filter(({ plan }) => plan.figures[kind].opened > 0);
          const path = line<(typeof there)[number]>()
            .x((row) => x(row.at))
            .y((row) => y(share(row.plan.figures[kind])))(there);
          const last = there.at(-1);
          return (
            <g key={kind}>
              <path d={path ?? ''} fill="none" stroke={colour} strokeWidth={1.6} />
              {there.map(({ plan, at }) => (
                <rect
                  key={plan.id}
                  x={x(at) - 3.5}
                  y={y(share(plan.figures[kind])) - 3.5}
                  width={7}
                  height={7}
                  fill={colour}
                  transform={`skewX(-14)`}
                  style={{ transformBox: 'fill-box', transformOrigin: 'center' }}
                >
                  <title>{`Plan ${plan.number}: ${percent(share(plan.figures[kind]))}`}</title>
                </rect>
              ))}
              {last && (
                <text x={x(last.at) + 10} y={nameAt(index)} dy="0.34em" fontSize={14} fontWeight={700} fill={colour}>
                  {name}
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

function Spoil({ plan, onDone }: { plan: MadePlanView; onDone: () => void }) {
  const { unit } = useUnit();
  const open = plan.parts.filter((part) => !part.spoiled);
  const [part, setPart] = useState('');
  const [why, setWhy] = useState('');
  const [left, setLeft] = useState('');
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const save = async () => {
    const sides = left.trim() === '' ? [] : left.split(/\s*[x×]\s*/);
    const read = sides.map((text) => parseLength(text, { unit }));
    const wrong = read.flatMap((outcome) => (outcome.ok ? [] : outcome.issues));
    if (wrong.length > 0) return setIssues(wrong);
    const [length, height] = read.map((outcome) => (outcome.ok ? outcome.value : 0));
    const answer = await send('spoil-cut', {
      planId: plan.id,
      part,
      why,
      left: length === undefined ? null : { length, height: height ?? null },
    });
    if (answer.ok) onDone();
    else setIssues(answer.issues);
  };
  return (
    <form
      className={styles.spoil}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <h2>A spoiled cut of plan {plan.number}</h2>
      <label>
        Which
        <select value={part} onChange={(event) => setPart(event.target.value)} required>
          <option value="" disabled>
            choose
          </option>
          {open.map((one) => (
            <option key={one.part}>{one.part}</option>
          ))}
        </select>
      </label>
      <label>
        Why
        <input
          value={why}
          onChange={(event) => setWhy(event.target.value)}
          required
          maxLength={200}
          placeholder="chipped at the mitre"
        />
      </label>
      <label>
        What is left of it and worth keeping{' '}
        <span className="soft">a length, or width × height; empty for nothing</span>
        <input
          value={left}
          onChange={(event) => setLeft(event.target.value)}
          placeholder={unit === 'in' ? '14 1/2' : '370'}
        />
      </label>
      <Trouble issues={issues} />
      <p className="soft">It goes back on the list of what is to be cut; plan it again with what is left.</p>
      <div className={styles.buttons}>
        <Button type="submit" variant="contained">
          Write it down
        </Button>
        <Button variant="outlined" onClick={onDone}>
          Close
        </Button>
      </div>
    </form>
  );
}

/** Both halves of a plan as one. A half without a bound of its own counts by its own gap. */
function together(sticks: PlanFigures, sheets: PlanFigures): PlanFigures {
  const boundOf = ({ bound, cost, gap }: PlanFigures) => (bound > 0 ? bound : cost / (1 + gap));
  const cost = sticks.cost + sheets.cost;
  const bound = boundOf(sticks) + boundOf(sheets);
  return {
    ...sticks,
    opened: sticks.opened + sheets.opened,
    cost,
    bound,
    gap: bound > 0 ? cost / bound - 1 : 0,
    optimal: sticks.optimal && sheets.optimal,
  };
}

export function PlansMade({ first }: { first: RackView }) {
  const { rack, refresh } = useRack(first);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [spoiling, setSpoiling] = useState<MadePlanView>();
  const undo = async (plan: MadePlanView) => {
    const answer = await send('undo-plan', { id: plan.id });
    setIssues(answer.ok ? [] : answer.issues);
    void refresh();
  };
  const saved = rack.plans
    .filter((plan) => plan.state === 'confirmed')
    .reduce(
      (sum, { figures }) =>
        sum + figures.sticks.apart - figures.sticks.cost + figures.sheets.apart - figures.sheets.cost,
      0,
    );
  return (
    <main className={styles.rack}>
      <RackPlaces />
      <div className={styles.scroll}>
        {rack.plans.length === 0 ? (
          <p className={styles.empty}>No plan was confirmed yet. Plan the cuts, look at them, and confirm.</p>
        ) : (
          <>
            <section className={styles.kind}>
              <h2>
                Lost of what was opened{' '}
                {rack.money && (
                  <span className="soft">{cents(Math.max(0, saved))} saved so far against cutting job by job</span>
                )}
              </h2>
              <WasteChart plans={rack.plans} />
            </section>
            <Trouble issues={issues} />
            <section className={styles.kind}>
              <h2>Plans</h2>
              <table className={styles.made}>
                <thead>
                  <tr>
                    <th className="num">Plan</th>
                    <th>When, by whom</th>
                    <th>Jobs</th>
                    <th className="num">Sticks lost</th>
                    <th className="num">Sheets lost</th>
                    {rack.money && (
                      <>
                        <th className="num">Material</th>
                        <th>How good</th>
                      </>
                    )}
                    <th />
                  </tr>
                </thead>
                <tbody>
                  {rack.plans.map((plan) => {
                    const { sticks, sheets } = plan.figures;
                    const spoiled = plan.parts.filter((part) => part.spoiled);
                    return (
                      <tr key={plan.id} data-undone={plan.state === 'undone'}>
                        <td className="num">
                          <b>{plan.number}</b>
                        </td>
                        <td>
                          {dayName(plan.at.slice(0, 10))} <span className="soft">{plan.by}</span>
                        </td>
                        <td>
                          {plan.tickets.slice(0, 3).join(', ')}
                          {plan.tickets.length > 3 && ` and ${plan.tickets.length - 3} more`}
                          {spoiled.map((one) => (
                            <span key={one.part} className={styles.spoiled}>
                              {one.part} spoiled: {one.spoiled!.why}
                            </span>
                          ))}
                        </td>
                        <td className="num">{sticks.opened > 0 ? percent(share(sticks)) : '–'}</td>
                        <td className="num">{sheets.opened > 0 ? percent(share(sheets)) : '–'}</td>
                        {rack.money && (
                          <>
                            <td className="num">{cents(sticks.cost + sheets.cost)}</td>
                            <td className="soft">
                              {plan.state === 'undone' ? 'Undone' : gapWords(together(sticks, sheets))}
                            </td>
                          </>
                        )}
                        <td className={styles.acts}>
                          {plan.state === 'confirmed' && (
                            <>
                              <a href={`/papers/cut-sheet/${plan.number}`} target="_blank" rel="noreferrer">
                                Cut sheet
                              </a>
                              <a href={`/api/v1/export/plan-${plan.number}.csv`}>CSV</a>
                              <button type="button" onClick={() => setSpoiling(plan)}>
                                Spoiled
                              </button>
                              {plan.undoable && (
                                <button type="button" onClick={() => void undo(plan)}>
                                  Undo
                                </button>
                              )}
                            </>
                          )}
                        </td>
                      </tr>
                    );
                  })}
                </tbody>
              </table>
            </section>
          </>
        )}
      </div>
      <Dialog open={spoiling !== undefined} onClose={() => setSpoiling(undefined)} aria-label="A spoiled cut">
        {spoiling && (
          <Spoil
            plan={spoiling}
            onDone={() => {
              setSpoiling(undefined);
              void refresh();
            }}
          />
        )}
      </Dialog>
    </main>
  );
}
