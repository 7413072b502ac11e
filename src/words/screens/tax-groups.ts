/** What is taxed by which rate, as people say it. */
import type { TaxGroup } from '@/core/pricing/book';

export const TAX_NAMES = { goods: 'goods', labour: 'work', delivery: 'delivery' } as const satisfies Readonly<
  Record<TaxGroup, string>
>;
