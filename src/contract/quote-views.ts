/** The quotes that are open, as the shop goes through them. */
import type { LinkWhat } from '@/core/links/link';

export interface QuoteLine {
  readonly id: string;
  readonly number: number;
  readonly revision: number;
  readonly customer: string;
  readonly phone: string;
  readonly titles: string;
  readonly pieces: number;
  /** The day it was quoted, and the last on which it holds. */
  readonly day: string;
  readonly until: string;
  /** Days since it was quoted; days that it still holds, below nought when it has run out. */
  readonly age: number;
  readonly left: number;
  /** What it came to when it was quoted; null where that is not known any more. */
  readonly total: number | null;
  /** What it would come to at today's prices, where those are not what it stands for; null where it cannot be made. */
  readonly anew: number | null | undefined;
  /** What happened last by a link to it. */
  readonly last: { readonly what: LinkWhat; readonly at: string } | null;
  readonly linked: boolean;
}
export interface QuotesView {
  readonly lines: readonly QuoteLine[];
  /** There are more than are listed. */
  readonly more: boolean;
}
