/** Lines, charts, breaks, endings, tax, deposit. Money as decimal texts in major units. */
import { z } from 'zod';
import { areaIn, charge, chartPrice, fitOnSheet } from '../../pricing/charge';
import { finish } from '../../pricing/finish';
import { taxOn } from '../../pricing/order-price';
import { inches, size } from '../../units/length';
import {
  ENDINGS,
  type Money,
  NOTHING,
  depositOf,
  formatMoney,
  money,
  parseMoney,
  spread,
  sum as total,
  withEnding,
} from '../../units/money';
import { type Rational, compare, decimal, mustDecimal, rational, toDecimal } from '../../units/rational';
import { type Sum, figure, sizeL, topic, unitL } from '../sum';

const text = z.union([z.string().max(40), z.number()]);
const say = (money: Money) => formatMoney(money).replace('−', '-');

function cash(sum: Sum, path: string, value: z.output<typeof text>): Money {
  const money = parseMoney(String(value));
  if (money !== undefined) return money;
  sum.complain(path, 'amount-wrong', { typed: String(value) });
  return NOTHING;
}
/** A decimal or a fraction such as `55/60`. */
function quantityOf(sum: Sum, path: string, value: z.output<typeof text>): Rational {
  const [top, bottom, more] = String(value).split('/');
  const [n, d] = [decimal(top ?? ''), bottom === undefined ? rational(1) : decimal(bottom)];
  if (n && d && d.n > 0n && more === undefined) return { n: n.n * d.d, d: n.d * d.n };
  sum.complain(path, 'number-wrong', { typed: String(value) });
  return rational(0);
}

const lineBody = z.strictObject({
  name: z.string().max(80).optional(),
  amount: text.optional(),
  quantity: text.optional(),
  area: sizeL,
  per: z.enum(['sq ft', 'm²', 'sq m']).optional(),
  cost: text.optional(),
  markup: text.optional(),
  minimum: text.optional(),
  minimumQuantity: text.optional(),
});

function lineTotal(sum: Sum, line: z.output<typeof lineBody>, path: string): Money {
  if (line.amount !== undefined) return cash(sum, `${path}.amount`, line.amount);
  const area = sum.area(`${path}.area`, line.area);
  const given = area
    ? areaIn(area, line.per === 'sq ft' || (line.per === undefined && sum.unit === 'in') ? 'sqft' : 'sqm')
    : quantityOf(sum, `${path}.quantity`, line.quantity ?? '1');
  const least =
    line.minimumQuantity === undefined ? undefined : quantityOf(sum, `${path}.minimumQuantity`, line.minimumQuantity);
  const quantity = least && compare(given, least) < 0 ? least : given;
  return charge(
    line.name ?? '',
    { quantity, figure: toDecimal(quantity, 5), of: '' },
    sum.number(`${path}.cost`, line.cost, '0'),
    {
      markup: sum.number(`${path}.markup`, line.markup, '1'),
      ...(line.minimum === undefined ? {} : { minimum: cash(sum, `${path}.minimum`, line.minimum) }),
    },
  ).amount;
}

