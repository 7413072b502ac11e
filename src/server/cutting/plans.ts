/** A cutting plan from a request: looked over, worked on in threads, checked, told as it gets better. */
import { type Job, type News, composeSheets, composeSticks, jobsOfSheets, jobsOfSticks } from '@/core/cutting/engine';
import type { SheetsPlan, SheetsRequest, SticksPlan, SticksRequest } from '@/core/cutting/request';
import { sheetsSchema, sticksSchema } from '@/core/cutting/request-schema';
import { checkSheets } from '@/core/cutting/sheets/check';
import { checkSticks } from '@/core/cutting/sticks/check';
import { samples } from '@/core/cutting/samples';
import { type Issue, type Outcome, bad, good, issue } from '@/core/issue';
import { schemaIssues } from '../door';
import type { CuttingPool } from './pool';

export const CUT_KINDS = ['sticks', 'sheets'] as const;
export type CutKind = (typeof CUT_KINDS)[number];
interface Requests {
  readonly sticks: SticksRequest;
  readonly sheets: SheetsRequest;
}
interface Plans {
  readonly sticks: SticksPlan;
  readonly sheets: SheetsPlan;
}
/** Why something is not made: what nothing is large enough for, or what there is too little for. */
interface Told {
  readonly reasons: readonly (Issue & { readonly id: string })[];
  readonly ms: number;
}
export type Plan<K extends CutKind> = Plans[K] & Told;

interface Kind<K extends CutKind> {
  readonly schema: {
    safeParse(body: unknown): { success: true; data: Requests[K] } | { success: false; error: { issues: never[] } };
  };
  readonly jobs: (request: Requests[K]) => Job[];
  readonly compose: (jobs: readonly Job[], news: readonly News[]) => Plans[K];
  readonly check: (request: Requests[K], plan: Plans[K]) => Issue[];
  readonly amiss: (request: Requests[K]) => Issue[];
  readonly reasons: (request: Requests[K], plan: Plans[K]) => Told['reasons'];
}

/** Names that stand twice, each beside its place. */
function twice(names: readonly { readonly id: string; readonly path: string }[]): Issue[] {
  const seen = new Set<string>();
  return names.flatMap(({ id, path }) => {
    if (seen.has(id)) return [issue('cut-name-twice', { id: id.slice(0, 60) }, path)];
    seen.add(id);
    return [];
  });
}
const named = (list: readonly { readonly id: string }[], path: string) =>
  list.map(({ id }, at) => ({ id, path: `${path}.${at}.id` }));

const sticks: Kind<'sticks'> = {
  schema: sticksSchema as never,
  jobs: jobsOfSticks,
  compose: composeSticks,
  check: checkSticks,
  amiss({ profiles, frames }) {
    const known = new Set(profiles.map((one) => one.id));
    return [
      ...twice(named(profiles, 'profiles')),
      ...profiles.flatMap((one, at) =>
        twice([...named(one.stock, `profiles.${at}.stock`), ...named(one.rack, `profiles.${at}.rack`)]),
      ),
      ...twice(named(frames, 'frames')),
      ...twice(frames.flatMap((frame, at) => named(frame.legs, `frames.${at}.legs`))),
      ...frames.flatMap((frame, at) =>
        known.has(frame.profile)
          ? []
          : [issue('cut-profile-unknown', { id: frame.profile.slice(0, 60) }, `frames.${at}.profile`)],
      ),
    ];
  },
  reasons({ profiles, frames, endTrim }, { unmade }) {
    const gone = new Set(unmade);
    const longest = new Map(
      profiles.map(({ id, stock, rack }) => [
        id,
        Math.max(
          0,
          ...stock.filter((one) => one.qty !== 0).map((one) => one.length - 2 * endTrim),
          ...rack.map((one) => one.length - 2 * endTrim),
        ),
      ]),
    );
    return frames.flatMap(({ id, profile, legs }) => {
      if (!gone.has(id)) return [];
      const leg = Math.max(...legs.map((one) => one.length));
      const most = longest.get(profile) ?? 0;
      return [
        {
          id,
          ...(leg > most
            ? issue('cut-leg-too-long', { leg, most: Math.max(0, most) })
            : issue('cut-too-little', { profile })),
        },
      ];
    });
  },
};

