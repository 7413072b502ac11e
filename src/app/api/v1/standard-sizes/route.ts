import { openRoute } from '@/server/access';
import { openRequest } from '@/server/http';
import { openStandardSizes } from '@/server/public-api';
import { problem } from '@/server/problem';

export const GET = openRoute('GET /api/v1/standard-sizes', async (request, app) => {
  const asked = await openRequest(request, 0);
  if ('refusal' in asked) return asked.refusal;
  const home = (await app.books())?.settings.homeUnit ?? 'in';
  const result = openStandardSizes(Object.fromEntries(request.nextUrl.searchParams), home);
  return result.ok ? Response.json(result.value) : problem(result.issues, asked.unit);
});
