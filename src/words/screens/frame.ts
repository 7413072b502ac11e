/** What stands round every place of the shop: the bar, the keys, faults. */
export const PRODUCT = { name: 'Lopren', does: 'Sizes, prices and the way of every job' } as const;

export const BAR = {
  home: 'Lopren, to where your work begins',
  places: 'Places',
  find: 'Find an order',
  findLong: 'Find an order by number, name or phone',
  findMore: 'Three letters of a name, or a number.',
  findNone: 'No order with this number, name or phone.',
  unit: 'Unit shown',
  personTitle: (person: string, role: string) => `${person}, ${role}`,
  signOut: 'Sign out',
  look: 'How the screen looks',
  looks: { light: 'Light', system: 'As the system', dark: 'Dark' },
} as const;

export const KEYS = {
  head: 'Keys',
  all: [
    ['/', 'Find an order'],
    ['u', 'Inches or millimetres'],
    ['1 … 6', 'Desk: open a section'],
    ['m', 'Desk: cost and margin, shown or hidden'],
    ['Enter', 'Take the field and go to the next'],
    ['Ctrl Z, Ctrl Y', 'Desk: undo, redo'],
    ['Ctrl S', 'Desk: save the quote'],
    ['digits, Enter', 'Bench: open a ticket (a scanner types the same)'],
    ['Enter', 'Bench: the step is done'],
    ['?', 'These keys'],
  ],
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
