/**
 * What an order's events book. An order's account is what its entries so far say; every function answers the postings
 * of one balanced entry. Source: handbook, money.
 */
import { type Outcome, bad, good, issue } from '../issue';
import { type Money, NOTHING, spread, sumOf, summed } from '../units/money';
import { mul, rational, roundHalfUp } from '../units/rational';
import { type Means, type Posting, credit, debit, entry } from './accounts';
import { type Sale, taxOf } from './sale';

export interface OrderAccount {
  readonly sale: Sale;
  readonly handed: boolean;
  /** What the shop holds of the customer's money, and what it is still owed: both from zero up. */
  readonly deposits: Money;
  readonly receivable: Money;
  /** Money that came and was not given back, by its means. */
  readonly received: Readonly<Record<Means, Money>>;
  /** Tax that was booked so far, by rate: at payment it comes before the sale. */
  readonly taxBooked: Readonly<Record<string, Money>>;
  /** Refunded after the sale. */
  readonly returned: Money;
}
export type TaxPoint = 'hand-over' | 'payment';

export const newAccount = (sale: Sale): OrderAccount => ({
  sale,
  handed: false,
  deposits: NOTHING,
  receivable: NOTHING,
  received: { cash: NOTHING, card: NOTHING, bank: NOTHING, vouchers: NOTHING },
  taxBooked: {},
  returned: NOTHING,
});

const least = (...amounts: Money[]): Money => summed(Math.min(...amounts));
/** `amount` × `part` ÷ `whole`, half up. */
const share = (amount: Money, part: Money, whole: Money): Money =>
  whole === 0 ? NOTHING : summed(Number(roundHalfUp(mul(rational(amount), rational(part, whole)))));

/** What is held before the sale, and the tax of it that went on already. */
export const heldOf = ({ deposits, taxBooked }: OrderAccount): Money =>
  summed(deposits + sumOf(Object.values(taxBooked)));

/** What is still to come: of what is ordered, or of what was handed over. */
export const owed = (account: OrderAccount): Money =>
  account.handed ? account.receivable : summed(Math.max(0, account.sale.total - heldOf(account)));
/** What came beyond the total: it goes back before anything else. */
export const beyond = (account: OrderAccount): Money =>
  account.handed ? account.deposits : summed(Math.max(0, heldOf(account) - account.sale.total));

/** The account after an entry of this order. */
export function after(account: OrderAccount, postings: readonly Posting[], handed = account.handed): OrderAccount {
  const on = (name: Posting['account']) =>
    sumOf(postings.filter((one) => one.account === name).map(({ amount }) => amount));
  const received = { ...account.received };
  for (const means of Object.keys(received) as Means[]) received[means] = summed(received[means] + on(means));
  const taxBooked: Record<string, Money> = { ...account.taxBooked };
  for (const { account: name, rate, amount } of postings)
    if (name === 'tax' && rate !== undefined) taxBooked[rate] = summed((taxBooked[rate] ?? NOTHING) - amount);
  const held = summed(account.deposits - on('deposits'));
  return {
    ...account,
    handed,
    deposits: held,
    receivable: summed(account.receivable + on('receivable')),
    received,
    taxBooked,
    returned: summed(account.returned + on('returns') + (account.handed ? on('tax') : 0)),
  };
}

/** An amount split over the sale's rates as its tax is. */
const overRates = ({ tax }: Sale, amount: Money): { rate: string; amount: Money }[] => {
  const parts = spread(
    amount,
    tax.map((one) => one.amount),
  );
  return tax.map(({ rate }, index) => ({ rate, amount: parts[index]! }));
};

/** Money comes: held until the order is handed over, then against what is owed; what is too much is held. */
export function received(account: OrderAccount, means: Means, amount: Money): Posting[] {
  const owing = account.handed ? least(amount, account.receivable) : NOTHING;
  return entry([debit(means, amount), credit('receivable', owing), credit('deposits', summed(amount - owing))]);
}

/**
 * The tax in a payment, where it is owed from then on: payment × tax ÷ total, the last payment takes the rest. Booked
 * beside the payment; to be told the account before it.
 */
