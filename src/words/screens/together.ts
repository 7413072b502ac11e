/** A step that several pieces of an order have next. */
export const TOGETHER = {
  head: 'These pieces of the order have the same step next:',
  done: (count: number) => `Done for all ${count}`,
} as const;
