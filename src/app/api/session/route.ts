import { cookies } from 'next/headers';
import { z } from 'zod';
import { house } from '@/server/compose';
import { problem, readJson } from '@/server/http';
import { COOKIE, signIn, signOut } from '@/server/sessions';

const body = z.object({ name: z.string().min(1).max(60), pin: z.string().min(1).max(20) });

export async function POST(request: Request): Promise<Response> {
  const of = await house();
  const read = await readJson(request, 1000);
  if ('refusal' in read) return read.refusal;
  const checked = body.safeParse(read.value);
  if (!checked.success)
    return problem([{ code: 'input-wrong', figures: { reason: 'a name and a PIN are needed' }, path: 'pin' }]);
  const result = await signIn(of, checked.data.name, checked.data.pin);
  if (!result.ok) return problem(result.issues);
  (await cookies()).set(COOKIE, result.value.cookie, {
    httpOnly: true,
    sameSite: 'strict',
    path: '/',
    maxAge: result.value.seconds,
  });
  return Response.json({ name: result.value.person.name, role: result.value.person.role });
}

export async function DELETE(): Promise<Response> {
  const jar = await cookies();
  await signOut(await house(), jar.get(COOKIE)?.value);
  jar.delete(COOKIE);
  return new Response(null, { status: 204 });
}
