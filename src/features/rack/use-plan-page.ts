'use client';
/** What the page of the plan holds: which jobs are chosen, the plan that is made, what of it stays, what it is compared with. */
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { RackView } from '@/contract/views';
import { moveLeg } from '@/core/cutting/arrange';
import type { Apart } from '@/core/cutting/baseline';
import { figuresOf } from '@/core/cutting/plan-figures';
import type { Issue } from '@/core/issue';
import { post } from '@/ui/send';
import { useCommand } from '@/ui/use-command';
import {
  type Kind,
  type Locked,
  NONE_LOCKED,
  type PlanState,
  confirmation,
  flipped,
  keptOf,
  planState,
} from './plan-state';
import { useRack } from './rack-places';
import { usePlan } from './use-plan';

export const BUDGETS_MS = [1500, 10_000, 30_000] as const;
/** Until the server has told what it would cost job by job. */
const NOT_KNOWN: Apart = { sticks: 0, sheets: 0 };

/** The jobs that are chosen: those that are ready, unless they were taken out by hand, and those put in. */
function useChosen(rack: RackView) {
  const [byHand, setByHand] = useState<ReadonlyMap<string, boolean>>(new Map());
  const chosen = useMemo(
    () =>
      new Set(rack.jobs.filter((job) => byHand.get(job.ticket) ?? (job.ready && !job.held)).map((job) => job.ticket)),
    [rack.jobs, byHand],
  );
  const choose = (ticket: string, on: boolean) => setByHand((before) => new Map(before).set(ticket, on));
  return { chosen, choose };
}

export function usePlanPage(first: RackView) {
  const { rack, refresh } = useRack(first);
  const router = useRouter();
  const { chosen, choose } = useChosen(rack);
  const [budget, setBudget] = useState<number>(BUDGETS_MS[0]);
  const [tab, setTab] = useState<Kind>('sticks');
  const [planned, setPlanned] = useState<PlanState>();
  const [locked, setLocked] = useState<Locked>(NONE_LOCKED);
  const [apart, setApart] = useState<Apart>();
  const [moving, setMoving] = useState<readonly Issue[]>([]);
  const command = useCommand('confirm-plan');
  const planning = usePlan();
  const { plans } = planning;

  const run = (from: RackView, tickets: ReadonlySet<string>) => {
    const state = planState(from, tickets);
    setPlanned(state);
    setLocked(NONE_LOCKED);
    setMoving([]);
    setApart(undefined);
    planning.start(state.requests, budget);
    if (from.money)
      void post<Apart>('/api/rack/apart', { tickets: state.tickets }).then((answer) =>
        setApart(answer.ok ? answer.value : undefined),
      );
    if (state.requests.sticks.frames.length === 0) setTab('sheets');
  };
  const planRest = () => {
    if (!planned || !plans) return;
    const rest = keptOf(plans, locked);
    setLocked(rest.locked);
    planning.start(planned.requests, budget, rest.kept);
  };
  const confirm = async () => {
    if (!planned || !plans) return;
    const answer = await command.run(confirmation(planned, plans));
    if (answer.ok) return router.push('/rack/plans');
    if (!answer.issues.some((issue) => issue.code === 'plan-rack-changed')) return;
    const now = await refresh();
    const there = planned.tickets.filter((ticket) => now?.jobs.some((job) => job.ticket === ticket));
    if (now) run(now, new Set(there));
  };
  const move = (leg: string, bar: number) => {
    if (!planned || !plans) return;
    const moved = moveLeg(planned.requests.sticks, plans.sticks, leg, bar);
    setMoving(moved.ok ? [] : moved.issues);
    if (moved.ok) planning.set({ ...plans, sticks: moved.value });
  };
  return {
    rack,
    chosen,
    choose,
    budget,
    setBudget,
    tab,
    setTab,
    planned,
    plans,
    locked,
    flip: (kind: Kind, index: number) => setLocked((before) => flipped(before, kind, index)),
    compared: apart !== undefined,
    figures: planned && plans ? figuresOf(planned.requests, plans, apart ?? NOT_KNOWN) : undefined,
    running: planning.running,
    progress: planning.progress,
    stop: planning.stop,
    issues: [...command.issues, ...moving, ...planning.issues],
    busy: command.busy,
    run: () => run(rack, chosen),
    planRest,
    confirm,
    move,
  };
}
export type PlanPage = ReturnType<typeof usePlanPage>;
