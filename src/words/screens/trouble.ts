/** What helps beside a sentence of what is wrong. */
export const TROUBLE = { openTill: 'Open the till', sure: 'Yes, it’s right' } as const;
