/** A rule of price as its form has it, and read back from it. */
import { type Issue, issue } from '@/core/issue';
import type { Chart, Group, GroupRule, School } from '@/core/pricing/book';
import { type Money, NOTHING, formatMoney, parseMoney } from '@/core/units/money';
import { DECIMAL } from '@/core/units/rational';

export interface RuleValues {
  readonly markup: string;
  readonly minimum: string;
  readonly perExtra: string;
}
/** One step of a chart as it is typed. */
export interface StepTexts {
  readonly size: string;
  readonly price: string;
}
export interface RuleChoice {
  readonly group: Group;
  readonly school: School;
  readonly by: Chart['by'];
  readonly steps: readonly StepTexts[];
}

export const choiceOf = (group: Group, rule: GroupRule): RuleChoice => ({
  group,
  school: rule.school ?? 'cost-up',
  by: rule.chart?.by ?? (group === 'moulding' ? 'ft' : 'in'),
  steps: (rule.chart?.steps ?? []).map(([size, price]) => ({ size, price: formatMoney(price) })),
});
export const valuesOf = (rule: GroupRule): RuleValues => ({
  markup: rule.markup,
  minimum: rule.minimum === undefined ? '' : formatMoney(rule.minimum),
  perExtra: rule.chart?.perExtraUnit === undefined ? '' : formatMoney(rule.chart.perExtraUnit),
});

interface ReadStep {
  readonly size: string | undefined;
  readonly price: Money | undefined;
}
export const readStep = ({ size, price }: StepTexts): ReadStep => {
  const plain = size.trim().replace(',', '.');
  return { size: DECIMAL.test(plain) && Number(plain) > 0 ? plain : undefined, price: parseMoney(price) };
};

/** What is wrong in each row: it cannot be read, its size is there already, or it costs less than a smaller one. */
export function chartFaults(steps: readonly StepTexts[]): ReadonlyMap<number, Issue> {
  const faults = new Map<number, Issue>();
  let before: { size: number; price: Money } | undefined;
  for (const [row, texts] of steps.entries()) {
    const { size, price } = readStep(texts);
    if (size === undefined) faults.set(row, issue('number-wrong', { typed: texts.size }, 'size'));
    else if (price === undefined) faults.set(row, issue('amount-wrong', { typed: texts.price }, 'price'));
    else {
      if (before && Number(size) <= before.size)
        faults.set(row, issue('chart-overlaps', { size, before: String(before.size) }, 'size'));
      else if (before && price < before.price)
        faults.set(row, issue('chart-falls', { price, before: before.price }, 'price'));
      before = { size: Number(size), price };
    }
  }
  return faults;
}

/** The rule that a form says, or what cannot be read in it, by its field. */
export function ruleOf(
  { school, by, steps }: RuleChoice,
  values: RuleValues,
): { readonly rule: GroupRule } | { readonly wrong: readonly Issue[] } {
  const wrong: Issue[] = [];
  const cash = (text: string, field: string): Money => {
    const amount = parseMoney(text);
    if (amount === undefined) wrong.push(issue('amount-wrong', { typed: text }, field));
    return amount ?? NOTHING;
  };
  if (!DECIMAL.test(values.markup)) wrong.push(issue('number-wrong', { typed: values.markup }, 'markup'));
  if (school === 'chart') {
    if (steps.length === 0) wrong.push(issue('chart-empty'));
    wrong.push(...[...chartFaults(steps).values()].map((one) => ({ ...one, path: 'steps' })));
  }
  const read = steps.map(readStep);
  const perExtra = values.perExtra.trim() ? { perExtraUnit: cash(values.perExtra, 'perExtra') } : {};
  const whole = read.flatMap(({ size, price }): [string, Money][] =>
    size !== undefined && price !== undefined ? [[size, price]] : [],
  );
  const rule: GroupRule = {
    school,
    markup: values.markup,
    ...(values.minimum.trim() ? { minimum: cash(values.minimum, 'minimum') } : {}),
    ...(whole.length > 0 ? { chart: { by, steps: whole, ...perExtra } } : {}),
  };
  return wrong.length > 0 ? { wrong } : { rule };
}
