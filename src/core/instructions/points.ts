/** What is looked at on this piece, and what of it must be ticked: nothing that it does not have. */
import { CHECK_POINTS, type CheckPoint, STEP_RULES, type StepKey } from '../route/steps';
import type { Has } from './has';

/** Points that stand only where there is something to look at. */
const WHERE: Readonly<Record<string, (has: Has) => boolean>> = {
  'finish-batch': (has) => has.framed && !has.sections && has.worked.resolved.readyMade === undefined,
  'defects-marked': (has) => has.framed,
  'coated-side': ({ worked: { resolved } }) => resolved.glazing.coated || resolved.backPane.coated,
  'glass-clean': (has) => has.glazed,
  'insisted-kept': ({ design }) => design.insists !== '',
  straight: ({ worked }) => worked.sizes.matted !== undefined,
  'held-at-top': (has) => has.count('hinge') + has.count('tape hinge') > 0,
  'hangers-level': ({ hanging }) => hanging !== undefined,
  'hangers-rated': ({ hanging }) => hanging !== undefined,
  'drop-written': ({ hanging }) => hanging !== undefined,
  'top-bottom-first': ({ worked }) => worked.parts.some((part) => part.kind === 'strip'),
  'seat-recorded': (has) => has.framed && !has.sections && has.worked.resolved.readyMade === undefined,
  reversible: ({ mount }) => mount !== 'dry mount' && mount !== 'glue',
  closed: (has) => has.inFrame,
};
export const lookAtOf = (step: StepKey, has: Has): string[] =>
  STEP_RULES[step].lookAt.filter((point) => WHERE[point]?.(has) ?? true);

/** The fit is not closed while these are unticked. */
const MUST: Partial<Record<StepKey, readonly string[]>> = { fit: ['insisted-kept', 'right-way-up'] };
export function mustTick(step: StepKey, has: Has): string[] {
  const shown = lookAtOf(step, has);
  return (MUST[step] ?? []).filter((point) => shown.includes(point));
}

const CHECKED: Partial<Record<CheckPoint, (has: Has) => boolean>> = {
  corners: (has) => has.framed && has.assembledHere,
  'specks-inside': (has) => has.glazed && has.assembledHere,
  'smears-outside': (has) => has.glazed,
  'straight-in-window': ({ worked }) => worked.sizes.matted !== undefined,
  'insisted-kept': ({ design }) => design.insists !== '',
  'back-sealed': (has) => has.backSealed,
  'hangers-up': (has) => has.hanging !== undefined && has.assembledHere,
  'drop-written': (has) => has.hanging !== undefined && has.assembledHere,
  'weight-in-rating': (has) => has.hanging !== undefined,
};
/** The points of the final check that this piece has. */
export const checkPointsOf = (has: Has): CheckPoint[] =>
  (Object.keys(CHECK_POINTS) as CheckPoint[]).filter((point) => CHECKED[point]?.(has) ?? true);
