import type { NextRequest } from 'next/server';
import { openRequest, problem } from '@/server/http';
import { openStandardSizes } from '@/server/open';

export async function GET(request: NextRequest): Promise<Response> {
  const asked = await openRequest(request, 0);
  if ('refusal' in asked) return asked.refusal;
  const home = (await asked.house.books())?.settings.homeUnit ?? 'in';
  const result = openStandardSizes(Object.fromEntries(request.nextUrl.searchParams), home);
  return result.ok ? Response.json(result.value) : problem(result.issues, asked.unit);
}
