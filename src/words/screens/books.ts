/** What the books say: price list, rules of price, people, a list coming in. */
export const BOOKS = {
  head: 'Price list',
  edition: (mouldings: number, edition: number) => `${mouldings} mouldings, edition ${edition}`,
  search: 'Name, code, supplier',
  searchLong: 'Search the price list',
  interface: 'Open interface',
  export: 'Export as CSV',
  import: 'Import a list',
  columns: [
    { name: 'Profile', unseen: true as const },
    { name: 'Moulding' },
    { name: 'Supplier' },
    { name: 'Face', num: true as const },
    { name: 'Rabbet', num: true as const },
    { name: 'Deep', num: true as const },
    { name: 'Stick', num: true as const },
    { name: 'Cost', num: true as const },
  ],
  empty: 'No moulding yet. A supplier’s list as CSV fills this table; a sample lies in the folder samples.',
  noneFound: 'No moulding has these words.',
  more: (count: number) => `${count} more; type a word to find them.`,
} as const;

export const PEOPLE = {
  head: 'People',
  name: 'Name',
  pin: 'PIN',
  pinHint: 'Four to eight digits',
  role: 'Role',
  add: 'Add',
  addPerson: 'Add a person',
} as const;

export const RULES = {
  head: 'Rules of price',
  groups: { moulding: 'Moulding', mat: 'Mats', glazing: 'Glazing', backing: 'Backing' },
  schools: { 'cost-up': 'cost and markup', chart: 'a chart of retail prices' },
  measures: {
    in: 'united inches',
    cm: 'united centimetres',
    ft: 'feet of moulding',
    m: 'metres of moulding',
  },
  chart: (steps: number) => (steps === 1 ? 'chart, 1 step' : `chart, ${steps} steps`),
  costTimes: (markup: string) => `cost × ${markup}`,
  change: (group: string, rule: string) => `${group}: ${rule}, change`,
  pricedBy: (group: string) => `${group} is priced by`,
  markup: 'Markup',
  atLeast: 'At least',
  stepsBy: 'Steps by',
  steps: 'Up to this size, this price: one step a line',
  perExtra: 'Beyond the last, each unit begun',
  leave: 'Leave it',
  set: 'Set',
  work: 'Work',
  anHour: (rate: string) => `${rate} an hour`,
  kit: 'Hanging kit',
  ending: 'Ending',
  tax: 'Tax',
  taxIs: (percent: string, added: boolean) => `${percent} %, ${added ? 'added' : 'contained'}`,
  deposit: 'Deposit',
  percent: (percent: string) => `${percent} %`,
} as const;

export const IMPORT = {
  head: 'Import a list',
  rows: 'Rows of the list',
  file: (name: string, rows: number) => `${name}, ${rows} rows`,
  columnsOfExport: 'CSV with the columns of the export',
  back: 'Back to the price list',
  listAsCsv: 'The list as CSV',
  choose: 'Choose the file',
  chooseOther: 'Choose another file',
  columns: [
    { name: 'Row', num: true as const },
    { name: 'Code' },
    { name: 'Name' },
    { name: 'What happens to it', unseen: true as const },
    { name: 'Why, or what changes' },
  ],
  does: { refuse: 'Refused', add: 'Added', change: 'Changed', same: 'As it is' },
  change: (from: string, to: string) => `${from || 'nothing'} → ${to || 'nothing'}`,
  showOnly: 'Show only',
  nothingNew: 'Nothing new',
  takeAll: (count: number) => `Take all ${count}`,
  refused: (count: number) =>
    `${count} ${count === 1 ? 'row is' : 'rows are'} refused, so nothing is taken: a list comes in whole or not at all. Mend the file and choose it again.`,
  ignored: (columns: readonly string[]) => `Columns that are not used: ${columns.join(', ')}`,
  done: ({ edition, added, changed }: { edition: number; added: number; changed: number }) =>
    `Edition ${edition}: ${added} added, ${changed} changed. They can be chosen at the desk now.`,
} as const;

export const INTERFACE = {
  listOf: (kind: string | number) => `list of: ${kind}`,
  andByBuildThe: 'And by build, the keys of its own:',
  openInterface: 'Open interface',
  errorsAreProblemDetails: 'Errors are problem details: each has a code, the path of the key, and a sentence.',
  theWholeDescriptionFor: 'The whole description, for machines',
} as const;
