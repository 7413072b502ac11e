import { issue } from '@/core/issue';
import { caller, route } from '@/server/access';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';
import { logSecurity } from '@/server/security-log';

/** The back-ups that are kept, the newest first, and whether one is being made. */
export const GET = route('GET /api/back-up', async (_request, { app }) =>
  Response.json({ backUps: (await app.backUps?.list()) ?? [], making: app.backUps?.making() ?? false }),
);

/** Whoever asks waits no longer than this; a large shop's back-up goes on by itself. */
const PATIENCE_MS = 8000;

/** Makes one now: answers it, or 202 while it is still being made. */
export const POST = route('POST /api/back-up', async (request, { app, person }) => {
  const read = await readJson(request, 1000);
  if ('refusal' in read) return read.refusal;
  const { backUps } = app;
  if (!backUps) return problem([issue('back-up-failed', { reason: 'this shop has no folder' })]);
  const { address } = await caller();
  const made = backUps.make().then(async (result) => {
    if (result.ok)
      await logSecurity(app, {
        what: 'back-up made',
        staffId: person.id,
        address,
        detail: { file: result.value.name },
      });
    return result;
  });
  const late = new Promise<undefined>((resolve) => setTimeout(() => resolve(undefined), PATIENCE_MS));
  const result = await Promise.race([made, late]);
  if (!result) return Response.json({ making: true }, { status: 202 });
  return result.ok ? Response.json(result.value) : problem(result.issues);
});
