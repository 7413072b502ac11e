/** What is said at the desk only once somebody asks: agreeing, and what a piece leaves. */
export const ACCEPT = {
  agrees: (name: string) => `${name} agrees`,
  total: 'Order with tax',
  deposit: 'Deposit to take next',
  why: 'Why is it accepted?',
  notYet: 'Not yet',
  accept: 'Accept',
} as const;

export const MARGIN = {
  afterwards: 'Against the quote so far',
  material: 'Material',
  spoiled: (part: string) => `spoiled: ${part}`,
  work: 'Work done',
  timed: (timed: number, done: number) => `${timed} of ${done} steps timed, the others as planned`,
  minutes: (now: number, quoted: number) => `${now} of ${quoted} min`,
  more: 'More than quoted',
  less: 'Less than quoted',
  head: 'Cost and margin, for staff',
  of: 'of',
  unknown: 'no cost known',
  piece: 'Margin, this piece',
  order: 'Margin, the order',
  percent: (percent: string) => `${percent} %`,
  low: (floor: number) => `Below the shop’s floor of ${floor} %.`,
} as const;

export const CUSTOMER = {
  head: 'Whose piece is it?',
  newHead: 'A new customer',
  name: 'Name',
  phone: 'Phone',
  mail: 'Mail, if they like',
  add: 'Add this customer',
  find: 'Name or phone',
  findLong: 'Name or phone of the customer',
  orders: (count: number) => (count === 1 ? '1 order' : `${count} orders`),
  addTyped: (text: string) => `Add “${text}”`,
  addNew: 'Add a new customer',
} as const;
