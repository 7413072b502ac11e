'use client';
/** Asks for plans of sticks and sheets, takes each better one as it comes, and stops when told; the best so far stays. */
import { EventSourceParserStream } from 'eventsource-parser/stream';
import { useCallback, useEffect, useRef, useState } from 'react';
import { restOfSheets, restOfSticks, withRestOfSheets, withRestOfSticks } from '@/core/cutting/arrange';
import type { PlannedBar, PlannedSheet, SheetsPlan, SticksPlan } from '@/core/cutting/request';
import type { CutRequests } from '@/core/cutting/plan-request';
import { type Issue, issue } from '@/core/issue';

export interface Plans {
  readonly sticks: SticksPlan;
  readonly sheets: SheetsPlan;
}
export interface Kept {
  readonly sticks: readonly PlannedBar[];
  readonly sheets: readonly PlannedSheet[];
}
const NOTHING = { unmade: [], cost: 0, bound: 0, gap: 0, optimal: true };
export const NO_PLANS: Plans = { sticks: { bars: [], ...NOTHING }, sheets: { sheets: [], ...NOTHING } };

/** Reads a stream of plans; answers what is wrong, if anything. */
async function listen<P>(
  kind: 'sticks' | 'sheets',
  request: unknown,
  budgetMs: number,
  signal: AbortSignal,
  onPlan: (plan: P) => void,
): Promise<readonly Issue[]> {
  const response = await fetch(`/api/v1/cut-plans/${kind}?budgetMs=${budgetMs}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', accept: 'text/event-stream' },
    body: JSON.stringify(request),
    signal,
  });
  if (!response.body || !response.headers.get('content-type')?.includes('event-stream')) {
    const body = (await response.json().catch(() => ({}))) as { issues?: Issue[] };
    return body.issues ?? [issue('fault')];
  }
  const events = response.body.pipeThrough(new TextDecoderStream()).pipeThrough(new EventSourceParserStream());
  const reader = events.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return [];
    const body = JSON.parse(value.data) as P & { issues?: Issue[] };
    if (value.event === 'refused') return body.issues ?? [issue('fault')];
    onPlan(body);
  }
}

export interface Planning {
  readonly plans: Plans | undefined;
  readonly running: boolean;
  /** 0 to 1. */
  readonly progress: number;
  readonly issues: readonly Issue[];
  readonly start: (requests: CutRequests, budgetMs: number, kept?: Kept) => void;
  readonly stop: () => void;
  readonly set: (plans: Plans | undefined) => void;
}

export function usePlan(): Planning {
  const [plans, set] = useState<Plans | undefined>();
  const [running, setRunning] = useState(false);
  const [progress, setProgress] = useState(0);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const halt = useRef<AbortController | undefined>(undefined);
  const latest = useRef<Plans | undefined>(undefined);
  useEffect(() => {
    latest.current = plans;
  });
  useEffect(() => () => halt.current?.abort(), []);

  const start = useCallback((requests: CutRequests, budgetMs: number, kept?: Kept) => {
    halt.current?.abort();
    const mine = new AbortController();
    halt.current = mine;
    const whole = latest.current ?? NO_PLANS;
    setIssues([]);
    setRunning(true);
    setProgress(0);
    if (!kept) set(undefined);
    const began = performance.now();
    const timer = setInterval(() => setProgress(Math.min(1, (performance.now() - began) / budgetMs)), 100);
    const put = (part: Partial<Plans>) => set((before) => ({ ...(before ?? NO_PLANS), ...part }));
    const sticks = kept ? restOfSticks(requests.sticks, kept.sticks) : requests.sticks;
    const sheets = kept ? restOfSheets(requests.sheets, kept.sheets) : requests.sheets;
    const works: Promise<readonly Issue[]>[] = [];
    if (sticks.frames.length > 0)
      works.push(
        listen<SticksPlan>('sticks', sticks, budgetMs, mine.signal, (plan) =>
          put({ sticks: kept ? withRestOfSticks(requests.sticks, whole.sticks, kept.sticks, plan) : plan }),
        ),
      );
    if (sheets.parts.length > 0)
      works.push(
        listen<SheetsPlan>('sheets', sheets, budgetMs, mine.signal, (plan) =>
          put({ sheets: kept ? withRestOfSheets(requests.sheets, whole.sheets, kept.sheets, plan) : plan }),
        ),
      );
    void Promise.allSettled(works).then((ended) => {
      clearInterval(timer);
      if (halt.current !== mine) return;
      setRunning(false);
      const stopped = mine.signal.aborted;
      setIssues(
        ended.flatMap((one) => (one.status === 'fulfilled' ? one.value : stopped ? [] : [issue('connection-lost')])),
      );
    });
  }, []);
  const stop = useCallback(() => halt.current?.abort(), []);
  return { plans, running, progress, issues, start, stop, set };
}
