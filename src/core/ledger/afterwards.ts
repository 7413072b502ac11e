/** What a piece came to, against what was quoted: material with what was spoiled, and minutes. Source: handbook, prices. */
import { wantedOf } from '../cutting/demand';
import { areaIn, UNIT_OF } from '../pricing/charge';
import type { StepKey } from '../route/steps';
import { size } from '../units/length';
import { type Money, NOTHING, money, moneyFrom, sum } from '../units/money';
import { div, mul, mustDecimal, rational } from '../units/rational';
import type { WorkedOut } from '../work-out';

export interface Spoiled {
  readonly part: string;
  readonly why: string;
}
export interface DoneStep {
  readonly step: StepKey;
  readonly planned: number;
  readonly done: boolean;
  /** Minutes between Begin and done; null where nobody said that they begin. */
  readonly taken: number | null;
}
export interface Afterwards {
  readonly material: { readonly quoted: Money; readonly now: Money };
  readonly minutes: { readonly quoted: number; readonly now: number };
  /** Steps that are done, and of how many of them the time is known; the others count as planned. */
  readonly steps: { readonly done: number; readonly timed: number };
  readonly spoiled: readonly (Spoiled & { readonly cost: Money })[];
  /** What it cost more than quoted; below zero where it cost less. Of the work only what is done. */
  readonly more: Money;
}

/** What a leg or a flat part costs the shop, by its id in the plans; nothing where the books know no cost. */
function partCosts(worked: Omit<WorkedOut, 'workings'>, ticket: string, steps: readonly StepKey[]): Map<string, Money> {
  const { frames, parts } = wantedOf(worked, ticket, new Set(steps));
  const { resolved } = worked;
  const mouldings = new Map(worked.sizes.frames.map(({ moulding }) => [moulding.code, moulding]));
  const { mats, glazing, backPane, mountBoard, innerBoard, filler, backing } = resolved;
  const sheets = new Map(
    [...mats, glazing, backPane, mountBoard, innerBoard, filler, backing].flatMap((sheet) =>
      sheet ? [[sheet.code, sheet] as const] : [],
    ),
  );
  const costs = new Map<string, Money>();
  for (const frame of frames) {
    const cost = mouldings.get(frame.moulding)?.cost;
    if (!cost) continue;
    for (const { id, length } of frame.legs)
      costs.set(id, moneyFrom(mul(div(rational(length), UNIT_OF[cost.per]), mustDecimal(cost.amount))));
  }
  for (const { id, material, w, h } of parts) {
    const cost = sheets.get(material)?.cost;
    if (cost) costs.set(id, moneyFrom(mul(areaIn(size(w, h), cost.per), mustDecimal(cost.amount))));
  }
  return costs;
}

export function afterwards(
  worked: Omit<WorkedOut, 'workings'>,
  ticket: string,
  steps: readonly DoneStep[],
  spoiled: readonly Spoiled[],
  perHour: string,
): Afterwards {
  const costs = partCosts(
    worked,
    ticket,
    steps.map(({ step }) => step),
  );
  const lost = spoiled.map((one) => ({ ...one, cost: costs.get(one.part) ?? NOTHING }));
  const lines = worked.price?.lines ?? [];
  const quoted = sum(lines.flatMap((line) => (line.taxGroup === 'labour' ? [] : (line.cost ?? NOTHING))));
  const done = steps.filter((one) => one.done);
  const minutes = {
    quoted: steps.reduce((all, { planned }) => all + planned, 0),
    now: done.reduce((all, { taken, planned }) => all + (taken ?? planned), 0),
  };
  const over = minutes.now - done.reduce((all, { planned }) => all + planned, 0);
  const material = { quoted, now: money(quoted + sum(lost.map(({ cost }) => cost))) };
  const work = moneyFrom(mul(rational(Math.abs(over), 60), mustDecimal(perHour)));
  return {
    material,
    minutes,
    steps: { done: done.length, timed: done.filter(({ taken }) => taken !== null).length },
    spoiled: lost,
    more: money(material.now - quoted + Math.sign(over) * work),
  };
}
