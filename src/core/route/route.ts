/** The route of a piece: the steps it needs, with their planned minutes. Source: handbook, route. */
import { BUILDS, mountOf } from '../builds';
import type { ResolvedPiece, LayUp } from '../builds/build';
import type { Design } from '../design/design';
import type { Scoped } from '../jobs/scope';
import type { StepMinutes } from '../pricing/book';
import { practiceOf } from '../parts/practice';
import type { Sizes } from '../sizes';
import { UNITS_PER_INCH } from '../units/length';
import { STEPS, STEP_RULES, type StepKey, type StepRule, type Station, type Wait } from './steps';

export interface RouteStep {
  readonly step: StepKey;
  readonly station: Station;
  readonly minutes: number;
  /** What it waits for once it is done. */
  readonly waits?: StepRule['waits'];
}

/** Beyond glue and wedges, which the usual minutes have in them. */
const JOINT_MINUTES = { 'glue and wedges': 0, glue: -2, splines: 12, 'screws and braces': 6 } as const;

/** Of backing and hanging, what the hangers take. */
const HANGER_MINUTES = 4;
/** Each strip that is ripped, each pass of the rebate. */
const STRIP_MINUTES = 6;
const PASS_MINUTES = 2;
/** A finish before it is cut dries longer than glue cures. */
const madeWaits = (made: Design['frame']['shopMade']): Wait | undefined =>
  made?.finish === 'before' ? 'dry' : made && made.strips > 1 ? 'glue cure' : undefined;

const BIG = 40 * UNITS_PER_INCH;
const MORE = 10 * UNITS_PER_INCH;

/** Which steps this piece has: those for which there is something to do. */
function wanted(
  laid: LayUp,
  scope: Scoped,
  hangs: boolean,
  { design, settings }: ResolvedPiece<Design>,
): (step: StepKey) => boolean {
  const has = (...parts: string[]) => laid.layers.some((layer) => parts.includes(layer.part) && !layer.comes);
  const framed = scope.frame && laid.frames.length > 0;
  const metal = laid.pairs !== undefined;
  const bought = laid.readyMade !== undefined;
  const hasLegs = laid.frames.some((frame) => frame.legs.length > 0);
  const assembled = scope.assembled === 'shop';
  const { back } = practiceOf(settings.practice, design.practice);
  const covered =
    scope.closed &&
    BUILDS[design.build].seeThrough !== true &&
    (back === 'tape only' || (back === 'dust cover' && laid.held === 'points'));
  const closes = assembled && laid.frames.length > 0 && (scope.frame || scope.closed);
  const only: Partial<Record<StepKey, boolean>> = {
    // Metal sections come cut to length and are screwed together when they are fitted.
    'make-moulding': framed && !bought && !metal && design.frame.shopMade !== undefined,
    'cut-legs': framed && !bought && (!metal || hasLegs),
    join: framed && assembled && !bought && (!metal || hasLegs),
    finish:
      framed &&
      !metal &&
      !bought &&
      (['raw wood', 'raw mdf', 'lacquer'].includes(design.finish ?? '') || design.frame.shopMade?.finish === 'after'),
    'cut-mats': laid.matted !== undefined,
    'cut-glazing': has('glazing', 'pane', 'mirror'),
    'cut-backing': has('backing'),
    'cut-strips': laid.loose.length > 0 || has('lift board', 'insert', 'side strips'),
    prepare: (BUILDS[design.build].work?.prepare ?? 0) > 0 && (!laid.hangsAs || laid.loose.length > 0),
    mount: !has('mirror') && !laid.hangsAs && scope.assembled !== 'nobody',
    fit: closes,
    'back-and-hang': (closes || (laid.hangsAs !== undefined && assembled)) && (hangs || covered),
    'touch-up': framed && assembled && !metal && !bought,
    pack: scope.sleeve || scope.assembled === 'customer',
    install: scope.delivered,
  };
  return (step) => only[step] ?? true;
}

/** The route of a design with its planned minutes; `own` are the shop's, where they are not the usual ones. */
export function routeOf(
  job: ResolvedPiece<Design>,
  sizes: Sizes,
  laid: LayUp,
  scope: Scoped,
  hangs: boolean,
  own: StepMinutes = {},
): RouteStep[] {
  const { design, settings } = job;
  const practice = practiceOf(settings.practice, design.practice);
  const steps = Math.max(0, Math.ceil((sizes.unitedSize - BIG) / MORE));
  const layers = Math.max(1, sizes.matted?.layers.length ?? 1) + (sizes.matted?.windows.length ?? 1) - 1;
  const work = BUILDS[design.build].work ?? {};
  const made = design.frame.shopMade;
  return STEPS.filter(wanted(laid, scope, hangs, job)).map((step) => {
    const { station, minutes: usual, waits } = STEP_RULES[step];
    const minutes = own[step] ?? usual;
    const extra =
      (minutes.layer ?? 0) * (layers - 1) +
      (minutes.size ?? 0) * steps +
      (work[step] ?? 0) +
      (step === 'join' ? JOINT_MINUTES[practice.corner] : 0) -
      (step === 'back-and-hang' && !hangs ? Math.min(minutes.base, HANGER_MINUTES) : 0) +
      (step === 'make-moulding' && made ? STRIP_MINUTES * made.strips + PASS_MINUTES * made.passes : 0);
    const at = {
      'glue cure': practice.mitres !== 'at once',
      dry: true,
      // Cloth is ironed here and goes on at once; only what is bonded lies in the press.
      press: mountOf(design) === 'dry mount',
    };
    const rests = step === 'make-moulding' ? madeWaits(made) : waits && at[waits] ? waits : undefined;
    return { step, station, minutes: minutes.base + extra, ...(rests ? { waits: rests } : {}) };
  });
}

export const minutesOf = (route: readonly RouteStep[]): number =>
  route.reduce((total, step) => total + step.minutes, 0);
