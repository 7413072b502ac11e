import { issue } from '@/core/issue';
import { caller, route } from '@/server/access';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';
import { logSecurity } from '@/server/security-log';

/** The back-ups that are kept, the newest first, and whether one is being made. */
export const GET = route('GET /api/back-up', async (_request, { house }) =>
  Response.json({ backUps: (await house.backUps?.list()) ?? [], making: house.backUps?.making() ?? false }),
);

/** Whoever asks waits no longer than this; a large shop's back-up goes on by itself. */
const PATIENCE_MS = 8000;

/** Makes one now: answers it, or 202 while it is still being made. */
export const POST = route('POST /api/back-up', async (request, { house, person }) => {
  const read = await readJson(request, 1000);
  if ('refusal' in read) return read.refusal;
  const { backUps } = house;
  if (!backUps) return problem([issue('back-up-failed', { reason: 'this shop has no folder' })]);
  const { address } = await caller();
  const made = backUps.make().then(async (result) => {
    if (result.ok)
      await logSecurity(house, {
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
