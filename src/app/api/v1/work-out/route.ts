import type { NextRequest } from 'next/server';
import { house } from '@/server/compose';
import { mayCompute, overRate, problem, readJson } from '@/server/http';
import { openWorkOut } from '@/server/open';

const LARGEST = 200_000;

export async function POST(request: NextRequest): Promise<Response> {
  const of = await house();
  if (!(await mayCompute(of))) return problem([{ code: 'sign-in-first', figures: {} }]);
  if (overRate(performance.now())) return problem([{ code: 'too-many', figures: {} }]);
  const body = await readJson(request, LARGEST);
  if ('refusal' in body) return body.refusal;
  const asked = request.nextUrl.searchParams.get('unit');
  const unit = asked === 'in' || asked === 'mm' ? asked : undefined;
  const result = openWorkOut(
    body.value,
    await of.books(),
    unit,
    request.nextUrl.searchParams.get('working') === 'true',
  );
  return result.ok ? Response.json(result.value) : problem(result.issues, unit);
}
