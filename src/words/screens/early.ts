/** A promise that comes too soon. */
export const EARLY = {
  away: (days: number, day: string) =>
    `Work done elsewhere keeps it away for ${days} ${days === 1 ? 'day' : 'days'}: it can’t be ready before ${day}.`,
  work: (day: string) => `With glue and paint to wait for, it can’t be ready before ${day}.`,
  promise: (day: string) => `Promise ${day}`,
} as const;
