import type { NextRequest } from 'next/server';
import { house } from '@/server/compose';
import { mayCompute, overRate, problem, readJson } from '@/server/http';
import { openParse } from '@/server/open';

export async function POST(request: NextRequest): Promise<Response> {
  const of = await house();
  if (!(await mayCompute(of))) return problem([{ code: 'sign-in-first', figures: {} }]);
  if (overRate(performance.now())) return problem([{ code: 'too-many', figures: {} }]);
  const body = await readJson(request, 10_000);
  if ('refusal' in body) return body.refusal;
  const asked = request.nextUrl.searchParams.get('unit');
  const unit = asked === 'in' || asked === 'mm' ? asked : undefined;
  const result = openParse(body.value, (await of.books())?.settings.homeUnit ?? 'in', unit);
  return result.ok ? Response.json(result.value) : problem(result.issues, unit);
}
