/** What the lists of the books say as tables. */
export const TABLE = {
  head: 'Lists',
  link: 'All lists as tables',
  back: 'Price list',
  lists: 'Lists of the books',
  names: { mouldings: 'Mouldings', mats: 'Mats', glazings: 'Glass', backings: 'Backs' },
  row: 'Row',
  filter: 'has …',
  filterLong: (column: string) => `Only rows whose ${column} has`,
  cell: (column: string, row: number) => `${column}, row ${row}`,
  keys: 'Type to change · Ctrl D fills down · paste from a spreadsheet · Ctrl Z takes back',
  wrong: (rows: number) => (rows === 1 ? 'One row cannot be read yet.' : `${rows} rows cannot be read yet.`),
  undo: 'Undo',
  redo: 'Redo',
  unsaved: 'Take what you changed first, or undo it: nothing typed is lost.',
  add: 'Add a row',
  look: (rows: number) =>
    rows === 0 ? 'Nothing changed' : rows === 1 ? 'Look at 1 change' : `Look at ${rows} changes`,
  goOn: 'Go on changing',
  file: (rows: number) => (rows === 1 ? 'by hand, 1 row' : `by hand, ${rows} rows`),
  taken: (edition: number) => `Edition ${edition} is made. The desk has it now.`,
} as const;