export function taxInPayment(account: OrderAccount, amount: Money): Posting[] {
  const { sale, deposits, taxBooked } = account;
  if (account.handed) return [];
  const so = sumOf(Object.values(taxBooked));
  // What is held is less the tax that went on already.
  const paid = summed(deposits + so);
  const whole = least(summed(paid + amount), sale.total);
  const due =
    whole === sale.total
      ? summed(taxOf(sale) - so)
      : share(least(amount, summed(sale.total - paid)), taxOf(sale), sale.total);
  if (due <= 0) return [];
  return entry([
    debit('deposits', due),
    ...overRates(sale, due).map(({ rate, amount: part }) => credit('tax', part, { rate })),
  ]);
}

/** Tax that was owed since a payment, and is not any more when some of it goes back. */
function taxGivenBack({ sale, deposits, taxBooked }: OrderAccount, amount: Money): Posting[] {
  const so = sumOf(Object.values(taxBooked));
  if (so === NOTHING) return [];
  const left = summed(deposits + so - amount);
  const due = left >= sale.total ? taxOf(sale) : share(left, taxOf(sale), sale.total);
  return overRates(sale, summed(so - due)).map(({ rate, amount: part }) => debit('tax', part, { rate }));
}

/** The sale: what is held becomes sales and tax, the rest is owed. */
export function handedOver(account: OrderAccount): Posting[] {
  const { sale, deposits, taxBooked } = account;
  const rest = sale.tax.map(({ rate, amount }) => ({ rate, amount: summed(amount - (taxBooked[rate] ?? NOTHING)) }));
  const whole = sumOf([...sale.net, ...rest].map(({ amount }) => amount));
  const held = least(deposits, whole);
  return entry([
    debit('deposits', held),
    debit('receivable', summed(whole - held)),
    ...sale.net.map(({ group, amount }) => credit('sales', amount, { group })),
    ...rest.map(({ rate, amount }) => credit('tax', amount, { rate })),
  ]);
}

/**
 * Money goes back: first what came beyond the total; before the sale out of what is held, after it as a return with the
 * tax in it (refund × tax ÷ total, half up), which lowers what is still owed before anything is paid out.
 * `refund-above-paid` when it is more than all that was paid.
 */
export function refunded(account: OrderAccount, means: Means, amount: Money): Outcome<Posting[]> {
  const { sale, handed } = account;
  const paid = sumOf(Object.values(account.received));
  const spare = beyond(account);
  const first = handed ? least(amount, spare) : amount;
  const taxBack = handed ? [] : taxGivenBack(account, amount);
  const back = summed(amount - first);
  const lowers = least(back, account.receivable);
  const out = summed(amount - lowers);
  const most = handed ? paid : summed(Math.min(paid, heldOf(account)));
  if (out > most) return bad(issue('refund-above-paid', { amount: out, paid: most }, 'amount'));
  const left = summed(sale.total - account.returned);
  if (back > left) return bad(issue('refund-above-paid', { amount: back, paid: left }, 'amount'));
  const tax = share(back, taxOf(sale), sale.total);
  const nets = spread(
    summed(back - tax),
    sale.net.map((one) => one.amount),
  );
  return good(
    entry([
      debit('deposits', summed(first - sumOf(taxBack.map((one) => one.amount)))),
      ...taxBack,
      ...(back > 0
        ? [
            ...sale.net.map(({ group }, index) => debit('returns', nets[index]!, { group })),
            ...overRates(sale, tax).map(({ rate, amount: part }) => debit('tax', part, { rate })),
          ]
        : []),
      credit('receivable', lowers),
      credit(means, out),
    ]),
  );
}

/**
 * What is kept of a cancelled order: a sale, with the tax in it in proportion. Tax that went on with the payment is in
 * what is kept already. To be told the account after everything else went back.
 */
export function kept(account: OrderAccount, amount: Money): Posting[] {
  const { sale, taxBooked, deposits } = account;
  const taxed = sumOf(Object.values(taxBooked)) > 0;
  const tax = taxed ? NOTHING : share(amount, taxOf(sale), sale.total);
  return entry([
    debit('deposits', taxed ? deposits : amount),
    credit('sales', taxed ? deposits : summed(amount - tax), { group: 'kept' }),
    ...overRates(sale, tax).map(({ rate, amount: part }) => credit('tax', part, { rate })),
  ]);
}

/** What is given up of what is owed; only once the order is handed over. */
export function writtenOff(account: OrderAccount, amount: Money): Outcome<Posting[]> {
  if (!account.handed) return bad(issue('write-off-early'));
  if (amount > account.receivable) return bad(issue('write-off-above', { amount, owed: account.receivable }, 'amount'));
  return good(entry([debit('badDebts', amount), credit('receivable', amount)]));
}
