export const SETTINGS = {
  head: 'Settings',
  edition: (edition: number, by: string, at: string) => `Edition ${edition}, by ${by} on ${at}.`,
  atFirst: 'As they are at first; nobody has changed them.',
  altersNothing: 'A change alters nothing that was agreed.',
  door: 'At the door',
  save: 'Save settings',
  saved: 'Saved.',
} as const;

export const SETTING_WORDS = {
  idleMinutes: { name: 'Signed out when idle for', unit: 'min', does: 'Counted from the last touch on that screen.' },
  sessionDays: { name: 'Sign in again after', unit: 'days', does: 'However much the screen is used.' },
  wrongPins: {
    name: 'Wrong PINs before waiting',
    unit: '',
    does: 'Of one person, from one place. Then 1 s, 2 s, 4 s …',
  },
  longestWait: { name: 'Longest wait', unit: 'min', does: 'The wait after wrong PINs grows no longer than this.' },
  backUpHour: { name: 'At this hour', unit: 'h', does: '0 to 23, by the clock of this computer.' },
  glueHours: { name: 'Glue cures for', unit: 'h', does: 'After joining, where the clamps stay on overnight.' },
  dryHours: { name: 'Paint and lacquer dry for', unit: 'h', does: 'After a finish by hand, before it is fitted.' },
  pressMinutes: { name: 'In the press for', unit: 'min', does: 'A dry mount, until it is cool and flat.' },
  marginFloor: {
    name: 'Warn below a margin of',
    unit: '%',
    does: 'Of the price without tax; shown at the desk to staff only.',
  },
  refundLimit: {
    name: 'Given back without the owner',
    unit: '',
    does: 'In whole units of money; above it an owner’s PIN is needed.',
  },
  backUpsKept: { name: 'Back-ups kept', unit: '', does: 'The oldest is deleted when a new one is whole.' },
} as const;

export const MONEY_SETTINGS = {
  head: 'Money',
  accounts: 'Numbers of your accounts',
  showAccounts: 'Show them',
  pieces: 'Pieces left with you',
  showPieces: 'Places, limit, terms',
  accountsSay:
    'As your bookkeeping knows them; the journal and the trial balance name accounts by them. Empty keeps the name.',
  currency: 'Currency',
  currencySay: 'Three letters, such as EUR; said on papers and at the desk. Empty says nothing.',
  tax: 'Tax is owed from',
  atHandOver: 'the hand-over',
  atPayment: 'each payment',
  taxSay: 'As local rules say. It holds for payments from then on.',
} as const;

export const OPENING = {
  head: 'Open',
  days: {
    mon: 'Monday',
    tue: 'Tuesday',
    wed: 'Wednesday',
    thu: 'Thursday',
    fri: 'Friday',
    sat: 'Saturday',
    sun: 'Sunday',
  },
  say: 'Like 9–17 or 9:30–18:00; empty stays closed. Nothing is promised for a closed day.',
  closed: 'Closed besides',
  noneClosed: 'No day yet.',
  addClosed: 'Add a day',
  openAgain: (day: string) => `Open on ${day} after all`,
  waits: 'Waiting',
  waitsSay: 'Waits run by the clock, through nights and closed days. The bench says from when a step is free.',
} as const;

export const BACK_UPS = {
  head: 'Back-ups',
  nightly: 'Each night by itself',
  yes: 'Yes',
  no: 'No',
  nightlySay: 'While the shop is open or closed; nobody waits for it.',
  make: 'Back up now',
  making: 'Making a back-up …',
  meanwhile: 'The shop goes on meanwhile.',
  folder: 'In the folder back-ups, the newest first:',
  none: 'None yet. Copy them to another disk now and then: this one can break.',
} as const;
