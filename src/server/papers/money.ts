/** Papers of money: the receipt of an order, a till's day, a customer's statement, a voucher. Source: handbook, money. */
import type { DayReport, OwingView } from '@/contract/money-views';
import type { OrderView } from '@/contract/views';
import type { Unit } from '@/core/units/length';
import { type Money, formatMoney } from '@/core/units/money';
import { dayName } from '@/words/materials';
import { momentText } from '@/words/moments';
import { LEDGER, MEANS_NAMES } from '@/words/screens/collect';
import { MONEY_PAPERS } from '@/words/screens/papers';
import { LEDGER_PAGE, TILL, soldName } from '@/words/screens/till';
import { SOFT, Sheet } from './sheet';

const LEFT = 22;
const cash = (amount: number) => formatMoney(amount as Money);
const withCurrency = (text: string, currency: string) => (currency === '' ? text : `${text}, ${currency}`);

/** A page of lines with an amount each; goes on to the next where it is full. */
class Account {
  y = 46;
  readonly sheet: Sheet;
  constructor(unit: Unit, title: string, shop: string, below: string) {
    this.sheet = Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, title);
    this.sheet.text(title, LEFT, 26, { size: 21, weight: 'heavy' });
    this.sheet.text(shop, this.right, 26, { size: 13, weight: 'bold', align: 'right' });
    this.sheet.text(below, LEFT, 34, { size: 11.5, colour: SOFT });
    this.sheet.rule(38, { from: LEFT, to: this.right, colour: '#20272b', width: 1 });
  }
  get right() {
    return this.sheet.width - LEFT;
  }
  head(text: string): void {
    this.y = this.sheet.room(this.y + 3, 18);
    this.sheet.text(text, LEFT, this.y, { size: 13, weight: 'bold' });
    this.y += 7;
  }
  line(text: string, amount: string, heavy = false, after = ''): void {
    const style = { size: heavy ? 14 : 11, weight: heavy ? ('heavy' as const) : ('text' as const) };
    const room = this.right - LEFT - 46;
    const lines = this.sheet.lines(text, room, style);
    this.y = this.sheet.room(this.y, lines.length * Sheet.lead(style.size) + 2);
    const first = this.y;
    for (const [index, part] of lines.entries()) {
      if (index > 0) this.y += Sheet.lead(style.size);
      this.sheet.text(part, LEFT, this.y, style);
    }
    this.sheet.text(amount, this.right, first, { ...style, align: 'right' });
    if (after) this.sheet.text(after, this.right - 32, first, { ...style, colour: SOFT, align: 'right' });
    this.y += heavy ? 8 : 6;
  }
  rule(): void {
    this.sheet.rule(this.y - 3.6, { from: LEFT, to: this.right, colour: '#20272b', width: 0.8 });
    this.y += 1.6;
  }
  say(text: string): void {
    this.y = this.sheet.room(this.y, 12);
    this.y = this.sheet.paragraph(text, LEFT, this.y, this.right - LEFT, { size: 10.5, colour: SOFT }) + 4;
  }
}

/** What was ordered, what was paid by which means and when, and what is still owed. */
export async function receiptPaper(
  order: OrderView,
  shop: string,
  unit: Unit,
  currency = '',
): Promise<Uint8Array | undefined> {
  const { agreed } = order;
  if (!agreed || order.payments.length === 0) return undefined;
  const of = MONEY_PAPERS.receipt;
  const paper = new Account(unit, of.title(order.number), shop, order.customer.name);
  for (const [index, { design, agreed: piece }] of order.pieces.entries())
    paper.line(design.piece.title || of.piece(index + 1), piece?.price ? cash(piece.price.price) : '');
  paper.rule();
  for (const { percent, amount } of agreed.tax)
    paper.line(of.tax(percent, agreed.taxMode === 'inclusive'), cash(amount));
  paper.line(withCurrency(of.total, currency), cash(agreed.total), true);
  paper.head(of.paid);
  for (const { kind, method, amount, at, note } of order.payments)
    paper.line([LEDGER.line(kind, method), note].filter(Boolean).join(', '), cash(amount), false, momentText(at));
  paper.rule();
  if (order.owedBack > 0) paper.line(of.back, cash(order.owedBack), true);
  else if (order.balance > 0) paper.line(of.open, cash(order.balance), true);
  else if (order.state !== 'cancelled') paper.line(of.settled, cash(0), true);
  if (order.state === 'handed-over' && order.balance > 0 && order.due) paper.say(of.due(dayName(order.due)));
  if (order.state === 'cancelled') paper.say(of.cancelled(cash(order.paid - order.owedBack)));
  return paper.sheet.done();
}

