/** What the rack, its plans and the mat cutter say. */
export const RACK = {
  head: 'The rack',
  places: 'Places of the rack',
  placeNames: [
    ['On the rack', '/rack'],
    ['Plan the cuts', '/rack/plan'],
    ['Plans made', '/rack/plans'],
    ['Mat cutter', '/rack/mat-cutter'],
  ],
  kinds: { mouldings: 'Sticks', mats: 'Boards', glazings: 'Glass', backings: 'Backing' },
  toScale: (code: string) => `${code}, to scale`,
  columns: [
    { name: 'Code' },
    { name: 'To scale' },
    { name: 'Size' },
    { name: 'Batch' },
    { name: 'Place' },
    { name: 'From where' },
    { name: 'What can be done' },
  ],
  batch: (batch: string) => `batch ${batch}`,
  noPlace: 'no place yet',
  change: 'Change',
  changeThis: (code: string) => `Change ${code}`,
  label: 'Label',
  labelOf: (code: string) => `Label of ${code}`,
  onHand: 'whole ones on hand',
  atLeast: 'at least',
  below: 'below the minimum',
  find: 'Scan a label, or find',
  findLong: 'Scan a label, or find a piece',
  takeList: 'Take a list',
  listLabel: 'The rack as CSV',
  asCsv: 'As CSV',
  addPiece: 'Add a piece',
  added: (count: number, file: string) =>
    count === 1 ? `1 piece added from ${file}.` : `${count} pieces added from ${file}.`,
  empty:
    'Nothing lies here yet. Add what is on the rack, or take a list; offcuts of confirmed plans come by themselves.',
  noneFound: 'Nothing on the rack is called that.',
  dent: (from: string, to: string) => `${from} to ${to}`,
} as const;

export const PIECE = {
  change: (code: string) => `Change ${code}`,
  add: 'Add a piece',
  kind: 'Kind',
  kinds: { stick: 'Stick', sheet: 'Board or glass' },
  moulding: 'Moulding',
  material: 'Material',
  option: (code: string, name: string) => `${code}, ${name}`,
  length: 'Length',
  width: 'Width',
  height: 'Height',
  unitHint: { in: 'in inches unless you say otherwise', mm: 'in millimetres unless you say otherwise' },
  batch: 'Finish batch',
  dents: 'Dents and scratches',
  dentsHint: 'from the left end, as 20 1/4 to 21 1/2; no leg will cover them',
  place: 'Place',
  note: 'Note',
  keep: 'Keep',
  addIt: 'Add to the rack',
  close: 'Close',
  because: 'Take it off the rack, because',
  takeOff: 'Take off',
  usedUp: 'used up',
} as const;

export const PLAN = {
  head: 'Plan the cuts',
  jobs: 'Jobs that wait',
  ready: 'Ready to cut',
  waiting: 'Waiting for material, or on hold',
  noneReady: 'Nothing waits for the saw.',
  noneWaiting: 'None.',
  untitled: 'Untitled',
  needs: ({
    legs,
    boards,
    beside,
    again,
    day,
  }: {
    legs: number;
    boards: number;
    beside: number;
    again: number;
    day: string;
  }) =>
    [
      legs > 0 && (legs === 1 ? '1 leg' : `${legs} legs`),
      boards > 0 && (boards === 1 ? '1 board' : `${boards} boards`),
      beside > 0 && (beside === 1 ? '1 part by hand' : `${beside} parts by hand`),
      again > 0 && `${again} again`,
      day,
    ]
      .filter(Boolean)
      .join(', '),
  timeForIt: 'Time for it',
  budgets: { 1500: 'A moment', 10000: 'Ten seconds', 30000: 'Half a minute' },
  stop: 'Stop, keep the best',
  planJobs: (count: number) => (count === 1 ? 'Plan 1 job' : `Plan ${count} jobs`),
  progress: 'Progress of the plan',
  kinds: 'Sticks or sheets',
  sticks: (count: number) => `Sticks ${count}`,
  sheets: (count: number) => `Sheets ${count}`,
  beside: 'Beside the plan, by hand',
  planRest: 'Plan the rest again',
  confirm: 'Confirm, take the material',
  unmade: (parts: readonly string[]) =>
    `Not in the plan, no stick or sheet is large enough or there is too little: ${parts.join(', ')}. It stays on the list.`,
  empty:
    'A plan lays the legs, mats, boards and glass of all chosen jobs on sticks and sheets: what lies on the rack first, as little new as can be. Choose the jobs and press Plan.',
  lost: 'Lost in cuts and ends',
  material: 'Material, offcuts counted back',
  apart: 'Cut job by job it would be',
  saved: (amount: string) => `${amount} saved`,
  howGood: 'How good this is',
  buying: 'What has to be bought, and other ways to come by it',
  buyingColumns: [
    { name: 'Moulding' },
    { name: 'Opened', num: true as const },
    { name: 'On hand', num: true as const },
    { name: 'Way' },
    { name: 'Cost', num: true as const },
    { name: 'Days', num: true as const },
  ],
  cheapest: 'cheapest',
  stays: 'Stays',
  keepAsIs: 'Keep as is',
  moveHere: (leg: string) => `Move ${leg} here`,
  pickUp: 'Pick it up to move it to another stick',
  to: 'to',
  newStick: 'New stick',
  newSheet: 'New sheet',
  batch: (batch: string) => `batch ${batch}`,
  keep: 'keep',
  nothingKept: 'nothing worth keeping',
  stickLabel: (code: string | undefined, legs: number) =>
    `${code ?? 'new stick'}: ${legs === 1 ? '1 leg' : `${legs} legs`}`,
  sheetLabel: (code: string | undefined, parts: number) => `${code ?? 'new sheet'}: ${parts} parts`,
  profileLine: (code: string, count: number) => `${code}, ${count} ${count === 1 ? 'stick' : 'sticks'}`,
  materialLine: (code: string, count: number) => `${code}, ${count} ${count === 1 ? 'sheet' : 'sheets'}`,
  fromLeft: 'from the left',
  fromTop: 'from the top',
} as const;

