'use client';
/** One plan over the jobs that wait for the saw, the mat cutter and the glass: chosen, made, changed by hand, confirmed. */
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import LinearProgress from '@mui/material/LinearProgress';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { CutJobView, RackPieceView, RackView } from '@/contract/views';
import { moveLeg } from '@/core/cutting/arrange';
import { buyingOf } from '@/core/cutting/buying';
import type { Apart } from '@/core/cutting/baseline';
import type { Wanted } from '@/core/cutting/demand';
import { figuresOf } from '@/core/cutting/plan-figures';
import { type RackPiece, requestsFor } from '@/core/cutting/plan-request';
import type { Issue } from '@/core/issue';
import { defaultSettings } from '@/core/settings';
import { post, send } from '@/ui/send';
import { Note, Trouble } from '@/ui/trouble';
import { dayName } from '@/words/materials';
import { RackPlaces, nameOf, useRack } from './rack-places';
import styles from './rack.module.css';
import { SheetPlan } from './sheet-plan';
import { StickPlan } from './stick-plan';
import { type Plans, usePlan } from './use-plan';
import { WAY_NAMES, cents, gapWords, percent } from './words';

const BUDGETS = [
  [1500, 'A moment'],
  [10_000, 'Ten seconds'],
  [30_000, 'Half a minute'],
] as const;

const pieceOf = (rackPiece: RackPieceView): RackPiece =>
  rackPiece.kind === 'stick'
    ? { ...rackPiece, kind: 'stick' }
    : { ...rackPiece, kind: 'sheet', w: rackPiece.length, h: rackPiece.height! };

function requestsOf(rack: RackView, tickets: ReadonlySet<string>) {
  const jobs = rack.jobs.filter((job) => tickets.has(job.ticket));
  const wanted: Wanted = {
    frames: jobs.flatMap((job) => job.wanted.frames),
    parts: jobs.flatMap((job) => job.wanted.parts),
  };
  const settings = defaultSettings(rack.homeUnit);
  return { wanted, requests: requestsFor(wanted, rack.pieces.map(pieceOf), rack.lists, settings) };
}

function Jobs({
  jobs,
  chosen,
  onChoose,
}: {
  jobs: readonly CutJobView[];
  chosen: ReadonlySet<string>;
  onChoose: (tickets: readonly string[], on: boolean) => void;
}) {
  const groups = [
    ['Ready to cut', jobs.filter((job) => job.ready && !job.held)],
    ['Waiting for material, or on hold', jobs.filter((job) => !job.ready || job.held)],
  ] as const;
  return (
    <>
      {groups.map(([title, list]) => (
        <section key={title} className={styles.jobs}>
          <h2>
            {title} <span className="soft">{list.length}</span>
          </h2>
          <ul>
            {list.map((job) => (
              <li key={job.ticket}>
                <label>
                  <Checkbox
                    checked={chosen.has(job.ticket)}
                    onChange={(event) => onChoose([job.ticket], event.target.checked)}
                    size="small"
                    slotProps={{ input: { 'aria-label': `${job.ticket} ${job.title}` } }}
                  />
                  <span>
                    <b>{job.ticket}</b> {job.title || 'Untitled'}
                    <span className={styles.needs}>
                      {[
                        job.wanted.frames.length > 0 &&
                          `${job.wanted.frames.reduce((sum, frame) => sum + frame.legs.length, 0)} legs`,
                        job.wanted.parts.length > 0 && `${job.wanted.parts.length} boards`,
                        job.again > 0 && `${job.again} again`,
                        dayName(job.promised),
                      ]
                        .filter(Boolean)
                        .join(', ')}
                    </span>
                  </span>
                </label>
              </li>
            ))}
            {list.length === 0 && (
              <li className="soft">{title === 'Ready to cut' ? 'Nothing waits for the saw.' : 'None.'}</li>
            )}
          </ul>
        </section>
      ))}
    </>
  );
}

/** Until the server has told what it would cost job by job. */
const NOT_KNOWN: Apart = { sticks: 0, sheets: 0 };

type Both = ReturnType<typeof figuresOf>;

/** What a plan comes to: in material, and in money for those who see costs. */
function Outcome({ figures, money, compared }: { figures: Both['sticks']; money: boolean; compared: boolean }) {
  const share = figures.opened > 0 ? figures.lost / figures.opened : 0;
  const saved = figures.apart - figures.cost;
  return (
    <dl className={styles.outcome}>
      <div>
        <dt>Lost in cuts and ends</dt>
        <dd>
          <b>{percent(share)}</b> {money && <span className="soft">{cents(figures.lostCents)}</span>}
        </dd>
      </div>
      {money && (
        <>
          <div>
            <dt>Material, offcuts counted back</dt>
            <dd>
              <b>{cents(figures.cost)}</b>
            </dd>
          </div>
          <div>
            <dt>Cut job by job it would be</dt>
            <dd>
              <b>{compared ? cents(figures.apart) : '…'}</b>{' '}
              {compared && saved > 0.5 && <span className={styles.saved}>{cents(saved)} saved</span>}
            </dd>
          </div>
        </>
      )}
      <div className={styles.gap}>
        <dt>How good this is</dt>
        <dd>{gapWords(figures, money)}</dd>
      </div>
    </dl>
  );
}

