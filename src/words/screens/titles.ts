/** What a page is called in the browser's tab. */
export const TITLES = {
  bench: 'Bench',
  benchSums: 'Bench sums',
  board: 'Board',
  books: 'Books',
  collect: 'Collect',
  desk: 'Desk',
  matCutter: 'Mat cutter',
  openInterface: 'Open interface',
  planTheCuts: 'Plan the cuts',
  plansMade: 'Plans made',
  security: 'Security',
  setUpTheShop: 'Set up the shop',
  settings: 'Settings',
  signIn: 'Sign in',
  theRack: 'The rack',
  yourPin: 'Your PIN',
} as const;
