/** What a customer reads who opens a link to their order, and what stands in for the payment page. */
import { formatMoney } from '@/core/units/money';
import type { Closed } from '@/core/links/link';

const cash = (amount: number) => formatMoney(amount as never);

export const LINK = {
  head: { quoted: 'Your quote', accepted: 'Your order', 'handed-over': 'Your order', cancelled: 'Your order' },
  number: (number: number) => `No. ${number}`,
  holds: (day: string) => `These prices hold until ${day}.`,
  ranOut: (day: string) =>
    `These prices held until ${day}. You cannot agree to them here any more; ask for a new quote below.`,
  promised: (day: string) => `Ready by ${day}.`,
  handedOver: 'You have it. We hope it gives you joy.',
  cancelled: 'This order was cancelled.',
  gone: 'Something that was chosen for this is not to be had any more. Ask below, and we shall propose something else.',
  piece: (index: number) => `Piece ${index}`,
  youAsked: (what: string) => `You asked: ${what}`,
  pick: 'Pick the one you like. Only that one is counted.',
  chosen: 'Chosen',
  choose: (letter: string) => `Choose ${letter}`,
  design: (letter: string) => `Design ${letter}`,
  picture: (letter: string, title: string) => `Design ${letter} of ${title}`,
  askPrice: 'Ask us for its price',
  lines: 'What the price is made up of',
  not: (what: string) => `Not in it: ${what}.`,
  sum: 'What it comes to',
  pieces: 'All pieces',
  tax: (percent: string, contained: boolean) => `Tax ${percent} %${contained ? ', contained' : ''}`,
  total: 'Total',
  deposit: 'Deposit when you agree',
  paid: 'Paid',
  open: 'Still to be paid',
  accept: 'Agree',
  acceptSay: (total: string) =>
    `With your name here you order what is shown and chosen above for ${total}, on the terms of this page.`,
  name: 'Your name, in full',
  acceptNow: (total: string) => `Agree, ${total}`,
  agreed: (day: string) => `You agreed on ${day}.`,
  pay: 'Deposit',
  paySay: (amount: string) => `We begin when the deposit of ${amount} is there. You can pay it here or in the shop.`,
  payNow: (amount: string) => `Pay ${amount}`,
  depositThere: 'The deposit is there. Thank you.',
  ask: 'Questions',
  you: 'You asked',
  shop: 'The shop',
  question: 'What would you like to know?',
  askNow: 'Ask',
  asked: 'Your question is with us. The answer will stand here.',
  terms: 'Terms',
  foot: (day: string) => `This page shows this order and nothing else. The link ends on ${day}.`,
  inches: 'In inches',
  mm: 'In millimetres',
} as const;

/** Why a link shows nothing. */
export const LINK_CLOSED: Readonly<
  Record<Exclude<Closed, 'too-many'>, { readonly head: string; readonly say: string }>
> = {
  unknown: {
    head: 'There is no such link',
    say: 'Check that the whole address was copied, or ask the shop to send it again.',
  },
  withdrawn: { head: 'This link was withdrawn', say: 'The shop took it back. Ask them for another one.' },
  over: { head: 'This link has ended', say: 'Ask the shop for another one.' },
};

/** Why what somebody asked for by a link was not done, by the code of the issue. */
const REFUSED: Readonly<Record<string, string>> = {
  'link-changed': 'The shop changed this order while you looked at it. It is shown as it is now; look once more.',
  'order-stale': 'This order was changed while you looked at it. It is shown as it is now; look once more.',
  'order-agreed': 'That is agreed already; nothing was done twice.',
  'price-changed': 'The total has changed while you looked at it. It is shown as it is now; look once more.',
  'quote-over': 'These prices do not hold any more. Ask for a new quote.',
  'choice-gone': 'That design is not to be had any more. Choose another one, or ask us.',
  'questions-many': 'There are many questions here already. Call us; that is quicker.',
  'deposit-there': 'The deposit is there; nothing was taken twice.',
  'deposit-elsewhere': 'The shop is just taking a payment for this order. Try again in a few minutes.',
  'link-over': 'This link has ended. Ask the shop for another one.',
  'promise-past': 'The day it was promised for is over. Ask us for another day before you agree.',
  'promise-closed': 'The shop is closed on the day it was promised for. Ask us for another day before you agree.',
  'value-not-signed': 'Your piece is of such value that we need your signature first. Please come by.',
  'value-not-locked': 'Your piece is of such value that we must lock it away first. Please ask us.',
  'name-missing': 'Write your name in full, so that we know who agrees.',
  'question-missing': 'Write what you would like to know, in at most 600 letters.',
  'too-many': 'That was a lot at once. Wait a minute, then try again.',
  'not-paid': 'Nothing was paid. You can try again, or pay in the shop.',
};
export const sayRefused = (code: string): string =>
  Object.hasOwn(REFUSED, code) ? REFUSED[code]! : 'We must look at this first. Please ask us.';
/** Codes that an address may name. */
export const isSaid = (code: string): boolean => Object.hasOwn(REFUSED, code) || code === 'refused';

export const PAY_PAGE = {
  title: 'Payment',
  head: 'Payment page',
  stands: 'This page stands in for a payment provider. No money moves.',
  amount: (amount: number, currency: string) => [cash(amount), currency].filter(Boolean).join(' '),
  pay: (amount: number) => `Pay ${cash(amount)}`,
  leave: 'Do not pay',
  unknown: 'This payment is not known here any more. Open your link again and begin anew.',
  settled: 'This payment is settled.',
  back: 'Back to your order',
} as const;