function BuyingTable({ rack, plans, state }: { rack: RackView; plans: Plans; state: ReturnType<typeof requestsOf> }) {
  const buying = buyingOf(state.requests.sticks, plans.sticks, state.wanted.frames, rack.lists.mouldings);
  const stock = new Map(rack.stock.map((stock) => [stock.material, stock.onHand]));
  if (buying.length === 0) return null;
  return (
    <section className={styles.buying}>
      <h3>What has to be bought, and other ways to come by it</h3>
      <table>
        <thead>
          <tr>
            <th>Moulding</th>
            <th className="num">Opened</th>
            <th className="num">On hand</th>
            <th>Way</th>
            <th className="num">Cost</th>
            <th className="num">Days</th>
          </tr>
        </thead>
        <tbody>
          {buying.flatMap(({ moulding, choices }) => {
            const least = Math.min(...choices.map((choice) => choice.cents));
            return choices.map((choice, index) => (
              <tr key={`${moulding} ${choice.way}`} data-least={choice.cents === least}>
                <td>{index === 0 ? nameOf(rack, moulding) : ''}</td>
                <td className="num">{index === 0 ? choice.count : ''}</td>
                <td className="num">{index === 0 ? (stock.get(moulding) ?? 0) : ''}</td>
                <td>
                  {WAY_NAMES[choice.way]} {choice.cents === least && <span className={styles.saved}>cheapest</span>}
                </td>
                <td className="num">{cents(choice.cents)}</td>
                <td className="num">{choice.days}</td>
              </tr>
            ));
          })}
        </tbody>
      </table>
    </section>
  );
}

