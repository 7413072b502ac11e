/** What the server shows of the till and the ledger. Amounts in minor units; dates as `2026-12-03`, times as ISO texts. */
import type { Account, Means } from '@/core/ledger/accounts';

/** One entry of the journal with what it puts on each account; a debit is positive. */
export interface EntryView {
  readonly number: number;
  readonly id: string;
  readonly day: string;
  readonly at: string;
  readonly by: string;
  readonly kind: string;
  readonly till: number | null;
  readonly order: number | null;
  readonly customer: string | null;
  readonly note: string;
  /** The number of the entry that it takes back. */
  readonly reverses: number | null;
  readonly postings: readonly {
    readonly account: Account;
    readonly amount: number;
    readonly sold: string | null;
    readonly rate: string | null;
  }[];
}
export interface TillView {
  readonly number: number;
  readonly name: string;
}
type Counts = { readonly cash: number; readonly card: number; readonly vouchers: number };
export interface TillDayView {
  readonly id: string;
  readonly till: TillView;
  readonly day: string;
  readonly openedAt: string;
  readonly openedBy: string;
  readonly float: number;
  /** What was counted and what was expected then; not told before it is counted. */
  readonly counted: (Counts & { readonly expected: Counts }) | null;
  readonly sealedAt: string | null;
  readonly sealedBy: string;
  readonly note: string;
}
/** The till of this device, its day, and what was booked in it. */
export interface DayView {
  readonly tills: readonly TillView[];
  readonly till: number;
  readonly open: TillDayView | null;
  readonly entries: readonly EntryView[];
  readonly sealed: readonly TillDayView[];
  /** The notes and coins that are counted, in minor units. */
  readonly money: readonly number[];
}
/** What a sealed day, or the whole shop's day, came to. */
export interface DayReport {
  readonly day: string;
  readonly tills: readonly TillDayView[];
  readonly takings: readonly { readonly means: Means; readonly came: number; readonly back: number }[];
  readonly sales: readonly { readonly group: string; readonly amount: number }[];
  readonly tax: readonly { readonly rate: string; readonly amount: number }[];
  readonly overShort: number;
  readonly deposits: number;
  readonly handed: readonly number[];
  readonly refunds: readonly { readonly order: number | null; readonly amount: number; readonly note: string }[];
  /** What was let go on the orders handed over: by a discount, or by a line priced lower than its rule. */
  readonly discounts: readonly {
    readonly order: number;
    readonly amount: number;
    readonly why: string;
    readonly by: string;
  }[];
}
export interface OwingView {
  readonly customerId: string;
  readonly customer: string;
  readonly days: number | null;
  readonly limit: number | null;
  readonly orders: readonly {
    readonly number: number;
    readonly handed: string;
    readonly due: string;
    readonly total: number;
    readonly amount: number;
    /** Days over due; zero or less while it is not. */
    readonly over: number;
  }[];
  /** Not due, 1 to 30, 31 to 60, 61 to 90 days over, and longer. */
  readonly ages: readonly number[];
}
export interface LedgerView {
  readonly from: string;
  readonly to: string;
  readonly entries: readonly EntryView[];
  /** There are more entries in that time than are shown. */
  readonly more: boolean;
  /** What stands on each account at the end of it; the sum is zero. */
  readonly standing: readonly { readonly account: Account; readonly rate: string | null; readonly amount: number }[];
  readonly tax: readonly { readonly rate: string; readonly amount: number }[];
  readonly owing: readonly OwingView[];
  readonly vouchers: readonly { readonly code: string; readonly left: number; readonly expires: string | null }[];
}
