/** What the settings say about pieces that customers leave, and about what the shop's papers tell them. */
export const CUSTODY = {
  valueLimit: 'Sign for a declared value above',
  valueLimitSay: 'In whole units of money; such a piece also lies in a locked place. 0: no limit.',
  places: 'Places, one a line',
  lockedPlaces: 'Locked places, one a line',
  contact: 'Where you are and how you are reached',
  contactSay: 'Stands on quotes and behind the links you send.',
  quoteTerms: 'Terms of every quote, in your words',
  quoteTermsSay: 'On the quote and behind its link: what a yes means, deposits, what happens to what is left.',
  terms: 'Terms on the receipt, in your words',
  termsSay: 'Storage, liability, what happens to what nobody collects. Ask somebody who knows your law.',
} as const;
