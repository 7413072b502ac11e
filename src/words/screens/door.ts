/** What signing in, one's own page, sessions and the log of the door say. */
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
