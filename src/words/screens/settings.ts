/** What settings, one's own page, sessions and the log of the door say. */
export const PIN = {
  was: 'The PIN it was',
  fresh: 'The new PIN, four to eight digits',
  again: 'The new PIN once more',
  set: 'Set the PIN',
  leave: 'Leave it',
} as const;

export const ME = {
  anotherPin: 'Another PIN',
  pinChanged: 'The PIN is changed. You are signed out everywhere but here.',
  others: 'Other screens',
  othersSay: 'If you left a screen open somewhere, end it from here.',
  signOutElsewhere: 'Sign me out elsewhere',
  ended: (count: number) => (count === 1 ? 'Signed out on 1 other screen.' : `Signed out on ${count} other screens.`),
} as const;

export const ROLE_NAMES = { owner: 'owner', counter: 'counter', bench: 'bench' } as const;

export const SECURITY = {
  head: 'Security',
  say: 'People are added in Books. Whoever leaves keeps their name on what they did.',
  people: 'People',
  peopleColumns: [{ name: 'Name' }, { name: 'Role' }, { name: 'What can be done' }],
  hasLeft: 'has left',
  newPin: 'New PIN',
  signOut: 'Sign out',
  remove: 'Remove',
  letIn: 'Let in again',
  pinFor: (name: string) => `A PIN for ${name}`,
  signedIn: 'Signed in now',
  sessionColumns: [{ name: 'Who' }, { name: 'From' }, { name: 'Since' }, { name: 'Last seen' }],
  here: '(this screen)',
  happened: 'What happened at the door',
  eventColumns: [{ name: 'When' }, { name: 'What' }, { name: 'Who' }, { name: 'From' }, { name: 'More' }],
} as const;
/** What the log of the door calls what happened; its codes are words already. */
export const securityWhat = (what: string): string => what;

export const addressText = (address: string): string =>
  ['local', '127.0.0.1', '::1', '::ffff:127.0.0.1'].includes(address) ? 'this computer' : address;

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

export const DOOR = {
  who: 'Who is at the bench?',
  pinOf: (name: string) => `PIN of ${name}`,
  pin: 'PIN',
  open: 'Open the shop',
  demo: 'This is the demo shop. Its people are made up, and so are their PINs:',
} as const;

export const SET_UP = {
  head: 'A new shop',
  shop: 'What is it called?',
  owner: 'Who owns it?',
  pin: 'The owner’s PIN, four to eight digits',
  code: 'The code that Lopren printed where it was started',
  unit: 'Measures in',
  units: { in: 'inches', mm: 'millimetres' },
  tax: 'Tax on prices is',
  modes: { exclusive: 'added', inclusive: 'contained' },
  percent: 'Tax in percent',
  percentSay: '0 where there is none; each rate can be changed later',
  setUp: 'Set up',
} as const;
