/** The shop's price rules: two schools by group, charges, breaks, ending, tax, deposit. Rates are exact decimal texts. Source: handbook, prices. */
import type { StepKey, StepRule } from '../route/steps';
import type { Length } from '../units/length';
import type { Ending, Money } from '../units/money';

export const GROUPS = ['moulding', 'mat', 'glazing', 'backing'] as const;
export type Group = (typeof GROUPS)[number];
export const TAX_GROUPS = ['goods', 'labour', 'delivery'] as const;
export type TaxGroup = (typeof TAX_GROUPS)[number];
export const SCHOOLS = ['cost-up', 'chart'] as const;
export type School = (typeof SCHOOLS)[number];

/** Retail prices by steps of size: the first step at or above the size; above the last, so much for each extra unit begun (R41). */
export interface Chart {
  /** United size of the package, or length charged; in these units. */
  readonly by: 'in' | 'cm' | 'ft' | 'm';
  readonly steps: readonly (readonly [size: string, price: Money])[];
  readonly perExtraUnit?: Money;
}

/** Cost-up: charged quantity × cost × markup, at least the minimum. Chart: what the chart says. */
export interface GroupRule {
  readonly school?: School;
  readonly markup: string;
  readonly minimum?: Money;
  /** Square metres charged at least, as a decimal. */
  readonly minimumArea?: string;
  /** Charge the area, or the share of the sheet that cannot be used again. */
  readonly charge?: 'area' | 'share';
  /** Beyond this sheet, either way round, the charge is multiplied. */
  readonly oversize?: { readonly w: Length; readonly h: Length; readonly factor: string };
  readonly chart?: Chart;
}
/** The rule as it stands in the books today, to be held with a material that is quoted. */
export const ruleHeld = ({ school, markup, minimum, chart }: GroupRule): ItemRule => ({
  school: school ?? 'cost-up',
  markup,
  ...(minimum === undefined ? {} : { minimum }),
  ...(chart ? { chart } : {}),
});
/** What one material says against the rule of its group. */
export type ItemRule = Partial<Pick<GroupRule, 'school' | 'markup' | 'minimum' | 'chart'>>;

/** What is charged where the book does not say yet. */
export const USUAL_PLATE = 2800;
export const USUAL_BARS = { per: 'ft', price: '2.40' } as const;

/** By step: at least, for each begun 10 in of united size beyond 40 in, for each mat beyond the first. */
export type StepMinutes = Readonly<Partial<Record<StepKey, StepRule['minutes']>>>;

/** An extra, or a delivery to a zone, at a price of the book. */
export interface PricedExtra {
  readonly name: string;
  readonly price: Money;
  readonly taxGroup: TaxGroup;
}

export interface PriceBook {
  readonly edition: number;
  readonly groups: Readonly<Record<Group, GroupRule>>;
  readonly labourPerHour: string;
  /** Planned minutes of steps that this shop takes otherwise than usual. */
  readonly minutes?: StepMinutes;
  /** Labour is in the charts already. */
  readonly labourIncluded?: boolean;
  readonly kit: Money;
  /** Corner plates and screws of one frame of metal sections. */
  readonly cornerSets?: Money;
  /** A title plate with its text, each. */
  readonly plate?: Money;
  /** Stretcher bars, sold by the foot or the metre of their outer sides. */
  readonly bars?: { readonly per: 'ft' | 'm'; readonly price: string };
  /** What else the shop sells with a piece, and its delivery zones: each with its price. */
  readonly extras?: readonly PricedExtra[];
  /** For each window beyond the first, and for each that is not a rectangle. */
  readonly extraWindow?: Money;
  readonly shapedWindow?: Money;
  /** By mount method, for each inch or centimetre of united size. */
  readonly mounting?: Readonly<Record<string, { readonly per: 'in' | 'cm'; readonly price: string }>>;
  /** Percent off from so many alike. */
  readonly quantityBreaks?: readonly (readonly [count: number, percent: string])[];
  /** Percent more when it is wanted sooner. */
  readonly rush?: string;
  /** Moulding is charged in whole steps of its selling unit. */
  readonly sellingStep: { readonly ft: string; readonly m: string };
  readonly ending: Ending;
  readonly tax: {
    readonly mode: 'exclusive' | 'inclusive';
    readonly percent: Readonly<Record<'goods' | 'labour', string>> & { readonly delivery?: string };
  };
  readonly depositPercent: string;
  /** Days a quote holds its prices. */
  readonly quoteDays: number;
}