export const prices = topic({
  title: 'Prices',
  body: z.strictObject({
    unit: unitL,
    lines: z.array(lineBody).max(200).optional(),
    identicalPieces: z.int().min(1).optional(),
    quantityBreaks: z
      .array(z.tuple([z.int().min(1), text]))
      .max(20)
      .optional(),
    rush: figure,
    discount: z.union([z.string().max(40), z.number()]).optional(),
    ending: z.enum(ENDINGS).optional(),
    tax: figure,
    mode: z.enum(['exclusive', 'inclusive']).optional(),
    deposit: figure,
    taxGroups: z.record(z.string().max(60), z.strictObject({ amount: text, rate: figure })).optional(),
    chart: z
      .array(z.tuple([text, text]))
      .max(500)
      .optional(),
    perExtraUnit: text.optional(),
    sizes: z.array(text).max(500).optional(),
    spread: text.optional(),
    pieces: z.array(text).max(500).optional(),
    sheet: sizeL,
    package: sizeL,
    price: text.optional(),
    endings: z.array(z.enum(ENDINGS)).max(10).optional(),
    total: text.optional(),
  }),
  answer: (given, sum) => {
    if (given.chart) {
      const chart = {
        steps: given.chart.map(
          ([size, price], index) =>
            [sum.number(`chart.${index}`, size, '0'), cash(sum, `chart.${index}`, price)] as const,
        ),
        ...(given.perExtraUnit === undefined ? {} : { perExtraUnit: cash(sum, 'perExtraUnit', given.perExtraUnit) }),
      };
      return {
        prices: (given.sizes ?? []).map((size, index) => {
          const money = chartPrice(chart, mustDecimal(sum.number(`sizes.${index}`, size, '0')));
          return money === undefined ? null : say(money);
        }),
      };
    }
    if (given.spread !== undefined)
      return {
        parts: spread(
          cash(sum, 'spread', given.spread),
          (given.pieces ?? []).map((piece, index) => cash(sum, `pieces.${index}`, piece)),
        ).map(say),
      };
    if (given.sheet || given.package) {
      const extent = size(inches(1), inches(1));
      const fit = fitOnSheet(sum.area('sheet', given.sheet) ?? extent, sum.area('package', given.package) ?? extent);
      return { fit, share: fit === 0 ? null : `1/${fit}` };
    }
    if (given.endings)
      return { prices: given.endings.map((ending) => say(withEnding(cash(sum, 'price', given.price ?? '0'), ending))) };
    const deposit = given.deposit === undefined ? undefined : mustDecimal(sum.number('deposit', given.deposit, '0'));
    const owed = (of: Money) => {
      if (deposit === undefined) return {};
      const first = depositOf(of, deposit);
      return { deposit: say(first), balance: say(money(of - first)) };
    };
    if (given.total !== undefined) return owed(cash(sum, 'total', given.total));
    const mode = given.mode ?? 'exclusive';
    if (given.taxGroups) {
      const groups = Object.entries(given.taxGroups).map(([name, one]) => ({
        on: cash(sum, `taxGroups.${name}.amount`, one.amount),
        percent: sum.number(`taxGroups.${name}.rate`, one.rate, '0'),
      }));
      const tax = taxOn(groups, mode);
      const taxes = total(tax.map((one) => one.amount));
      const before = total(groups.map((group) => group.on));
      const all = mode === 'exclusive' ? money(before + taxes) : before;
      return {
        tax: Object.fromEntries(tax.map((one) => [`${one.percent} %`, say(one.amount)])),
        total: say(all),
        ...(mode === 'inclusive' ? { net: say(money(all - taxes)) } : {}),
        ...owed(all),
      };
    }
    const lines = (given.lines ?? []).map((line, index) => ({
      name: line.name ?? '',
      amount: lineTotal(sum, line, `lines.${index}`),
    }));
    const asked = given.discount === undefined ? undefined : String(given.discount);
    const percent = asked?.endsWith('%');
    const done = finish(
      lines.map((line) => ({ amount: line.amount, taxGroup: 'goods' })),
      {
        identical: given.identicalPieces ?? 1,
        ...(given.rush === undefined ? {} : { rush: sum.number('rush', given.rush, '0') }),
        ...(asked === undefined
          ? {}
          : {
              discount: percent
                ? { percent: sum.number('discount', asked, '0') }
                : { amount: cash(sum, 'discount', asked) },
            }),
      },
      {
        ending: given.ending ?? 'none',
        ...(given.quantityBreaks
          ? {
              quantityBreaks: given.quantityBreaks.map(
                ([count, off], index) => [count, sum.number(`quantityBreaks.${index}`, off, '0')] as const,
              ),
            }
          : {}),
      },
    );
    const [tax] = taxOn([{ on: done.price, percent: sum.number('tax', given.tax, '0') }], mode);
    const all = mode === 'exclusive' ? money(done.price + tax!.amount) : done.price;
    return {
      lines: lines.map((line) => ({ name: line.name, total: say(line.amount) })),
      sum: say(done.subtotal),
      ...(given.quantityBreaks ? { quantityBreak: say(done.quantityBreak) } : {}),
      ...(given.rush === undefined ? {} : { rush: say(done.rush) }),
      ...(asked === undefined ? {} : { discount: say(done.discount) }),
      ...(given.ending === undefined ? {} : { rounding: say(done.rounding), price: say(done.price) }),
      ...(given.tax === undefined
        ? {}
        : {
            ...(given.ending === undefined ? { price: say(done.price) } : {}),
            ...(mode === 'inclusive' ? { net: say(money(all - tax!.amount)) } : {}),
            tax: say(tax!.amount),
            total: say(all),
          }),
      ...owed(all),
    };
  },
});
