/** What the list of open quotes says. */
import type { QuoteOrder } from '@/core/quotes/quote-list';
import type { LinkWhat } from '@/core/links/link';

export const QUOTES = {
  head: 'Quotes',
  none: 'No quote is open. One is saved at the desk and stays here until somebody says yes or it is long over.',
  newOne: 'New order',
  order: 'In which order',
  orders: { ends: 'First to run out', age: 'Oldest', value: 'Largest' } satisfies Record<QuoteOrder, string>,
  holds: (count: number) => (count === 1 ? '1 holds' : `${count} hold`),
  soon: (count: number) => (count === 1 ? '1 runs out within three days' : `${count} run out within three days`),
  over: (count: number) => (count === 1 ? '1 has run out' : `${count} have run out`),
  more: 'There are more; those that ran out first are listed.',
  number: 'Quote',
  whose: 'For',
  what: 'Pieces',
  quoted: 'Quoted',
  until: 'Holds until',
  last: 'By link',
  worth: 'Comes to',
  again: 'At today’s prices',
  untitled: (count: number) => (count === 1 ? '1 piece' : `${count} pieces`),
  days: (days: number) => (days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`),
  left: (days: number) =>
    days < 0
      ? `ran out ${-days === 1 ? 'yesterday' : `${-days} days ago`}`
      : days === 0
        ? 'today is its last day'
        : days === 1
          ? '1 day left'
          : `${days} days left`,
  anew: 'Quote anew',
  cannot: 'Not to be had as it is',
  same: 'no change',
  sent: 'Sent',
} as const;

/** What happened last by a link, in a word or two. */
export const LAST_BY_LINK: Readonly<Record<LinkWhat, string>> = {
  made: 'Sent',
  opened: 'Looked',
  chose: 'Chose',
  asked: 'Asked: answer',
  answered: 'Answered',
  accepted: 'Agreed',
  refused: 'Could not agree: look',
  paying: 'Paying',
  paid: 'Paid',
  'not paid': 'Not paid',
  withdrawn: 'Withdrawn',
  'came late': 'Came late',
};
