/** What the papers say. */

export const TICKET = {
  untitled: 'Untitled',
  promisedFor: (customer: string | number, day: string | number) => `${customer}. Promised for ${day}`,
  customerInsists: 'Customer insists',
  roomBehindThePackage: 'Room behind the package',
  standsProud: 'Stands proud of the rabbet',
  fillUpTo: (value: string | number) => `, fill up to ${value}`,
  weight: 'Weight',
  min: (minutes: number) => `, ${minutes} min`,
  ticket: (ticket: string | number) => `Ticket ${ticket}`,
  accepted: (caution: string | number, reason: string | number) => `Accepted: ${caution} (${reason})`,
  plusAndMinus: 'A small + or − after a figure: it is a little more, or less, than the rule shows.',
  lookAt: (points: readonly string[]) => `Look at: ${points.join(', ')}.`,
  atTheSaw: 'Guard down at the saw.',
  atTheGlass: 'Gloves and eye protection for glass.',
} as const;

export const CUT_SHEET = {
  keep: (length: string | number) => `, keep ${length}`,
  newStick: 'New stick',
  batch: (batch: string | number) => `, batch ${batch}`,
  stop: (short: string | number) => `stop ${short}`,
  fromTo: (short: string | number, short2: string | number) => `from ${short} to ${short2}`,
  newSheet: 'New sheet',
  cutsEdgeToEdge: 'Cuts, edge to edge',
  fromTheLeft: 'from the left',
  fromTheTop: 'from the top',
  keep2: (short: string | number, short2: string | number) => `keep ${short} × ${short2}`,
  beside: 'Beside the plan, by hand',
  cutSheet: (number: number) => `Cut sheet ${number}`,
  lengthsInLegsBy: (day: string | number, by: string | number, value: string | number) =>
    `${day}, ${by}. Lengths in ${value}, legs by their long points.`,
  guardsDownEyesAnd:
    'Guards down, eyes and ears covered; unplug the saw before you change the blade. Gloves for glass.',
} as const;

interface CardFoot {
  readonly w: string;
  readonly h: string;
  readonly weighs: string;
  readonly rating: string;
  readonly each: boolean;
  readonly heavy: boolean;
}
export const WALL_CARD = {
  wallCard: (ticket: string | number) => `Wall card ${ticket}`,
  yourPicture: 'Your picture',
  theHookGoes: 'The hook goes',
  belowWhereYouWant: 'below where you want the top edge',
  orOverTheFloor: 'or over the floor',
  withItsMiddleAt: (len: string | number) => `with its middle at ${len}, eye level for most people`,
  theHooksGo: 'Each hook goes',
  apartAndLevel: (apart: string) => `Two hooks, ${apart} apart and level.`,
  foot: ({ w, h, weighs, rating, each, heavy }: CardFoot) =>
    [
      `${w} × ${h}, ${weighs}. ${each ? 'Hooks and fixings each' : 'A hook and fixing'} rated for at least ${rating} and right for your wall.`,
      heavy &&
        'Two people lift it; fix into structure, by local rules and a licensed installer where they require one.',
      'Not over a heater, not in full sun. Dust with a dry cloth; spray nothing on it.',
    ]
      .filter(Boolean)
      .join(' '),
} as const;

export const QUOTE = {
  insteadOf: 'Instead, if you like it better (not in the total):',
  askUs: 'ask us',
  quote: 'Quote',
  order: 'Order',
  thesePricesHoldUntil: (day: string | number) => `These prices hold until ${day}`,
  readyBy: (day: string) => `Ready by ${day}.`,
  promisedFor: (day: string | number) => `Promised for ${day}`,
  piece: (value: number) => `Piece ${value}`,
  outside: (build: string | number, name: string | number, length: string | number, length2: string | number) =>
    `${build}; ${name}; ${length} × ${length2} outside`,
  unframed: (build: string | number, _name: string | number, length: string | number, length2: string | number) =>
    `${build}, without a frame of ours; ${length} × ${length2}`,
  ofPiece: (kind: string, width: string, height: string) => `${kind} of ${width} × ${height}`,
  notIncluded: (what: string) => `Not included: ${what}.`,
  aFrame: 'a frame',
  glazing: 'glazing',
  assembly: 'putting it together',
  hangers: 'hangers',
  delivery: 'delivery and hanging at yours',
  rounding: 'Rounding',
  thisPiece: 'This piece',
  youAsked: (insists: string | number) => `You asked: ${insists}`,
  allPieces: 'All pieces',
  tax: (percent: string | number, value: string | number) => `Tax ${percent} %${value}`,
  total: 'Total',
  depositWhenYouSay: 'Deposit when you say yes',
  paid: 'Paid',
  balance: 'Balance',
  agreed: 'Agreed, name and signature',
  day: 'Day',
  quote2: (number: number) => `Quote ${number}`,
  sizesAreThoseOf:
    'Sizes are those of the frame as drawn. What was agreed is made as agreed, until a change of it is agreed.',
} as const;

