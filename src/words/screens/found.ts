/** What the finder says; fetched when it is first opened. */
export const FINDING = {
  more: 'Three letters of a name, or a number.',
  none: 'Nothing is called that, or nearly that.',
} as const;

export const FOUND = {
  orders: 'Orders',
  customers: 'Customers',
  pieces: 'Pieces',
  mouldings: 'Mouldings',
  actions: 'Do or open',
} as const;
