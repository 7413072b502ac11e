/** What is kept of a result that was agreed: all that papers and bench read; not how each figure came about. */
import { sameValue } from './design/edit';
import { AGREED_VERSION, upgradedAgreed } from './design/upgrades';
import { type WorkOutContext, type WorkedOut, workOut } from './work-out';

export type Agreed = Omit<WorkedOut, 'workings'> & { readonly version: typeof AGREED_VERSION };

export const agreedFrom = ({ workings: _workings, ...kept }: WorkedOut): Agreed => ({
  version: AGREED_VERSION,
  ...kept,
});

/** What any version has written, as the newest reads it. Throws RangeError when nothing of ours did. */
export const readAgreed = (value: unknown): Agreed => upgradedAgreed(value) as unknown as Agreed;

/** As a result again, its figures without their workings. */
export const resultOf = ({ version: _version, ...kept }: Agreed): WorkedOut => ({ ...kept, workings: {} });

/**
 * With the workings made again from the frozen design. Sizes come out as they did; a figure that a changed setting
 * makes different today shows none.
 */
export function withWorkings(agreed: Agreed, shop: WorkOutContext): WorkedOut {
  const again = workOut(agreed.resolved.design, shop);
  const known = resultOf(agreed);
  if (!again.ok || !sameValue(again.value.sizes, known.sizes)) return known;
  return { ...known, workings: again.value.workings };
}

/** What the bench may see: nothing that tells a cost or a price. */
export function withoutMoney(result: WorkedOut): WorkedOut {
  const { price: _price, ...rest } = result;
  return bare(rest);
}

/** Under these keys, and nowhere else, materials and results hold money. */
const MONEY_KEYS = new Set(['cost', 'price', 'rates', 'markup', 'amount', 'discount', 'overrides']);

/** A plain value without any key that holds money, however deep. */
export function bare<T>(value: T): T {
  if (Array.isArray(value)) return value.map((one: unknown) => bare(one)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, one]) => (MONEY_KEYS.has(key) ? [] : [[key, bare(one as unknown)]])),
  ) as T;
}
