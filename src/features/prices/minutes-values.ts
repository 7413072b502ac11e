/** Planned minutes as their form has them, and read back from it: only what is not as usual is kept. */
import { type Issue, issue } from '@/core/issue';
import type { StepMinutes } from '@/core/pricing/book';
import { STEPS, STEP_RULES, type StepKey } from '@/core/route/steps';

export const MINUTE_KINDS = ['base', 'size', 'layer'] as const;
export type MinuteKind = (typeof MINUTE_KINDS)[number];
/** Steps that are work of the shop's own hands. */
export const TIMED_STEPS = STEPS.filter((step) => step !== 'materials-here' && step !== 'hand-over');

export const minutesField = (step: StepKey, kind: MinuteKind) => `minutes-${step}-${kind}`;

export const minuteValues = (minutes: StepMinutes | undefined): Record<string, string> =>
  Object.fromEntries(
    TIMED_STEPS.flatMap((step) =>
      MINUTE_KINDS.map((kind) => {
        const own = (minutes?.[step] ?? STEP_RULES[step].minutes)[kind];
        return [minutesField(step, kind), own === undefined ? '' : String(own)] as const;
      }),
    ),
  );

export function minutesOf(values: Readonly<Record<string, string>>): {
  readonly minutes?: StepMinutes;
  readonly wrong: readonly Issue[];
} {
  const wrong: Issue[] = [];
  const found: Record<string, { base: number; size?: number; layer?: number }> = {};
  for (const step of TIMED_STEPS) {
    const read = (kind: MinuteKind): number => {
      const field = minutesField(step, kind);
      const text = (values[field] ?? '').trim();
      if (!/^\d{0,3}$/.test(text)) wrong.push(issue('number-wrong', { typed: text }, field));
      return Number(text) || 0;
    };
    const usual = STEP_RULES[step].minutes;
    const [base, size, layer] = [read('base'), read('size'), read('layer')];
    if (base !== usual.base || size !== (usual.size ?? 0) || layer !== (usual.layer ?? 0))
      found[step] = { base, ...(size ? { size } : {}), ...(layer ? { layer } : {}) };
  }
  return { wrong, ...(Object.keys(found).length > 0 ? { minutes: found } : {}) };
}