export function Plan({ first }: { first: RackView }) {
  const { rack, refresh } = useRack(first);
  const router = useRouter();
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const [on, setOn] = useState<ReadonlySet<string>>(new Set());
  const [budget, setBudget] = useState<number>(BUDGETS[0][0]);
  const [tab, setTab] = useState<'sticks' | 'sheets'>('sticks');
  const [planned, setPlanned] = useState<ReturnType<typeof requestsOf> & { tickets: string[]; id: string }>();
  const [locked, setLocked] = useState<{ sticks: ReadonlySet<number>; sheets: ReadonlySet<number> }>({
    sticks: new Set(),
    sheets: new Set(),
  });
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [busy, setBusy] = useState(false);
  const [apart, setApart] = useState<Apart>();
  const planning = usePlan();
  const { plans } = planning;

  const chosen = useMemo(
    () =>
      new Set(
        rack.jobs
          .filter((job) => (job.ready && !job.held && !off.has(job.ticket)) || on.has(job.ticket))
          .map((job) => job.ticket),
      ),
    [rack.jobs, off, on],
  );
  const choose = (tickets: readonly string[], wanted: boolean) => {
    const change = (set: ReadonlySet<string>, add: boolean) => {
      const next = new Set(set);
      for (const ticket of tickets)
        if (add) next.add(ticket);
        else next.delete(ticket);
      return next;
    };
    setOff((set) => change(set, !wanted));
    setOn((set) => change(set, wanted));
  };
  const run = (from: RackView, ms: number, tickets: ReadonlySet<string>) => {
    const state = requestsOf(from, tickets);
    setPlanned({ ...state, tickets: [...tickets], id: crypto.randomUUID() });
    setLocked({ sticks: new Set(), sheets: new Set() });
    setIssues([]);
    setApart(undefined);
    planning.start(state.requests, ms);
    if (from.money)
      void post<Apart>('/api/rack/apart', { tickets: [...tickets] }).then((answer) =>
        setApart(answer.ok ? answer.value : undefined),
      );
    if (state.requests.sticks.frames.length === 0) setTab('sheets');
  };
  const rest = () => {
    if (!planned || !plans) return;
    const kept = {
      sticks: plans.sticks.bars.filter((_, index) => locked.sticks.has(index)),
      sheets: plans.sheets.sheets.filter((_, index) => locked.sheets.has(index)),
    };
    setLocked({
      sticks: new Set(kept.sticks.map((_, index) => index)),
      sheets: new Set(kept.sheets.map((_, index) => index)),
    });
    planning.start(planned.requests, budget, kept);
  };
  const confirm = async () => {
    if (!planned || !plans) return;
    setBusy(true);
    const { sticks, sheets } = plans;
    const judge = ({ unmade, cost, bound, gap, optimal }: Plans['sticks'] | Plans['sheets']) => ({
      unmade,
      cost,
      bound,
      gap,
      optimal,
    });
    const payload = {
      id: planned.id,
      tickets: planned.tickets,
      sticks: { bars: sticks.bars, ...judge(sticks) },
      sheets: { sheets: sheets.sheets, ...judge(sheets) },
    };
    const answer = await send('confirm-plan', payload);
    setBusy(false);
    if (answer.ok) return router.push('/rack/plans');
    if (answer.issues.some((issue) => issue.code === 'plan-rack-changed')) {
      const now = await refresh();
      if (now) {
        const there = new Set(planned.tickets.filter((ticket) => now.jobs.some((job) => job.ticket === ticket)));
        run(now, budget, there);
      }
    }
    setIssues(answer.issues);
  };
  const figures = planned && plans ? figuresOf(planned.requests, plans, apart ?? NOT_KNOWN) : undefined;
  const name = (code: string) => nameOf(rack, code);
  const unmade = plans ? [...plans.sticks.unmade, ...plans.sheets.unmade] : [];
  const flip = (kind: 'sticks' | 'sheets', index: number) =>
    setLocked((before) => {
      const next = new Set(before[kind]);
      if (!next.delete(index)) next.add(index);
      return { ...before, [kind]: next };
    });
  const anyLocked = locked.sticks.size + locked.sheets.size > 0;
  return (
    <main className={styles.rack}>
      <RackPlaces />
      <div className={styles.planColumns}>
        <aside>
          <div className={styles.scroll}>
            <Jobs jobs={rack.jobs} chosen={chosen} onChoose={choose} />
          </div>
          <div className={styles.go}>
            <fieldset>
              <legend>Time for it</legend>
              {BUDGETS.map(([ms, label]) => (
                <button key={ms} type="button" aria-pressed={budget === ms} onClick={() => setBudget(ms)}>
                  {label}
                </button>
              ))}
            </fieldset>
            {planning.running ? (
              <Button variant="outlined" fullWidth onClick={planning.stop}>
                Stop, keep the best
              </Button>
            ) : (
              <Button
                variant={plans ? 'outlined' : 'contained'}
                fullWidth
                disabled={chosen.size === 0}
                onClick={() => run(rack, budget, chosen)}
              >
                Plan {chosen.size} {chosen.size === 1 ? 'job' : 'jobs'}
              </Button>
            )}
            <LinearProgress
              variant="determinate"
              value={planning.running ? planning.progress * 100 : plans ? 100 : 0}
              aria-label="Progress of the plan"
            />
          </div>
        </aside>
        <div className={styles.result}>
          {!plans && !planning.running && (
            <p className={styles.empty}>
              A plan lays the legs, mats, boards and glass of all chosen jobs on sticks and sheets: what lies on the
              rack first, as little new as can be. Choose the jobs and press Plan.
            </p>
          )}
          <Trouble issues={[...issues, ...planning.issues]} />
          {plans && planned && figures && (
            <>
              <div className={styles.tabs} role="tablist">
                {(['sticks', 'sheets'] as const).map((kind) => (
                  <button key={kind} type="button" role="tab" aria-selected={tab === kind} onClick={() => setTab(kind)}>
                    {kind === 'sticks' ? `Sticks ${plans.sticks.bars.length}` : `Sheets ${plans.sheets.sheets.length}`}
                  </button>
                ))}
                <span className={styles.grow} />
                {anyLocked && !planning.running && (
                  <Button variant="outlined" onClick={rest}>
                    Plan the rest again
                  </Button>
                )}
                <Button variant="contained" disabled={planning.running || busy} onClick={() => void confirm()}>
                  Confirm, take the material
                </Button>
              </div>
              <div className={styles.scroll}>
                {unmade.length > 0 && (
                  <Note tone="warn">
                    <p>
                      Not in the plan, no stick or sheet is large enough or there is too little: {unmade.join(', ')}. It
                      stays on the list.
                    </p>
                  </Note>
                )}
                <Outcome figures={figures[tab]} money={rack.money} compared={apart !== undefined} />
                {tab === 'sticks' ? (
                  <>
                    <StickPlan
                      request={planned.requests.sticks}
                      plan={plans.sticks}
                      name={name}
                      locked={locked.sticks}
                      onLock={(index) => flip('sticks', index)}
                      onMove={(leg, index) => {
                        const moved = moveLeg(planned.requests.sticks, plans.sticks, leg, index);
                        setIssues(moved.ok ? [] : moved.issues);
                        if (moved.ok) planning.set({ ...plans, sticks: moved.value });
                      }}
                    />
                    {rack.money && <BuyingTable rack={rack} plans={plans} state={planned} />}
                  </>
                ) : (
                  <SheetPlan
                    request={planned.requests.sheets}
                    plan={plans.sheets}
                    name={name}
                    locked={locked.sheets}
                    onLock={(index) => flip('sheets', index)}
                  />
                )}
              </div>
            </>
          )}
        </div>
      </div>
    </main>
  );
}
