/** What an agreed order sells: each piece's price over the groups of sales. Source: handbook, money, first table. */
import { type PriceBook, TAX_GROUPS, type TaxGroup } from '../pricing/book';
import type { OrderPrice } from '../pricing/order-price';
import type { LineCode, PiecePrice, PriceLine } from '../pricing/price-line';
import { NOTHING, spread, sumOf } from '../units/money';
import { type Sale, type Sold, saleOf } from './sale';

export const SALES_GROUPS = ['frames', 'mats', 'glazing', 'goods', 'labour', 'delivery'] as const;
export type SalesGroup = (typeof SALES_GROUPS)[number];

const OF_LINE: Readonly<Partial<Record<LineCode, SalesGroup>>> = {
  moulding: 'frames',
  'ready-made': 'frames',
  liner: 'frames',
  fillet: 'frames',
  corners: 'frames',
  bars: 'frames',
  mats: 'mats',
  windows: 'mats',
  shapes: 'mats',
  glazing: 'glazing',
};
const groupOf = ({ code, taxGroup }: PriceLine): SalesGroup =>
  taxGroup === 'goods' ? (OF_LINE[code] ?? 'goods') : taxGroup;

/** A piece's price by groups: breaks, rush and endings go over the lines of their tax group by largest remainder. */
export function soldIn(
  { lines, taxed }: Pick<PiecePrice, 'lines' | 'taxed'>,
  percent: (of: TaxGroup) => string,
): Sold[] {
  return TAX_GROUPS.flatMap((tax) => {
    const groups = SALES_GROUPS.map((group) => ({
      group,
      amount: sumOf(
        lines.filter((line) => line.taxGroup === tax && groupOf(line) === group).map((line) => line.amount),
      ),
    })).filter(({ amount }) => amount !== 0);
    const named = groups.length > 0 ? groups : [{ group: tax, amount: NOTHING }];
    const parts = spread(
      taxed[tax] ?? NOTHING,
      named.map(({ amount }) => amount),
    );
    return named.map(({ group }, index) => ({ group, amount: parts[index]!, percent: percent(tax) }));
  });
}

/** What was agreed, where only its sums are known. */
export const saleOfAgreed = ({ total, net, tax }: OrderPrice): Sale => ({
  total,
  net: [{ group: 'goods', amount: net }],
  tax: tax.map(({ percent, amount }) => ({ rate: percent, amount })).filter(({ amount }) => amount !== 0),
});

/** The sale of an order as it is agreed; to the cent what was shown, else only its sums. */
export function saleAgreed(
  pieces: readonly Pick<PiecePrice, 'lines' | 'taxed'>[],
  { percent, mode }: PriceBook['tax'],
  agreed: OrderPrice,
): Sale {
  const sale = saleOf(
    pieces.flatMap((piece) => soldIn(piece, (of) => percent[of] ?? percent.goods)),
    mode,
  );
  return sale.total === agreed.total ? sale : saleOfAgreed(agreed);
}

/** The same with what each piece sells by itself; no parts where only the sums of the order are known. */
export function saleInParts(
  pieces: ReadonlyMap<string, Pick<PiecePrice, 'lines' | 'taxed'>>,
  tax: PriceBook['tax'],
  agreed: OrderPrice,
): { readonly sale: Sale; readonly parts: Readonly<Record<string, Sale>> } {
  const percent = (of: TaxGroup) => tax.percent[of] ?? tax.percent.goods;
  const sale = saleAgreed([...pieces.values()], tax, agreed);
  const groups = new Set(sale.net.map(({ group }) => group));
  const parts = [...pieces].map(([id, piece]) => [id, saleOf(soldIn(piece, percent), tax.mode)] as const);
  const known = parts.every(([, part]) => part.net.every(({ group }) => groups.has(group)));
  return { sale, parts: known ? Object.fromEntries(parts) : {} };
}
