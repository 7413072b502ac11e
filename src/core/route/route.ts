/** The steps of a window-mat job in their order, with what each needs, takes and looks at. Source: handbook, route. */
import type { Sizes } from '../sizing/window-mat';
import { UNITS_PER_INCH } from '../units/length';

export const STATIONS = ['store', 'saw', 'join', 'mat', 'glass', 'board', 'mount', 'fit', 'check', 'counter'] as const;
export type Station = (typeof STATIONS)[number];
export const STEPS = [
  'materials-here',
  'cut-legs',
  'join',
  'cut-mats',
  'cut-glazing',
  'cut-backing',
  'mount',
  'fit',
  'back-and-hang',
  'touch-up',
  'final-check',
  'hand-over',
] as const;
export type StepKey = (typeof STEPS)[number];

interface StepRule {
  readonly station: Station;
  readonly needs: readonly StepKey[];
  /** Minutes: base, per mat layer beyond the first, per 10 in of united size begun beyond 40 in. */
  readonly minutes: { readonly base: number; readonly layer?: number; readonly size?: number };
  /** Codes of what to look at; worded in `words/`. */
  readonly lookAt: readonly string[];
  /** What the step waits for after it is done. */
  readonly waits?: 'glue cure';
}

export const STEP_RULES: Readonly<Record<StepKey, StepRule>> = {
  'materials-here': { station: 'store', needs: [], minutes: { base: 0 }, lookAt: ['finish-batch', 'defects-marked'] },
  'cut-legs': {
    station: 'saw',
    needs: ['materials-here'],
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
  mount: {
    station: 'mount',
    needs: ['cut-mats'],
    minutes: { base: 5 },
    lookAt: ['straight', 'held-at-top', 'reversible'],
  },
  fit: {
    station: 'fit',
    needs: ['join', 'cut-glazing', 'cut-backing', 'mount'],
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
  'final-check': { station: 'check', needs: ['touch-up'], minutes: { base: 3 }, lookAt: [] },
  'hand-over': { station: 'counter', needs: ['final-check'], minutes: { base: 0 }, lookAt: ['identity', 'signed'] },
};

export interface RouteStep {
  readonly step: StepKey;
  readonly station: Station;
  readonly minutes: number;
}

const BIG = 40 * UNITS_PER_INCH;
const MORE = 10 * UNITS_PER_INCH;

/** The route of a design with its planned minutes. */
export function routeOf(sizes: Pick<Sizes, 'unitedSize' | 'layers'>): RouteStep[] {
  const steps = Math.max(0, Math.ceil((sizes.unitedSize - BIG) / MORE));
  return STEPS.map((step) => {
    const { station, minutes } = STEP_RULES[step];
    const extra = (minutes.layer ?? 0) * (sizes.layers.length - 1) + (minutes.size ?? 0) * steps;
    return { step, station, minutes: minutes.base + extra };
  });
}

export const minutesOf = (route: readonly RouteStep[]): number =>
  route.reduce((total, step) => total + step.minutes, 0);

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

/** A step and every step that rests on it: what must be done again after a failure, in order. */
export function redoFrom(step: StepKey): StepKey[] {
  const again = new Set<StepKey>([step]);
  for (const next of STEPS) if (STEP_RULES[next].needs.some((need) => again.has(need))) again.add(next);
  return STEPS.filter((one) => again.has(one));
}
