/** The designs that the house begins with, at the desk. */
export const HOUSE = {
  head: 'House designs',
  none: 'None yet. Design a piece as you like it, name that design below, and it is here for the next one.',
  use: 'Use',
  take: (name: string) => `Use ${name}`,
  drop: (name: string) => `Drop ${name}`,
  called: 'This design, called',
  keep: 'Keep it',
  replace: 'Keep it instead',
  close: 'Back',
} as const;
