/** The rules of price as their form has them, as texts, and read back from it. */
import type { Mount } from '@/core/design/choices';
import { type Issue, issue } from '@/core/issue';
import type { PriceBook } from '@/core/pricing/book';
import { extrasFrom, extrasText } from '@/core/pricing/extras-list';
import type { PriceRules } from '@/core/pricing/rule-schema';
import { type Ending, type Money, NOTHING, formatMoney, parseMoney } from '@/core/units/money';
import { TAX_NAMES } from '@/words/screens/tax-groups';
import { minuteValues, minutesOf } from './minutes-values';
import { DECIMAL } from '@/core/units/rational';

/** Mounting that shops charge for by size; what is not listed is in the work. */
export const CHARGED_MOUNTS = [
  'dry mount',
  'hinges',
  'corners',
  'strips',
  'stitched',
  'laced',
  'wired',
  'pinned',
] as const satisfies readonly Mount[];
type Charged = (typeof CHARGED_MOUNTS)[number];

export interface PriceChoices {
  readonly ending: Ending;
  readonly mode: 'exclusive' | 'inclusive';
  readonly labour: 'charged' | 'included';
  readonly sellsIn: 'ft' | 'm';
}
export type PriceValues = Record<
  | 'labourPerHour'
  | 'kit'
  | 'cornerSets'
  | 'plate'
  | 'bars'
  | 'extraWindow'
  | 'shapedWindow'
  | 'breaks'
  | 'extras'
  | 'rush'
  | 'stepFt'
  | 'stepM'
  | 'goods'
  | 'labour'
  | 'delivery'
  | 'deposit'
  | 'quoteDays'
  | Charged,
  string
>;
type Rules = Omit<PriceBook, 'edition'>;

const cash = (amount: Money | undefined) => (amount === undefined ? '' : formatMoney(amount));

export const choicesOf = (rules: Rules): PriceChoices => ({
  ending: rules.ending,
  mode: rules.tax.mode,
  labour: rules.labourIncluded ? 'included' : 'charged',
  sellsIn: rules.bars?.per ?? 'ft',
});
export const valuesOf = (rules: Rules): PriceValues => ({
  ...minuteValues(rules.minutes),
  labourPerHour: rules.labourPerHour,
  kit: cash(rules.kit),
  cornerSets: cash(rules.cornerSets),
  plate: cash(rules.plate),
  bars: rules.bars?.price ?? '',
  extraWindow: cash(rules.extraWindow),
  shapedWindow: cash(rules.shapedWindow),
  breaks: (rules.quantityBreaks ?? []).map(([count, percent]) => `${count} ${percent}`).join('\n'),
  extras: extrasText(rules.extras, TAX_NAMES),
  rush: rules.rush ?? '',
  stepFt: rules.sellingStep.ft,
  stepM: rules.sellingStep.m,
  goods: rules.tax.percent.goods,
  labour: rules.tax.percent.labour,
  delivery: rules.tax.percent.delivery ?? '',
  deposit: rules.depositPercent,
  quoteDays: String(rules.quoteDays),
  ...(Object.fromEntries(CHARGED_MOUNTS.map((mount) => [mount, rules.mounting?.[mount]?.price ?? ''])) as Record<
    Charged,
    string
  >),
});

/** What the form says, or what in it cannot be read, by its field. Bounds are the schema's. */
export function rulesOf(
  values: PriceValues,
  { ending, mode, labour, sellsIn }: PriceChoices,
  home: 'in' | 'mm',
): { readonly rules: PriceRules } | { readonly wrong: readonly Issue[] } {
  const wrong: Issue[] = [];
  const said = (field: keyof PriceValues) => values[field].trim();
  const amount = (field: keyof PriceValues): Money => {
    const read = parseMoney(said(field));
    if (read === undefined) wrong.push(issue('amount-wrong', { typed: values[field] }, field));
    return read ?? NOTHING;
  };
  const number = (field: keyof PriceValues): string => {
    const text = said(field).replace(',', '.');
    if (!DECIMAL.test(text)) wrong.push(issue('number-wrong', { typed: values[field] }, field));
    return text;
  };
  const optional = <T>(field: keyof PriceValues, read: (field: keyof PriceValues) => T) =>
    said(field) === '' ? undefined : read(field);
  const kept = <K extends string, T>(key: K, value: T | undefined) =>
    (value === undefined ? {} : { [key]: value }) as { [P in K]?: T };
  const breaks = said('breaks')
    .split('\n')
    .filter((row) => row.trim())
    .map((row): [number, string] => {
      const [count = '', percent = '', ...more] = row
        .trim()
        .split(/[\s;,%]+/)
        .filter(Boolean);
      if (!/^\d{1,4}$/.test(count) || !DECIMAL.test(percent) || more.length > 0)
        wrong.push(issue('break-row', { read: row.trim() }, 'breaks'));
      return [Number(count), percent];
    });
  const mounting = Object.fromEntries(
    CHARGED_MOUNTS.flatMap((mount) => {
      const price = optional(mount, number);
      return price === undefined ? [] : [[mount, { per: home === 'in' ? 'in' : 'cm', price } as const]];
    }),
  );
  const listed = extrasFrom(values.extras, TAX_NAMES);
  wrong.push(...listed.wrong);
  const own = minutesOf(values);
  wrong.push(...own.wrong);
  const bars = optional('bars', number);
  const days = number('quoteDays');
  const rules: PriceRules = {
    labourPerHour: number('labourPerHour'),
    labourIncluded: labour === 'included',
    ...kept('minutes', own.minutes),
    kit: amount('kit'),
    ...kept('cornerSets', optional('cornerSets', amount)),
    ...kept('plate', optional('plate', amount)),
    ...(bars === undefined ? {} : { bars: { per: sellsIn, price: bars } }),
    ...kept('extraWindow', optional('extraWindow', amount)),
    ...kept('shapedWindow', optional('shapedWindow', amount)),
    ...(Object.keys(mounting).length > 0 ? { mounting } : {}),
    ...(listed.extras.length > 0 ? { extras: [...listed.extras] } : {}),
    ...(breaks.length > 0 ? { quantityBreaks: breaks } : {}),
    ...kept('rush', optional('rush', number)),
    sellingStep: { ft: number('stepFt'), m: number('stepM') },
    ending,
    tax: {
      mode,
      percent: {
        goods: number('goods'),
        labour: number('labour'),
        ...kept('delivery', optional('delivery', number)),
      },
    },
    depositPercent: number('deposit'),
    quoteDays: Number(days),
  };
  return wrong.length > 0 ? { wrong } : { rules };
}
