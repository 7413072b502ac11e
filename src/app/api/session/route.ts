import { cookies } from 'next/headers';
import { z } from 'zod';
import { issue } from '@/core/issue';
import { caller, openRoute } from '@/server/access';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';
import { COOKIE, DEVICE_COOKIE, DEVICE_DAYS, signIn, signOut } from '@/server/sessions';

const body = z.object({ name: z.string().min(1).max(60), pin: z.string().min(1).max(20) });
const DAY_SECONDS = 86_400;

export const POST = openRoute('POST /api/session', async (request, app) => {
  const read = await readJson(request, 1000);
  if ('refusal' in read) return read.refusal;
  const checked = body.safeParse(read.value);
  if (!checked.success) return problem([issue('input-wrong', { reason: 'a name and a PIN are needed' }, 'pin')]);
  const result = await signIn(app, checked.data.name, checked.data.pin, await caller());
  if (!result.ok) return problem(result.issues);
  const { cookie, device, person, seconds } = result.value;
  const secure = request.headers.get('x-lopren-scheme') === 'https';
  const manners = { httpOnly: true, sameSite: 'strict', path: '/', secure } as const;
  const jar = await cookies();
  jar.set(COOKIE, cookie, { ...manners, maxAge: seconds });
  jar.set(DEVICE_COOKIE, device, { ...manners, maxAge: DEVICE_DAYS * DAY_SECONDS });
  return Response.json({ name: person.name, role: person.role });
});

export const DELETE = openRoute('DELETE /api/session', async (_request, app) => {
  await signOut(app, await caller());
  (await cookies()).delete(COOKIE);
  return new Response(null, { status: 204 });
});
