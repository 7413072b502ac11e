import { priceRulesSchema } from '@/core/pricing/rule-schema';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';
import { whatIf } from '@/server/what-if';

/** What these rules would have made of the last month's orders. Nothing is changed. */
export const POST = route('POST /api/prices/what-if', async (request, viewer) => {
  const body = await readJson(request, 50_000);
  if ('refusal' in body) return body.refusal;
  const checked = priceRulesSchema.safeParse(body.value);
  if (!checked.success)
    return problem(
      checked.error.issues.map(({ path, message }) => issue('input-wrong', { reason: message }, path.join('.'))),
    );
  const found = await whatIf(viewer, checked.data);
  return found ? Response.json(found) : problem([issue('shop-unknown')]);
});
