/** What pricing a piece tells. */
import type { Money } from '../units/money';
import type { Working } from '../working';
import type { TaxGroup } from './book';

/** What a line is charged for. Sales, names and costs go by it; never by a text that somebody typed. */
export const LINE_CODES = [
  'moulding',
  'ready-made',
  'corners',
  'liner',
  'fillet',
  'mats',
  'glazing',
  'backing',
  'filler',
  'windows',
  'shapes',
  'plates',
  'sides',
  'bars',
  'mounting',
  'labour',
  'hardware',
  'extra',
] as const;
export type LineCode = (typeof LINE_CODES)[number];
const CODES: ReadonlySet<string> = new Set(LINE_CODES);
export const isLineCode = (text: string): text is LineCode => CODES.has(text);

export interface PriceLine {
  readonly code: LineCode;
  /** Tells the line from the others of its piece, also for a price by hand; of an extra by its name. */
  readonly key: string;
  /** Of an extra: what the shop calls it. */
  readonly name?: string;
  /** What is counted, as text: `7.25 ft`, `55 min`. */
  readonly quantity: string;
  readonly amount: Money;
  /** What the rules ask, where somebody priced it otherwise. */
  readonly rule?: Money;
  /** What its material costs the shop: quantity × cost, one rounding. Nothing where the books know no cost. */
  readonly cost?: Money;
  readonly taxGroup: TaxGroup;
  readonly workings: readonly Working[];
}
/** Keys for extras by their names: what is a code of ours, or was named before, is numbered. */
export function extraKeys(names: readonly string[]): string[] {
  const taken = new Set<string>(LINE_CODES);
  return names.map((name) => {
    let key = name;
    for (let next = 2; taken.has(key); next += 1) key = `${name} (${next})`;
    taken.add(key);
    return key;
  });
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
