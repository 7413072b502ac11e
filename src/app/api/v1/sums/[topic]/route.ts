import { openRoute } from '@/server/access';
import { openRequest } from '@/server/http';
import { openSum } from '@/server/public-api';
import { problem } from '@/server/problem';

export const POST = openRoute('POST /api/v1/sums/[topic]', async (request, app, _person, { topic = '' }) => {
  const asked = await openRequest(request, 1_000_000);
  if ('refusal' in asked) return asked.refusal;
  const home = (await app.books())?.settings.homeUnit ?? 'in';
  const result = openSum(topic, asked.value, home, asked.unit, asked.working);
  return result.ok ? Response.json(result.value) : problem(result.issues, asked.unit);
});
