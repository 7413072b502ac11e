/** Advice at the desk, each with its reason. */
import type { AdviceCode } from '@/core/design/advice';

export const ADVICE = {
  open: 'Advice',
  openKey: 'a',
  head: 'What could be said for another design',
  none: 'Nothing to advise: it is thrifty, keeps, and is plain enough.',
  add: 'Add as a design',
  full: 'Four are compared at most. Take one out first.',
  close: 'Close',
  more: (amount: string) => `${amount} more`,
  less: (amount: string) => `${amount} less`,
  same: 'the same price',
} as const;

/** What it is and why; the name of a material or a frame where there is one. */
export const ADVICE_SAYS: Readonly<Record<AdviceCode, readonly [what: string, why: string]>> = {
  thrifty: ['Thrifty', 'The cheapest glass and back of their kind; it looks the same from the front.'],
  keeping: ['Keeping', 'Glass that holds back ultraviolet, boards and back without acid: for what should last.'],
  'heavier-below': ['Heavier below', 'Equal borders look as if the picture slides down; a little more below holds it.'],
  sides: ['Narrower sides', 'A little more above and below lets an upright picture stand, and saves width.'],
  standard: ['A standard size', 'Mat, glass and back in a size that is kept; the borders are fitted to it.'],
  restraint: ['Two mats', 'Three borders speak louder than most pictures.'],
  'ready-made': ['Ready-made', 'A frame bought whole in a standard size; the border is fitted to it.'],
  colour: ['A colour of the piece', 'One that occurs in the piece, repeated once, on the top mat.'],
};