/** What a day came to: takings, sales, tax, refunds, over and short, what was handed over. */
export async function dayReportPaper(report: DayReport, shop: string, unit: Unit): Promise<Uint8Array> {
  const of = MONEY_PAPERS.day;
  const names = report.tills.map(({ till }) => TILL.tillName(till.name)).join(', ');
  const paper = new Account(unit, of.title(dayName(report.day)), shop, names);
  paper.head(of.takings);
  if (report.takings.length === 0) paper.line(of.nothing, '');
  for (const { means, came, back } of report.takings) {
    paper.line(MEANS_NAMES[means], cash(came));
    if (back !== 0) paper.line(of.back(MEANS_NAMES[means].toLowerCase()), cash(-back));
  }
  paper.rule();
  paper.line(of.inAll, cash(report.takings.reduce((total, { came, back }) => total + came - back, 0)), true);
  paper.head(of.sales);
  for (const { group, amount } of report.sales) paper.line(soldName(group), cash(amount));
  for (const { rate, amount } of report.tax) paper.line(of.tax(rate), cash(amount));
  paper.rule();
  paper.line(of.sold, cash([...report.sales, ...report.tax].reduce((total, { amount }) => total + amount, 0)), true);
  paper.line(of.deposits, cash(report.deposits));
  if (report.handed.length > 0) paper.line(of.handed(report.handed), String(report.handed.length));
  if (report.refunds.length > 0) {
    paper.head(of.refunds);
    for (const { order, amount, note } of report.refunds)
      paper.line([order === null ? '' : of.order(order), note].filter(Boolean).join(', '), cash(amount));
  }
  if (report.discounts.length > 0) {
    paper.head(of.discounts);
    for (const { order, amount, why, by } of report.discounts)
      paper.line([of.order(order), why, by].filter(Boolean).join(', '), cash(amount));
  }
  for (const { till, counted, note, sealedBy, sealedAt, float } of report.tills) {
    paper.head(of.drawer(TILL.tillName(till.name)));
    paper.line(of.float, cash(float));
    for (const means of ['cash', 'card', 'vouchers'] as const)
      if (counted && (counted[means] !== 0 || counted.expected[means] !== 0))
        paper.line(
          of.counted(TILL.means[means].toLowerCase(), cash(counted.expected[means])),
          cash(counted[means]),
          false,
          counted[means] === counted.expected[means] ? '' : of.off(cash(counted[means] - counted.expected[means])),
        );
    if (note) paper.say(note);
    if (sealedAt) paper.say(TILL.sealedLine(sealedBy, momentText(sealedAt)));
  }
  return paper.sheet.done();
}

/** What a customer owes, each order by how long it is over due. */
export async function statementPaper(
  owing: OwingView,
  shop: string,
  unit: Unit,
  today: string,
  currency = '',
): Promise<Uint8Array> {
  const of = MONEY_PAPERS.statement;
  const paper = new Account(unit, of.title(dayName(today)), shop, owing.customer);
  for (const { number, handed, due, amount, over } of owing.orders)
    paper.line(of.order(number, dayName(handed), dayName(due)), cash(amount), false, over > 0 ? of.over(over) : '');
  paper.rule();
  paper.line(withCurrency(of.inAll, currency), cash(owing.ages.reduce((total, amount) => total + amount, 0)), true);
  paper.head(of.byAge);
  for (const [index, amount] of owing.ages.entries()) paper.line(LEDGER_PAGE.ages[index]!, cash(amount));
  if (owing.days !== null) paper.say(of.terms(owing.days));
  return paper.sheet.done();
}

/** A voucher to give away: what it is worth now, its code, until when. */
export async function voucherPaper(
  { code, left, expires }: { readonly code: string; readonly left: number; readonly expires: string | null },
  shop: string,
  unit: Unit,
): Promise<Uint8Array> {
  const of = MONEY_PAPERS.voucher;
  const sheet = Sheet.open('card', unit, of.title);
  sheet.text(of.title, 11, 17, { size: 20, weight: 'heavy' });
  sheet.text(shop, sheet.width - 11, 17, { size: 12, weight: 'bold', align: 'right' });
  sheet.rule(22, { from: 11, to: sheet.width - 11, colour: '#20272b', width: 1 });
  sheet.text(cash(left), 11, 48, { size: 46, weight: 'heavy' });
  sheet.text(code, 11, 64, { size: 20, weight: 'bold' });
  sheet.paragraph(expires ? of.until(dayName(expires)) : of.always, 11, 74, sheet.width - 22, { size: 11 });
  sheet.paragraph(of.say, 11, 84, sheet.width - 22, { size: 10, colour: SOFT });
  return sheet.done();
}