export const RACK_LABEL = {
  label: (code: string | number) => `Label ${code}`,
  batch: (batch: string | number) => `batch ${batch}`,
} as const;

/** The sheet of codes that hangs at the bench. */
export const CODES = {
  title: 'To be scanned at the bench',
  acts: {
    done: { name: 'Done', does: 'Ends the step that is shown.' },
    begin: { name: 'Begin', does: 'Counts minutes from now.' },
    hold: { name: 'Hold', does: 'Asks why it waits.' },
    problem: { name: 'Problem', does: 'Asks what is wrong; the shop must act.' },
    next: { name: 'Next', does: 'Opens the next job of this station.' },
  },
} as const;

export const MARKING = {
  title: (ticket: string) => `Marking map ${ticket}`,
  head: 'Marking map',
  seenFrom: { behind: 'Seen from behind', front: 'Mirrored: seen from the front' },
  fullSize: 'At full size. Print without fitting to the page, and lay a rule on the line below first.',
  toScale: 'Too large for the page: to scale. Measure by the list.',
  ruler: (unit: 'in' | 'mm') => (unit === 'in' ? 'This line is 4 in long.' : 'This line is 100 mm long.'),
  list: 'Marks',
  fromFrame: 'From the outer edges of the frame, seen from behind.',
  fromPackage: 'From the edges of the package, seen from behind.',
} as const;

export const TEMPLATES = {
  title: (ticket: string) => `Templates ${ticket}`,
  head: (name: 'sleeve' | 'insert', count: number) =>
    name === 'sleeve' ? `Sleeve board, ${count}: one as it is, one turned over` : 'Insert board',
  join: 'At full size. Lay the pages together at the crosses; neck edge below the collar, corners rounded.',
  ruler: (unit: 'in' | 'mm') => (unit === 'in' ? 'This line is 4 in long.' : 'This line is 100 mm long.'),
} as const;

export const MONEY_PAPERS = {
  receipt: {
    title: (number: number) => `Receipt, order ${number}`,
    piece: (number: number) => `Piece ${number}`,
    tax: (percent: string, contained: boolean) => `Tax ${percent} %${contained ? ', contained' : ''}`,
    total: 'Total',
    paid: 'Paid',
    open: 'Still to be paid',
    settled: 'Paid in full, to pay',
    back: 'Owed back to you',
    due: (day: string) => `On account, due ${day}.`,
    cancelled: (kept: string) => `This order was cancelled. Kept for what was cut and worked: ${kept}.`,
  },
  day: {
    title: (day: string) => `Day report, ${day}`,
    takings: 'Takings',
    nothing: 'Nothing was taken.',
    back: (means: string) => `given back, ${means}`,
    inAll: 'Takings in all',
    sales: 'Sales and tax',
    tax: (rate: string) => `Tax ${rate} %`,
    sold: 'Sold in all',
    deposits: 'Deposits held, more by',
    handed: (orders: readonly number[]) => `Handed over: ${orders.join(', ')}`,
    refunds: 'Given back',
    discounts: 'Let go on what was handed over',
    order: (number: number) => `Order ${number}`,
    drawer: (till: string) => `${till}, counted`,
    float: 'Float at opening',
    counted: (means: string, expected: string) => `Counted ${means}, expected ${expected}`,
    off: (amount: string) => `off by ${amount}`,
  },
  statement: {
    title: (day: string) => `Statement of ${day}`,
    order: (number: number, handed: string, due: string) => `Order ${number}, handed over ${handed}, due ${due}`,
    over: (days: number) => `${days} days over`,
    inAll: 'Owed in all',
    byAge: 'By age',
    terms: (days: number) => `Agreed: to be paid within ${days} days of the hand-over.`,
  },
  voucher: {
    title: 'Voucher',
    until: (day: string) => `It can be used until ${day}, in one piece or in parts.`,
    always: 'It does not run out, and can be used in one piece or in parts.',
    say: 'Whoever brings the code is given what is left on it.',
  },
} as const;

export const LEDGER_CSV = {
  journal: ['entry', 'date', 'document', 'account', 'group', 'debit', 'credit', 'tax rate', 'text'],
  standing: ['account', 'tax rate', 'debit', 'credit'],
  tax: ['from', 'to', 'tax rate', 'owed'],
  takesBack: (number: number) => `takes back ${number}`,
} as const;
