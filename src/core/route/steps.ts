/** Stations, the steps of a job in their order, what each needs, takes and looks at, and the points of the final check. Knows no build. Source: handbook, route. */
export const STATIONS = [
  'store',
  'saw',
  'join',
  'finish',
  'mat',
  'glass',
  'board',
  'mount',
  'fit',
  'check',
  'counter',
] as const;
export type Station = (typeof STATIONS)[number];
export const STEPS = [
  'materials-here',
  'make-moulding',
  'cut-legs',
  'join',
  'finish',
  'cut-mats',
  'cut-glazing',
  'cut-backing',
  'cut-strips',
  'prepare',
  'mount',
  'fit',
  'back-and-hang',
  'touch-up',
  'pack',
  'final-check',
  'install',
  'hand-over',
] as const;
export type StepKey = (typeof STEPS)[number];

export const WAITS = ['glue cure', 'dry', 'press'] as const;
/** What a step may wait for once it is done. */
export type Wait = (typeof WAITS)[number];

export interface StepRule {
  readonly station: Station;
  readonly needs: readonly StepKey[];
  /** Minutes: base, per mat layer beyond the first, per 10 in of united size begun beyond 40 in. */
  readonly minutes: { readonly base: number; readonly layer?: number; readonly size?: number };
  /** Codes of what to look at; worded in `words/`. */
  readonly lookAt: readonly string[];
  /** What the step waits for after it is done. */
  readonly waits?: Wait;
}

export const STEP_RULES: Readonly<Record<StepKey, StepRule>> = {
  'materials-here': { station: 'store', needs: [], minutes: { base: 0 }, lookAt: ['finish-batch', 'defects-marked'] },
  'make-moulding': {
    station: 'saw',
    needs: ['materials-here'],
    minutes: { base: 25 },
    lookAt: ['strips-alike', 'rebate-tried'],
    waits: 'glue cure',
  },
  'cut-legs': {
    station: 'saw',
    needs: ['make-moulding'],
    minutes: { base: 9, size: 1 },
    lookAt: ['no-defect', 'long-points-equal', 'mitres-paired', 'edges-coloured'],
  },
  join: {
    station: 'join',
    needs: ['cut-legs'],
    minutes: { base: 10, size: 1 },
    lookAt: ['dry-first', 'square-flush', 'no-gap', 'seat-recorded'],
    waits: 'glue cure',
  },
  finish: {
    station: 'finish',
    needs: ['join'],
    minutes: { base: 25, size: 5 },
    lookAt: ['match-daylight'],
    waits: 'dry',
  },
  'cut-mats': {
    station: 'mat',
    needs: ['materials-here'],
    minutes: { base: 6, layer: 4 },
    lookAt: ['corners-clean', 'no-overcut', 'borders-right', 'colour-right'],
  },
  'cut-glazing': {
    station: 'glass',
    needs: ['materials-here'],
    minutes: { base: 4, size: 1 },
    lookAt: ['size-tried', 'edges', 'coated-side'],
  },
  'cut-backing': { station: 'board', needs: ['materials-here'], minutes: { base: 2 }, lookAt: ['size-tried'] },
  'cut-strips': {
    station: 'board',
    needs: ['materials-here'],
    minutes: { base: 4 },
    lookAt: ['size-tried', 'top-bottom-first'],
  },
  prepare: {
    station: 'mount',
    needs: ['materials-here'],
    minutes: { base: 0 },
    lookAt: ['only-agreed'],
    waits: 'press',
  },
  mount: {
    station: 'mount',
    needs: ['cut-mats', 'cut-strips', 'prepare'],
    minutes: { base: 5 },
    lookAt: ['straight', 'held-at-top', 'reversible'],
  },
  fit: {
    station: 'fit',
    needs: ['finish', 'cut-glazing', 'cut-backing', 'mount'],
    minutes: { base: 8, size: 1 },
    lookAt: ['glass-clean', 'insisted-kept', 'right-way-up', 'closed'],
  },
  'back-and-hang': {
    station: 'fit',
    needs: ['fit'],
    minutes: { base: 6 },
    lookAt: ['hangers-level', 'hangers-rated', 'drop-written'],
  },
  'touch-up': { station: 'fit', needs: ['back-and-hang'], minutes: { base: 2 }, lookAt: ['corners-touched'] },
  pack: { station: 'fit', needs: ['touch-up'], minutes: { base: 6 }, lookAt: ['pick-list'] },
  'final-check': { station: 'check', needs: ['pack'], minutes: { base: 3 }, lookAt: [] },
  install: { station: 'counter', needs: ['final-check'], minutes: { base: 45 }, lookAt: ['fixing-right'] },
  'hand-over': { station: 'counter', needs: ['install'], minutes: { base: 0 }, lookAt: ['identity', 'signed'] },
};

/** The final check: each point, and the step a failure goes back to. */
export const CHECK_POINTS = {
  'right-piece': 'mount',
  'right-design': 'cut-mats',
  corners: 'join',
  'specks-inside': 'fit',
  'smears-outside': 'touch-up',
  'straight-in-window': 'mount',
  'insisted-kept': 'mount',
  'back-sealed': 'back-and-hang',
  'hangers-up': 'back-and-hang',
  'drop-written': 'back-and-hang',
  'weight-in-rating': 'back-and-hang',
} as const satisfies Record<string, StepKey>;
export type CheckPoint = keyof typeof CHECK_POINTS;

/** What a step rests on among the steps a job has: where one is left out, what that one would have rested on. */
export const needsOf = (step: StepKey, has: (step: StepKey) => boolean): StepKey[] =>
  STEP_RULES[step].needs.flatMap((need) => (has(need) ? [need] : needsOf(need, has)));

/** The step a failed point goes back to: the one that causes it, or the nearest before it that this job has. */
export function sentBackTo(point: CheckPoint, has: readonly StepKey[]): StepKey {
  const wanted = STEPS.indexOf(CHECK_POINTS[point]);
  const before = STEPS.slice(0, wanted + 1).filter((step) => has.includes(step));
  return before.at(-1) ?? has[0]!;
}

/** A step and every step that rests on it, of those a job has: what must be done again after a failure, in order. */
export function redoFrom(step: StepKey, has: readonly StepKey[] = STEPS): StepKey[] {
  const again = new Set<StepKey>([step]);
  const held = (one: StepKey) => has.includes(one);
  for (const next of STEPS) if (held(next) && needsOf(next, held).some((need) => again.has(need))) again.add(next);
  return STEPS.filter((one) => again.has(one));
}
