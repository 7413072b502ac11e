/** A rule of price as its form has it, and read back from it. */
import { type Issue, issue } from '@/core/issue';
import type { Chart, Group, GroupRule, School } from '@/core/pricing/book';
import { type Money, formatMoney, parseMoney } from '@/core/units/money';
import { DECIMAL } from '@/core/units/rational';

export interface RuleValues {
  readonly markup: string;
  readonly minimum: string;
  readonly steps: string;
  readonly perExtra: string;
}
export interface RuleChoice {
  readonly group: Group;
  readonly school: School;
  readonly by: Chart['by'];
}

export const choiceOf = (group: Group, rule: GroupRule): RuleChoice => ({
  group,
  school: rule.school ?? 'cost-up',
  by: rule.chart?.by ?? (group === 'moulding' ? 'ft' : 'in'),
});
export const valuesOf = (rule: GroupRule): RuleValues => ({
  markup: rule.markup,
  minimum: rule.minimum === undefined ? '' : formatMoney(rule.minimum),
  steps: (rule.chart?.steps ?? []).map(([size, price]) => `${size} ${formatMoney(price)}`).join('\n'),
  perExtra: rule.chart?.perExtraUnit === undefined ? '' : formatMoney(rule.chart.perExtraUnit),
});

/** The rule that a form says, or what cannot be read in it, by its field. */
export function ruleOf(
  { school, by }: RuleChoice,
  values: RuleValues,
): { readonly rule: GroupRule } | { readonly wrong: readonly Issue[] } {
  const wrong: Issue[] = [];
  const cash = (text: string, field: string): Money => {
    const amount = parseMoney(text);
    if (amount === undefined) wrong.push(issue('amount-wrong', { typed: text }, field));
    return amount ?? (0 as Money);
  };
  if (!DECIMAL.test(values.markup)) wrong.push(issue('number-wrong', { typed: values.markup }, 'markup'));
  const rows = values.steps.split('\n').filter((row) => row.trim());
  const steps = rows.map((row): readonly [string, Money] => {
    const [size = '', price = '', ...more] = row.trim().split(/[\s;,]+/);
    if (!DECIMAL.test(size) || more.length > 0) wrong.push(issue('chart-row', { read: row }, 'steps'));
    return [size, cash(price, 'steps')];
  });
  if (school === 'chart' && steps.length === 0) wrong.push(issue('chart-empty', {}, 'steps'));
  const perExtra = values.perExtra.trim() ? { perExtraUnit: cash(values.perExtra, 'perExtra') } : {};
  const rule: GroupRule = {
    school,
    markup: values.markup,
    ...(values.minimum.trim() ? { minimum: cash(values.minimum, 'minimum') } : {}),
    ...(steps.length > 0 ? { chart: { by, steps, ...perExtra } } : {}),
  };
  return wrong.length > 0 ? { wrong } : { rule };
}