export const MADE = {
  head: 'Plans made',
  none: 'No plan was confirmed yet. Plan the cuts, look at them, and confirm.',
  lostHead: 'Lost of what was opened',
  savedSoFar: (amount: string) => `${amount} saved so far against cutting job by job`,
  chart: 'Share of the opened material that was lost, plan by plan',
  series: { sticks: 'Sticks', sheets: 'Sheets' },
  point: (number: number, share: string) => `Plan ${number}: ${share}`,
  plans: 'Plans',
  columns: [
    { name: 'Plan', num: true as const },
    { name: 'When, by whom' },
    { name: 'Jobs' },
    { name: 'Sticks lost', num: true as const },
    { name: 'Sheets lost', num: true as const },
  ],
  moneyColumns: [{ name: 'Material', num: true as const }, { name: 'How good' }],
  actsColumn: { name: 'What can be done', unseen: true as const },
  tickets: (tickets: readonly string[], shown: number) =>
    tickets.length > shown
      ? `${tickets.slice(0, shown).join(', ')} and ${tickets.length - shown} more`
      : tickets.join(', '),
  spoiled: (part: string, why: string) => `${part} spoiled: ${why}`,
  nothing: '–',
  undone: 'Undone',
  cutSheet: 'Cut sheet',
  csv: 'CSV',
  spoil: 'Spoiled',
  allCut: { sticks: 'Legs all cut', sheets: 'Sheets all cut' },
  cutDone: (done: number, left: string) =>
    `${done === 1 ? '1 step' : `${done} steps`} done.${left ? ` Not done, look at them: ${left}.` : ''}`,
  undo: 'Undo',
} as const;

export const SPOIL = {
  head: (plan: number) => `A spoiled cut of plan ${plan}`,
  which: 'Which',
  why: 'Why',
  readyReasons: 'Ready reasons',
  whyExample: 'chipped at the mitre',
  left: 'What is left of it and worth keeping',
  leftHint: 'a length, or width × height; empty for nothing',
  leftExample: { in: '14 1/2', mm: '370' },
  goesBack: 'It goes back on the list of what is to be cut; plan it again with what is left.',
  write: 'Write it down',
  close: 'Close',
} as const;

export const CUTTER = {
  head: 'Mat cutter',
  waiting: 'Mats that wait',
  cut: (mat: number) => `Cut mat ${mat}`,
  dxf: 'DXF',
  svg: 'SVG',
  none: 'No mat waits to be cut.',
  state: ({ ready, planned }: { ready: boolean; planned: boolean }, day: string) =>
    [planned && 'planned', !ready && 'waits', day].filter(Boolean).join(', '),
  otherFile: 'Give it another file',
  file: 'A DXF file',
  refuses: (name: string) => `The cutter refuses ${name}`,
  matName: (ticket: string, mat: number) => `${ticket}, mat ${mat}`,
  empty:
    'A stand-in for a mat cutter. Give it a mat from the list, and it cuts the scores, then the bevels, then the board, as long as the real one would take.',
  bed: 'The board on the cutter',
  layers: { SCORE: 'Score', BEVEL: 'Bevel', OUTLINE: 'Straight through' },
  of: (whole: string) => `of ${whole}`,
  between: 'Moves and turns between',
  all: 'In all',
  played: 'Played',
  speeds: { 1: 'as it cuts', 4: '4 times faster', 16: '16 times faster' },
  again: 'Play again',
  pause: 'Pause',
  goOn: 'Go on',
  caution: 'Fresh blade, hands off the bed while it moves.',
} as const;

export const RACK_WORDS = {
  nothingToCut: 'Nothing to cut.',
  nothingCheaperIsPossible: 'Nothing cheaper is possible.',
  atMostCouldStill: (percent: string | number, value: string | number) =>
    `At most ${percent}${value} could still be saved.`,
  wholeSticksOffcutsKept: 'Whole sticks, offcuts kept',
  legsCutByThe: 'Legs cut by the supplier',
  readyMadeStandardSize: 'Ready-made, standard size',
  fromAList: 'from a list',
  windowDropOut: 'window drop-out',
  leftOfASpoiled: 'left of a spoiled cut',
} as const;
