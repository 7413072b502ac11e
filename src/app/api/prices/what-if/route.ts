import { priceRulesSchema } from '@/core/pricing/rule-schema';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';
import { whatIf } from '@/server/what-if';

/** What these rules would have made of the last month's or year's orders, a part at a time. Nothing is changed. */
export const POST = route('POST /api/prices/what-if', async (request, viewer) => {
  const body = await readJson(request, 50_000);
  if ('refusal' in body) return body.refusal;
  const checked = priceRulesSchema.safeParse(body.value);
  if (!checked.success)
    return problem(
      checked.error.issues.map(({ path, message }) => issue('input-wrong', { reason: message }, path.join('.'))),
    );
  const search = new URL(request.url).searchParams;
  const below = search.get('below') ?? '';
  const found = await whatIf(viewer, checked.data, {
    time: search.get('time') === 'year' ? 'year' : 'month',
    below: /^\d{1,9}$/.test(below) ? Number(below) : null,
  });
  return found ? Response.json(found) : problem([issue('shop-unknown')]);
});
