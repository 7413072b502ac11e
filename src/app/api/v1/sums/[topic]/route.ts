import type { NextRequest } from 'next/server';
import { openRequest, problem } from '@/server/http';
import { openSum } from '@/server/open';

export async function POST(
  request: NextRequest,
  { params }: { params: Promise<{ topic: string }> },
): Promise<Response> {
  const asked = await openRequest(request, 1_000_000);
  if ('refusal' in asked) return asked.refusal;
  const home = (await asked.house.books())?.settings.homeUnit ?? 'in';
  const result = openSum((await params).topic, asked.value, home, asked.unit, asked.working);
  return result.ok ? Response.json(result.value) : problem(result.issues, asked.unit);
}
