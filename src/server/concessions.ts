/** What somebody takes off a price needs an owner above their own limit, for that order only. */
import type { Design } from '@/core/design/design';
import { type Outcome, bad, good, issue } from '@/core/issue';
import { reductionOf } from '@/core/pricing/reduction';
import { type WorkedOut } from '@/core/work-out';
import type { Tx } from '@/db/client';
import { staffById } from '@/db/queries/staff';
import type { Context } from './door';

const PERCENT = 100;
const shareOf = (worked: WorkedOut | undefined): number => (worked?.price ? reductionOf(worked.price).share : 0);

/** Refused where a piece gives away more than the person may, more than it did before, and no owner said yes. */
export async function withinLimit(
  tx: Tx,
  pieces: readonly { readonly id: string; readonly design: Design }[],
  worked: readonly (WorkedOut | undefined)[],
  /** What each piece gave away as it was saved before. */
  before: ReadonlyMap<string, WorkedOut | undefined>,
  { by, role, ready }: Context,
): Promise<Outcome<undefined>> {
  const unexplained = pieces.findIndex(({ design }) => design.discount?.reason.trim() === '');
  if (unexplained >= 0) return bad(issue('discount-reason', {}, `pieces.${unexplained}.design.discount.reason`));
  if (role === 'owner' || ready === true || by === null) return good(undefined);
  const limit = (await staffById(tx, by))?.discount_limit ?? 0;
  for (const [index, { id }] of pieces.entries()) {
    const share = shareOf(worked[index]);
    if (share > limit * PERCENT && share > shareOf(before.get(id)))
      return bad(issue('discount-needs-owner', { percent: (share / PERCENT).toFixed(1), limit }, 'pin'));
  }
  return good(undefined);
}

/** The design with whoever gives its discount under it; one that stays as it was keeps its giver. */
export const signed = (design: Design, was: Design | undefined, name: string): Design => {
  const { discount } = design;
  if (!discount) return design;
  const { by: _by, ...said } = discount;
  const { by: before, ...saidBefore } = was?.discount ?? { by: name };
  const same = JSON.stringify(said) === JSON.stringify(saidBefore);
  return { ...design, discount: { ...discount, by: same ? before : name } };
};
