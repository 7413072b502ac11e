/** What the desk says about links to an order. */
import type { LinkState, LinkWhat } from '@/core/links/link';
import { formatMoney } from '@/core/units/money';

const cash = (amount: unknown) => formatMoney(Number(amount) as never);
type Detail = Readonly<Record<string, string | number | boolean>>;

export const LINKS = {
  head: (customer: string) => `A link for ${customer}`,
  say: 'Whoever has it sees this order and nothing else: picks a design, asks, agrees by name and pays the deposit.',
  make: 'Make a link',
  another: 'Make another one',
  made: 'The link. It is shown this once; copy it, or let their phone read the code.',
  address: 'Address of the link',
  copy: 'Copy',
  copied: 'Copied',
  code: 'Code of the link, for a phone',
  none: 'No link was made yet.',
  link: (by: string, day: string, ends: string) => `Made by ${by} on ${day}, ends ${ends}`,
  state: { open: 'open', withdrawn: 'withdrawn', over: 'ended' } satisfies Record<LinkState, string>,
  withdraw: 'Withdraw',
  happened: 'What happened',
  answer: 'Your answer',
  send: 'Answer',
  close: 'Close',
} as const;

/** What happened by a link, as the shop reads it. */
export const LINK_EVENTS: Readonly<Record<LinkWhat, (detail: Detail, by: string | null) => string>> = {
  made: (_detail, by) => `Made by ${by ?? ''}`,
  opened: () => 'Opened',
  chose: ({ piece, letter, instead }) => `Chose ${letter} instead of ${instead} for piece ${piece}`,
  asked: ({ text }) => `Asked: ${text}`,
  answered: ({ text }, by) => `${by ?? ''} answered: ${text}`,
  accepted: ({ name, total }) => `Agreed as ${name}, ${cash(total)}`,
  refused: () => 'Wanted to agree and could not: look at the order',
  paying: ({ amount }) => `Went to pay ${cash(amount)}`,
  paid: ({ amount }) => `Paid ${cash(amount)}`,
  'not paid': ({ amount }) => `Did not pay ${cash(amount)}`,
  withdrawn: (_detail, by) => `Withdrawn by ${by ?? ''}`,
  'came late': () => 'Opened after it had ended',
};
