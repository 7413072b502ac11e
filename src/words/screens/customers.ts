/** What the pages of customers say. */
export const FORGOTTEN = { name: (day: string) => `Forgotten on ${day}` } as const;

export const CUSTOMERS = {
  head: 'Customers',
  find: 'Name or phone',
  findLong: 'Name or phone of a customer, spelt right or nearly',
  none: 'Nobody is called that, or nearly that.',
  noneYet: 'No customer yet. Add the first one, or import a list.',
  add: 'Add a customer',
  import: 'Import a list',
  export: 'Export as CSV',
  columns:
    'A list names its columns: name, phone, mail, address, units, border, told by, notes. Only the name is needed.',
  taken: (added: number, changed: number) => `${added} added, ${changed} known before.`,
  orders: (count: number) => (count === 0 ? 'no order yet' : count === 1 ? '1 order' : `${count} orders`),
  first: (count: number) => `The first ${count}. Type a name to find others.`,
} as const;

export const CUSTOMER_PAGE = {
  since: (day: string) => `Here since ${day}`,
  forgotten: 'This customer was forgotten: names and contacts are gone, sizes and the ledger stay.',
  joined: 'This entry was joined with another, which is shown.',
  name: 'Name',
  phone: 'Phone',
  mail: 'Mail',
  addresses: 'Addresses, one a line',
  prefers: 'Likes',
  units: 'Measures in',
  unitsOf: { in: 'inches', mm: 'millimetres', any: 'as the shop' },
  border: 'Border mostly chosen',
  channel: 'Told by',
  channels: { any: 'not said', message: 'message', mail: 'mail', call: 'call', letter: 'letter', none: 'not at all' },
  notes: 'Notes, for the shop only',
  save: 'Save',
  saved: 'Saved.',
  terms: (days: number | null, limit: string) =>
    days === null ? 'Pays when it is collected.' : `Pays within ${days} days${limit && `, owing at most ${limit}`}.`,
  had: 'What they had',
  hadNone: 'Nothing yet. Their pieces come here when an order is saved.',
  more: 'Earlier ones',
  newOrder: 'New order for them',
  sameAgain: 'A new piece designed the same',
  outside: 'outside',
  join: 'Join with another entry',
  joinSay: 'For one person who stands here twice. The orders of the other entry come here; this name stays.',
  joinFind: 'The other entry: name or phone',
  joinThis: (name: string) => `Join ${name} into this one`,
  forget: 'Forget this customer',
  forgetSay:
    'Name, phone, mail, addresses, notes and signatures are replaced for good, here and in the record of changes. Sizes and the ledger stay; back-ups that were made before age out.',
  forgetSure: 'Forget for good',
  leave: 'Leave it',
  all: 'All that is kept (JSON)',
  records: 'Personal data',
} as const;
