/**
 * Every caution that fires, with the ways out that help: a way out is offered only after it was tried. The rule must
 * no longer fire on the edited design, and no refusal may have come. Ways are tried when somebody asks for them.
 */
import type { CautionCode } from '../issue-codes';
import { apply } from '../design/edit';
import { type Resolved, resolve } from '../design/resolve';
import type { Catalogue } from '../materials';
import type { Settings } from '../settings';
import type { Caution, Facts, WayOut } from './caution';
import { RULES } from './rules';
import type { Situation } from './situation';

/** Works a design out far enough for the rules; undefined when it cannot be built. */
export type FactFinder = (resolved: Resolved) => Facts | undefined;

const refusals = (situation: Situation, settings: Settings) =>
  RULES.filter((rule) => rule.level === 'refuse' && rule.applies(situation, settings)).map((rule) => rule.code);

export function cautionsOf(facts: Facts, catalogue: Catalogue, find: FactFinder): Caution[] {
  const { situation, settings, resolved } = facts;
  let before: string[] | undefined;
  const list: Caution[] = [];
  for (const rule of RULES) {
    if (rule.bench) continue;
    const figures = rule.applies(situation, settings);
    if (!figures) continue;
    const helps = (wayOut: WayOut) => {
      const edited = resolve(apply(resolved.design, wayOut.edit), catalogue);
      const after = edited.ok ? find(edited.value) : undefined;
      return (
        after !== undefined &&
        !rule.applies(after.situation, settings) &&
        refusals(after.situation, settings).every((code) => (before ??= refusals(situation, settings)).includes(code))
      );
    };
    const { code, level, path } = rule;
    let ways: readonly WayOut[] | undefined;
    list.push({
      code,
      level,
      path,
      figures,
      get waysOut() {
        ways ??= (rule.waysOut?.(facts, catalogue) ?? []).filter(helps);
        return ways;
      },
    });
  }
  return list;
}

/** The codes that fire in a situation, in the order of the table, or of `check` when only some are asked for. */
export const firing = (situation: Situation, settings: Settings, check?: readonly CautionCode[]): CautionCode[] => {
  const fired = RULES.filter((rule) => (!check || check.includes(rule.code)) && rule.applies(situation, settings));
  const codes = fired.map((rule) => rule.code);
  return check ? check.filter((code) => codes.includes(code)) : codes;
};
