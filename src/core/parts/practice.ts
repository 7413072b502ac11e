/** Where practitioners disagree: the shop's default for each matter, and a choice for each job. Source: handbook, schools. */

export const PRACTICES = {
  /** What holds the package in: flexible when it may be opened again. */
  fasteners: ['flexible', 'rigid', 'staples'],
  corner: ['glue and wedges', 'glue', 'splines', 'screws and braces'],
  braces: ['by size', 'always', 'never'],
  /** Clamped overnight before it is fastened, or at once. */
  mitres: ['overnight', 'at once'],
  cutFirst: ['long legs', 'short legs'],
  back: ['dust cover', 'tape only', 'board with tabs'],
} as const;
export type Matter = keyof typeof PRACTICES;
export type Practice = { readonly [K in Matter]: (typeof PRACTICES)[K][number] };
export const MATTERS = Object.keys(PRACTICES) as Matter[];

/** The first of each list is the usual one. */
export const USUAL_PRACTICE = Object.fromEntries(
  MATTERS.map((matter) => [matter, PRACTICES[matter][0]]),
) as unknown as Practice;

export type PracticeChoice = { readonly [K in Matter]?: Practice[K] | undefined };

export const practiceOf = (shop: Practice, job: PracticeChoice | undefined): Practice =>
  job ? ({ ...shop, ...job } as Practice) : shop;
