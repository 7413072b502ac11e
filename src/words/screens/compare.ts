/** What comparing several designs of a piece says. */
import type { BorderVariant } from '@/core/design/variants';

export const COMPARE = {
  head: 'Designs side by side',
  scale: 'One scale',
  copy: 'Copy',
  copyKey: '+',
  vary: 'Vary',
  varyKey: 'v',
  keep: 'Keep this',
  keepOf: (letter: string) => `Keep ${letter}`,
  keepKey: 'k',
  open: 'Open',
  remove: 'Take out',
  close: 'One design',
  worked: 'worked on',
  work: (letter: string) => `Work on ${letter}`,
  declined: 'Declined',
  takeBack: (letter: string) => `Take ${letter} back`,
  noPrice: 'no price',
  cannot: 'Cannot be made as it is.',
  promised: (day: string) => day,
  noMat: 'no mat',
  over: ' over ',
  full: 'Four are compared at most. Take one out first.',
  one: 'One design so far. Copy it and change something, or vary one thing.',
  picture: (letter: string) => `Design ${letter}, framed, from the front`,
} as const;

export const VARY = {
  head: (letter: string) => `Vary ${letter}`,
  what: 'What is varied',
  kinds: { moulding: 'Moulding', border: 'Border', mat: 'Mat', glass: 'Glass' },
  find: 'Name, code or finish',
  room: (count: number) => (count === 1 ? 'One more can be compared.' : `${count} more can be compared.`),
  none: 'Nothing to vary here.',
  make: (count: number) => (count === 1 ? 'Add 1 design' : `Add ${count} designs`),
  leave: 'Leave it',
  borders: {
    narrower: 'Narrower',
    wider: 'Wider',
    'much wider': 'Much wider',
    'heavier below': 'Heavier below',
    even: 'Even all round',
  } satisfies Readonly<Record<BorderVariant, string>>,
} as const;
