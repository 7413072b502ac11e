/**
 * From one result, for each step of its route, what to do with this piece: in figures, with its fixings, order, waits,
 * points to look at and cautions. Bench, ticket, papers and the open interface read it; none writes its own. A build
 * says only what is its own. Source: handbook, route, builds, jobs, depth and hanging.
 */
import type { Design } from '../design/design';
import { ownOf } from '../builds/fields';
import { type RouteStep } from '../route/route';
import { STEP_RULES, type StepKey } from '../route/steps';
import type { Settings } from '../settings';
import type { WorkedOut } from '../work-out';
import { boardLines, glassLines, legLines, matLines, materialLines, pieceLines, stripLines } from './cutting';
import { finishLines, fitLines, hangLines, installLines, joinLines, mountLines, packLines } from './closing';
import { Has } from './has';
import { makeLines } from './making';
import type { Line } from './line';
import { lookAtOf, mustTick } from './points';

export interface StepInstructions {
  readonly step: StepKey;
  readonly lines: readonly Line[];
  /** What is looked at, by code; words in `words/`. */
  readonly lookAt: readonly string[];
  /** What of it must be ticked before the step is done. */
  readonly must: readonly string[];
  readonly waits?: RouteStep['waits'];
}

const LINES: Partial<Record<StepKey, (has: Has) => Line[]>> = {
  'materials-here': (has) => [...pieceLines(has), ...materialLines(has)],
  'make-moulding': makeLines,
  'cut-legs': legLines,
  join: joinLines,
  finish: finishLines,
  'cut-mats': matLines,
  'cut-glazing': glassLines,
  'cut-backing': boardLines,
  'cut-strips': stripLines,
  mount: mountLines,
  fit: fitLines,
  'back-and-hang': hangLines,
  pack: packLines,
  install: installLines,
};

/** Every step of the route with its instructions, in the route's order. */
export const instructionsOf = (worked: WorkedOut, settings: Settings): StepInstructions[] =>
  instructionsFor(new Has(worked, settings));

export function instructionsFor(has: Has): StepInstructions[] {
  const { worked, settings } = has;
  const own = ownOf(has.build.fields, has.design.own, settings.homeUnit);
  const mine =
    has.build.says?.({
      own,
      design: has.design,
      figures: worked.sizes.figures,
      counts: worked.sizes.counts,
      hardware: worked.hardware,
      settings,
    }) ?? {};
  // Nothing is said of what this piece has not, whoever says it.
  const { things } = has;
  const speaksTrue = ({ of = [] }: Line) => of.every((thing) => things.has(thing));
  return worked.route.map(({ step, waits }) => ({
    step,
    lines: [...(LINES[step]?.(has) ?? []), ...(mine[step] ?? [])].filter(speaksTrue),
    lookAt: lookAtOf(step, has),
    must: mustTick(step, has),
    ...((waits ?? STEP_RULES[step].waits) && waits ? { waits } : {}),
  }));
}

/** Steps that a customer does who puts a kit together. */
const ASSEMBLY = ['join', 'fit', 'back-and-hang'] as const satisfies readonly StepKey[];

/** What the shop leaves to the customer of a kit, told as it would be done here; nothing when the shop does it all. */
export function assemblyOf(worked: WorkedOut, settings: Settings): StepInstructions[] {
  const left = ASSEMBLY.filter((step) => worked.route.every((one) => one.step !== step));
  const design: Design = { ...worked.resolved.design, scope: 'ready to hang' };
  const route = left.map((step) => ({ step, station: STEP_RULES[step].station, minutes: 0 }));
  return instructionsOf({ ...worked, resolved: { ...worked.resolved, design }, route }, settings);
}
