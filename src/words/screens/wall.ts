/** What hanging on a wall says, at the desk and on its paper. */
import type { Thing } from '@/core/wall/wall';

export const WALL = {
  head: 'On the wall',
  colour: 'Wall colour',
  colourOf: (hex: string) => `Wall ${hex}`,
  other: 'Another colour',
  fromPhoto: 'From a photo',
  pick: 'Press on the wall in the photo',
  beside: 'Beside it',
  things: { sofa: 'Sofa', door: 'Door', person: 'Person' } satisfies Readonly<Record<Thing, string>>,
  nothing: 'Nothing',
  row: 'In a row',
  even: 'Even gaps',
  gap: 'Gap',
  close: 'Back',
  frame: (title: string, height: string) => `${title}: hook ${height} over the floor. Arrow keys move it.`,
  hook: 'hook',
  overFloor: 'over the floor',
  card: 'Card of the set',
  notMeasured: 'Measure the piece first.',
  none: 'Nothing of this order hangs on a wall.',
} as const;

export const SET_CARD = {
  title: (number: number) => `Where the set hangs, order ${number}`,
  head: 'Where it hangs',
  say: 'Heights are from the floor, distances from the left edge of the set. Mark all hooks before you drive one.',
  columns: ['Piece', 'Outside', 'Hook over the floor', 'From the left edge', 'Below its top'],
  two: (a: string, b: string) => `${a} and ${b}, level`,
  noHook: 'does not hang by a hook',
  weight: (text: string) => `weighs ${text}`,
  caution: 'Use hooks rated for the weight, and the right anchors for your wall. Look for pipes and cables first.',
} as const;