const sheets: Kind<'sheets'> = {
  schema: sheetsSchema as never,
  jobs: jobsOfSheets,
  compose: composeSheets,
  check: checkSheets,
  amiss({ materials, parts }) {
    const known = new Set(materials.map((one) => one.id));
    return [
      ...twice(named(materials, 'materials')),
      ...materials.flatMap((one, at) =>
        twice([...named(one.stock, `materials.${at}.stock`), ...named(one.rack, `materials.${at}.rack`)]),
      ),
      ...twice(named(parts, 'parts')),
      ...parts.flatMap((part, at) =>
        known.has(part.material)
          ? []
          : [issue('cut-profile-unknown', { id: part.material.slice(0, 60) }, `parts.${at}.material`)],
      ),
    ];
  },
  reasons({ materials, parts, sheetTrim, offcutTrim }, { unmade }) {
    const gone = new Set(unmade);
    const byId = new Map(materials.map((one) => [one.id, one]));
    return parts.flatMap(({ id, material, w, h }) => {
      if (!gone.has(id)) return [];
      const { rotate, stock, rack } = byId.get(material)!;
      const sizes = [
        ...stock.filter((one) => one.qty !== 0).map((one) => ({ w: one.w - 2 * sheetTrim, h: one.h - 2 * sheetTrim })),
        ...rack.map((one) => ({ w: one.w - 2 * offcutTrim, h: one.h - 2 * offcutTrim })),
      ];
      const fits = sizes.some((one) => (w <= one.w && h <= one.h) || (rotate && h <= one.w && w <= one.h));
      return [
        { id, ...(fits ? issue('cut-too-little', { profile: material }) : issue('cut-part-too-large', { w, h })) },
      ];
    });
  },
};
const KINDS: { readonly [K in CutKind]: Kind<K> } = { sticks, sheets };

export interface PlanOptions<K extends CutKind> {
  readonly budgetMs: number;
  readonly turns?: number | null;
  readonly signal?: AbortSignal;
  /** Each better plan, the first at once, then at most some ten a second. */
  readonly onPlan?: (plan: Plan<K>) => void;
}
const EVERY_MS = 100;
const WARM_MS = 40;

/** Makes a plan, or says what is wrong with the request. Throws ThreadDied when a thread dies under it. */
export async function makePlan<K extends CutKind>(
  pool: CuttingPool,
  kind: K,
  body: unknown,
  { onPlan, ...options }: PlanOptions<K>,
): Promise<Outcome<Plan<K>>> {
  const of = KINDS[kind];
  const read = of.schema.safeParse(body);
  if (!read.success) return bad(...schemaIssues(read.error.issues));
  const request = read.data;
  const amiss = of.amiss(request);
  if (amiss.length > 0) return bad(...amiss.slice(0, 20));
  const began = performance.now();
  const jobs = of.jobs(request);
  const finished = (news: readonly News[]): Plan<K> => {
    const plan = of.compose(jobs, news);
    const wrong = of.check(request, plan);
    if (wrong.length > 0)
      throw new Error(`a plan failed its check: ${wrong[0]!.code} ${JSON.stringify(wrong[0]!.figures)}`);
    return { ...plan, reasons: of.reasons(request, plan), ms: Math.round(performance.now() - began) };
  };
  let told = -Infinity;
  let wait = 0;
  const news = await pool.run({
    ...options,
    jobs,
    ...(onPlan
      ? {
          onNews: (latest) => {
            const from = performance.now();
            if (from - told < wait) return;
            onPlan(finished(latest));
            told = performance.now();
            // Putting a large plan together and checking it takes time that other requests want.
            wait = Math.max(EVERY_MS, 8 * (told - from));
          },
        }
      : {}),
  });
  // Nobody is there to hear it: whoever stops keeps the last plan that was told.
  if (options.signal?.aborted || news.length < jobs.length) return bad(issue('cut-stopped'));
  return good(finished(news));
}

/** Starts the threads, and makes a few plans of made-up requests, so that nobody's first one waits for the compiler. */
export async function warmUp(pool: CuttingPool): Promise<void> {
  await pool.warm();
  for (const { kind, request } of samples())
    await makePlan(pool, kind, request, { budgetMs: WARM_MS, onPlan: () => undefined });
}
