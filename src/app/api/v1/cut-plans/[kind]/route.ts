import { CUT_KINDS, type CutKind, makePlan } from '@/server/cutting/plans';
import { isThreadDied } from '@/server/cutting/threads';
import { openRequest } from '@/server/http';
import { issue } from '@/core/issue';
import { openRoute } from '@/server/access';
import { problem } from '@/server/problem';

/** Ten thousand parts with all that is said of them. */
const LARGEST = 4_000_000;
const USUAL_MS = 1000;
const MOST_MS = 60_000;
const MOST_TURNS = 100_000;

/** A whole number of the query within bounds; undefined when it is not one. */
function whole(text: string | null, most: number): number | undefined {
  const value = Number(text);
  return Number.isInteger(value) && value >= 1 && value <= most ? value : undefined;
}

/** One plan of many frames or parts; with `Accept: text/event-stream` each better plan as it is found. */
export const POST = openRoute('POST /api/v1/cut-plans/[kind]', async (request, app, _person, params) => {
  const kind = (params.kind ?? '') as CutKind;
  if (!CUT_KINDS.includes(kind))
    return problem([issue('path-unknown', { path: `/api/v1/cut-plans/${kind.slice(0, 40)}` })]);
  const asked = await openRequest(request, LARGEST);
  if ('refusal' in asked) return asked.refusal;
  const { searchParams } = request.nextUrl;
  const budgetMs = whole(searchParams.get('budgetMs') ?? String(USUAL_MS), MOST_MS);
  const turns = searchParams.has('iterations') ? whole(searchParams.get('iterations'), MOST_TURNS) : null;
  if (budgetMs === undefined || turns === undefined)
    return problem([
      issue('budget-wrong', {
        read: (searchParams.get('iterations') ?? searchParams.get('budgetMs') ?? '').slice(0, 20),
        most: MOST_MS,
      }),
    ]);
  const { cutting } = app;
  const options = { budgetMs, turns, signal: request.signal };
  if (!request.headers.get('accept')?.includes('text/event-stream')) {
    try {
      const result = await makePlan(cutting, kind, asked.value, options);
      return result.ok ? Response.json(result.value) : problem(result.issues);
    } catch (error) {
      if (isThreadDied(error)) return problem([issue('cut-stopped')]);
      throw error;
    }
  }
  const letters = new TextEncoder();
  const halt = new AbortController();
  request.signal.addEventListener('abort', () => halt.abort());
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (event: string, value: unknown) => {
        if (!halt.signal.aborted)
          controller.enqueue(letters.encode(`event: ${event}\ndata: ${JSON.stringify(value)}\n\n`));
      };
      try {
        const result = await makePlan(cutting, kind, asked.value, {
          ...options,
          signal: halt.signal,
          onPlan: (plan) => say('plan', plan),
        });
        if (result.ok) say('done', result.value);
        else say('refused', await problem(result.issues).json());
      } catch (error) {
        say('refused', await problem([issue(isThreadDied(error) ? 'cut-stopped' : 'fault')]).json());
      }
      if (!halt.signal.aborted) controller.close();
    },
    cancel: () => halt.abort(),
  });
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
});
