/** The shape of a price rule as it is stored or sent. Charts rise: each step is larger than the one before. */
import { z } from 'zod';
import { MOST_MONEY, money } from '../units/money';
import { DECIMAL } from '../units/rational';
import { SCHOOLS } from './book';

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
    ),
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
