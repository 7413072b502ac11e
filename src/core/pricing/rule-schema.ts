/** The shape of a price rule as it is stored or sent. Charts rise: each step is larger than the one before. */
import { z } from 'zod';
import { MOUNTS } from '../design/choices';
import { ENDINGS, MOST_MONEY, money } from '../units/money';
import { DECIMAL } from '../units/rational';
import { STEPS } from '../route/steps';
import { SCHOOLS, TAX_GROUPS } from './book';

export const decimalText = z.string().regex(DECIMAL, 'a plain number such as 4.20');
export const amountSchema = z.int().min(0).max(MOST_MONEY).transform(money);
const MOST_STEPS = 500;

export const chartSchema = z.object({
  by: z.enum(['in', 'cm', 'ft', 'm']),
  steps: z
    .array(z.tuple([decimalText, amountSchema]))
    .min(1)
    .max(MOST_STEPS)
    .refine(
      (steps) => steps.every((step, index) => index === 0 || Number(step[0]) > Number(steps[index - 1]![0])),
      'chart-order',
    )
    .refine((steps) => steps.every((step, index) => index === 0 || step[1] >= steps[index - 1]![1]), 'chart-falls'),
  perExtraUnit: amountSchema.optional(),
});
export const itemRuleSchema = z.object({
  school: z.enum(SCHOOLS).optional(),
  markup: decimalText.optional(),
  minimum: amountSchema.optional(),
  chart: chartSchema.optional(),
});
export const groupRuleSchema = z
  .object({
    school: z.enum(SCHOOLS),
    markup: decimalText,
    minimum: amountSchema.optional(),
    minimumArea: decimalText.optional(),
    charge: z.enum(['area', 'share']).optional(),
    chart: chartSchema.optional(),
  })
  .refine((rule) => rule.school !== 'chart' || rule.chart !== undefined, 'chart-empty');

const HUNDRED = 100;
export const percentText = decimalText.refine((text) => Number(text) <= HUNDRED, 'percent-above');
const rateText = decimalText.refine((text) => Number(text) <= MOST_RATE, 'rate-above');
/** A step of selling is never nothing: quantities are divided by it. */
const stepText = decimalText.refine((text) => Number(text) > 0 && Number(text) <= 10, 'step-out');
const MOST_RATE = 100_000;
const MOST_BREAKS = 20;
const MOST_EXTRAS = 60;
const LONGEST_NAME = 80;

const MOST_MINUTES = 999;
const minutes = z.int().min(0).max(MOST_MINUTES);

/** Everything of the price book that is no rule of a material group: work, extras, breaks, endings, tax, deposit. */
export const priceRulesSchema = z.strictObject({
  labourPerHour: rateText,
  labourIncluded: z.boolean(),
  minutes: z
    .partialRecord(
      z.enum(STEPS),
      z.strictObject({ base: minutes, size: minutes.optional(), layer: minutes.optional() }),
    )
    .optional(),
  kit: amountSchema,
  cornerSets: amountSchema.optional(),
  plate: amountSchema.optional(),
  bars: z.strictObject({ per: z.enum(['ft', 'm']), price: rateText }).optional(),
  extras: z
    .array(
      z.strictObject({
        name: z.string().trim().min(1).max(LONGEST_NAME),
        price: amountSchema,
        taxGroup: z.enum(TAX_GROUPS),
      }),
    )
    .max(MOST_EXTRAS)
    .refine((list) => new Set(list.map(({ name }) => name.toLowerCase())).size === list.length, 'extra-twice')
    .optional(),
  extraWindow: amountSchema.optional(),
  shapedWindow: amountSchema.optional(),
  mounting: z.partialRecord(z.enum(MOUNTS), z.strictObject({ per: z.enum(['in', 'cm']), price: rateText })).optional(),
  quantityBreaks: z
    .array(z.tuple([z.int().min(2).max(1000), percentText]))
    .max(MOST_BREAKS)
    .refine((breaks) => breaks.every(([count], index) => index === 0 || count > breaks[index - 1]![0]), 'breaks-order')
    .optional(),
  rush: percentText.optional(),
  sellingStep: z.strictObject({ ft: stepText, m: stepText }),
  ending: z.enum(ENDINGS),
  tax: z.strictObject({
    mode: z.enum(['exclusive', 'inclusive']),
    percent: z.strictObject({ goods: percentText, labour: percentText, delivery: percentText.optional() }),
  }),
  depositPercent: percentText,
  quoteDays: z.int().min(0).max(365),
});
export type PriceRules = z.output<typeof priceRulesSchema>;
