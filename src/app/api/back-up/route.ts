import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';
import { logSecurity } from '@/server/security-log';

/** The back-ups that are kept, the newest first. */
export const GET = route('GET /api/back-up', async (_request, { house }) =>
  Response.json({ backUps: (await house.backUps?.list()) ?? [] }),
);

/** Makes one now. */
export const POST = route('POST /api/back-up', async (request, { house, person }) => {
  const read = await readJson(request, 1000);
  if ('refusal' in read) return read.refusal;
  const result = house.backUps ? await house.backUps.make() : undefined;
  if (!result) return problem([issue('back-up-failed', { reason: 'this shop has no folder' })]);
  if (!result.ok) return problem(result.issues);
  await logSecurity(house, {
    what: 'back-up made',
    staffId: person.id,
    address: 'local',
    detail: { file: result.value.name },
  });
  return Response.json(result.value);
});
