/** What stands round every place of the shop: the bar, the keys, faults. */
export const PRODUCT = { name: 'Lopren', does: 'Sizes, prices and the way of every job' } as const;

export const BAR = {
  home: 'Lopren, to where your work begins',
  places: 'Places',
  find: 'Find anything',
  findLong: 'Find anything: an order, customer, piece, moulding, or what can be done',
  unit: 'Unit shown',
  personTitle: (person: string, role: string) => `${person}, ${role}`,
  signOut: 'Sign out',
  look: 'How the screen looks',
  looks: { light: 'Light', system: 'As the system', dark: 'Dark' },
} as const;

export const NOT_FOUND = {
  head: 'There is nothing under this number.',
  say: 'Look it up with the finder above: number, name or phone.',
} as const;

export const LENGTH_MARK = {
  more: 'the exact length is a little more',
  less: 'the exact length is a little less',
} as const;
export const TONES = { refuse: 'Not possible', warn: 'Warning', advise: 'Advice' } as const;
