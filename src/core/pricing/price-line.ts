/** What pricing a piece tells. */
import type { Money } from '../units/money';
import type { Working } from '../working';
import type { TaxGroup } from './book';

export interface PriceLine {
  readonly key: string;
  /** What is counted, as text: `7.25 ft`, `55 min`. */
  readonly quantity: string;
  readonly amount: Money;
  /** What the rules ask, where somebody priced it otherwise. */
  readonly rule?: Money;
  readonly taxGroup: TaxGroup;
  readonly workings: readonly Working[];
}
export type Taxed = Readonly<Record<TaxGroup, Money>>;
export interface PiecePrice {
  readonly lines: readonly PriceLine[];
  readonly subtotal: Money;
  readonly quantityBreak: Money;
  readonly rush: Money;
  readonly discount: Money;
  readonly rounding: Money;
  /** The piece before tax (or with it, when tax is contained). */
  readonly price: Money;
  /** The price by tax group; adds up to `price`. */
  readonly taxed: Taxed;
  /** Names of materials that have no cost in the books; their lines are missing and the price is not complete. */
  readonly missing: readonly string[];
}
