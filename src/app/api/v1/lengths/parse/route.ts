import type { NextRequest } from 'next/server';
import { openRequest, problem } from '@/server/http';
import { openParse } from '@/server/open';

export async function POST(request: NextRequest): Promise<Response> {
  const asked = await openRequest(request, 10_000);
  if ('refusal' in asked) return asked.refusal;
  const result = openParse(asked.value, (await asked.house.books())?.settings.homeUnit ?? 'in', asked.unit);
  return result.ok ? Response.json(result.value) : problem(result.issues, asked.unit);
}
