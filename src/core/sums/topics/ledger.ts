/** An order's money from the first payment to the last: what each event books, and what stands on the accounts. Amounts in minor units. */
import { z } from 'zod';
import { type Posting, balances, move } from '../../ledger/accounts';
import { after, handedOver, newAccount, owed, received, refunded, writtenOff } from '../../ledger/order-account';
import { saleOf, taxOf } from '../../ledger/sale';
import { countedOff, expectedIn, paidOut } from '../../ledger/till';
import { type Issue, good, type Outcome } from '../../issue';
import { percentText } from '../../pricing/rule-schema';
import { type Money, MOST_MONEY, money, sum as total } from '../../units/money';
import { topic, unitL } from '../sum';

const MOST = 200;
const minor = z.int().min(-MOST_MONEY).max(MOST_MONEY);
const amount = z.int().min(0).max(MOST_MONEY);
const means = z.enum(['cash', 'card', 'bank', 'vouchers']);
const percent = z.union([percentText, z.number().min(0).max(100)]);
const group = z.string().min(1).max(40);

const eventBody = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('payment'), method: means, amount }),
  z.strictObject({ kind: z.literal('refund'), method: means, amount }),
  z.strictObject({ kind: z.literal('voucher-sold'), method: means, amount }),
  z.strictObject({ kind: z.literal('voucher-expired'), amount }),
  z.strictObject({ kind: z.literal('hand-over') }),
  z.strictObject({ kind: z.literal('write-off'), amount }),
  z.strictObject({ kind: z.literal('to-bank'), amount }),
  z.strictObject({ kind: z.literal('expense'), amount }),
  z.strictObject({ kind: z.literal('payout'), amount, fee: amount }),
  z.strictObject({ kind: z.literal('close'), float: amount, counted: amount }),
]);
type Event = z.output<typeof eventBody>;

interface Books {
  account: ReturnType<typeof newAccount>;
  readonly postings: Posting[];
}

/** What an event that is no business of the order books. */
function shopPostings(event: Event, postings: readonly Posting[]): Posting[] | undefined {
  switch (event.kind) {
    case 'voucher-sold':
      return move(event.method, 'vouchers', money(event.amount));
    case 'voucher-expired':
      return move('vouchers', 'otherIncome', money(event.amount));
    case 'to-bank':
      return move('bank', 'cash', money(event.amount));
    case 'expense':
      return move('expenses', 'cash', money(event.amount));
    case 'payout':
      return paidOut(money(event.amount), money(event.fee));
    case 'close': {
      const cash = total(postings.filter((one) => one.account === 'cash').map((one) => one.amount));
      return countedOff(money(event.counted), expectedIn(money(event.float), cash));
    }
    default:
      return undefined;
  }
}

function orderPostings(event: Event, { account }: Books): Outcome<Posting[]> {
  switch (event.kind) {
    case 'payment':
      return good(received(account, event.method, money(event.amount)));
    case 'refund':
      return refunded(account, event.method, money(event.amount));
    case 'write-off':
      return writtenOff(account, money(event.amount));
    default:
      return good(account.handed ? [] : handedOver(account));
  }
}

export const ledger = topic({
  title: 'Ledger',
  body: z.strictObject({
    unit: unitL,
    tax: z.strictObject({ mode: z.enum(['exclusive', 'inclusive']), rates: z.record(group, percent) }),
    lines: z.array(z.strictObject({ group, amount: minor })).max(MOST),
    events: z.array(eventBody).max(MOST),
  }),
  answer: ({ tax, lines, events }, sum) => {
    const rate = (of: string) => {
      const found = tax.rates[of] ?? tax.rates.goods;
      if (found === undefined) sum.complain(`tax.rates.${of}`, 'number-wrong', { typed: '' });
      return String(found ?? '0');
    };
    const sale = saleOf(
      lines.map((one) => ({ group: one.group, amount: money(one.amount) as Money, percent: rate(one.group) })),
      tax.mode,
    );
    const books: Books = { account: newAccount(sale), postings: [] };
    for (const [index, event] of events.entries()) {
      const shops = shopPostings(event, books.postings);
      if (shops) {
        books.postings.push(...shops);
        continue;
      }
      const booked = orderPostings(event, books);
      if (!booked.ok) return booked.issues.map((one): Issue => ({ ...one, path: `events.${index}.amount` }));
      books.postings.push(...booked.value);
      books.account = after(books.account, booked.value, books.account.handed || event.kind === 'hand-over');
    }
    return {
      total: sale.total,
      tax: taxOf(sale),
      owed: owed(books.account),
      balances: balances(books.postings),
    };
  },
});
