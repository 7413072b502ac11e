/** The shop's price rules: markups by group, charges, ending, tax, deposit. Rates are exact decimal texts. */
import type { Ending, Money } from '../units/money';

export const GROUPS = ['moulding', 'mat', 'glazing', 'backing'] as const;
export type Group = (typeof GROUPS)[number];
export type TaxGroup = 'goods' | 'labour';

/** Cost-up: charged quantity × cost × markup, at least the minimum. */
export interface GroupRule {
  readonly markup: string;
  readonly minimum?: Money;
  /** Square metres charged at least, as a decimal. */
  readonly minimumArea?: string;
}

export interface PriceBook {
  readonly edition: number;
  readonly groups: Readonly<Record<Group, GroupRule>>;
  readonly labourPerHour: string;
  readonly kit: Money;
  /** Moulding is charged in whole steps of its selling unit. */
  readonly sellingStep: { readonly ft: string; readonly m: string };
  readonly ending: Ending;
  readonly tax: { readonly mode: 'exclusive' | 'inclusive'; readonly percent: Readonly<Record<TaxGroup, string>> };
  readonly depositPercent: string;
  /** Days a quote holds its prices. */
  readonly quoteDays: number;
}
