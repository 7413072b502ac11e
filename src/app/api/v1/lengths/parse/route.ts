import { openRoute } from '@/server/access';
import { openRequest } from '@/server/http';
import { openParse } from '@/server/public-api';
import { problem } from '@/server/problem';

export const POST = openRoute('POST /api/v1/lengths/parse', async (request, app) => {
  const asked = await openRequest(request, 10_000);
  if ('refusal' in asked) return asked.refusal;
  const result = openParse(asked.value, (await app.books())?.settings.homeUnit ?? 'in', asked.unit);
  return result.ok ? Response.json(result.value) : problem(result.issues, asked.unit);
});
