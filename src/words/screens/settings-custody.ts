/** What the settings say about pieces that customers leave. */
export const CUSTODY = {
  valueLimit: 'Sign for a declared value above',
  valueLimitSay: 'In whole units of money; such a piece also lies in a locked place. 0: no limit.',
  places: 'Places, one a line',
  lockedPlaces: 'Locked places, one a line',
  terms: 'Terms on the receipt, in your words',
  termsSay: 'Storage, liability, what happens to what nobody collects. Ask somebody who knows your law.',
} as const;
