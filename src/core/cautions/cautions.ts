/**
 * Every caution that fires, with the ways out that help: a way out is offered only after it was tried. The rule must
 * no longer fire on the edited design, and no refusal may have come.
 */
import { apply } from '../design/edit';
import { type Resolved, resolve } from '../design/resolve';
import type { Catalogue } from '../materials';
import type { Caution, Facts, WayOut } from './caution';
import { RULES } from './rules';

/** Works a design out far enough for the rules; undefined when it cannot be built. */
export type FactFinder = (resolved: Resolved) => Facts | undefined;

/** Every caution that fires, each with the ways out that were tried and do remove it without adding a refusal. */
export function cautionsOf(facts: Facts, books: Catalogue, find: FactFinder): Caution[] {
  const refused = (of: Facts) =>
    RULES.filter((rule) => rule.level === 'refuse' && rule.fires(of)).map((rule) => rule.code);
  let before: string[] | undefined;
  return RULES.flatMap((rule) => {
    const figures = rule.fires(facts);
    if (!figures) return [];
    const helps = (one: WayOut) => {
      const edited = resolve(apply(facts.resolved.design, one.edit), books);
      const after = edited.ok ? find(edited.value) : undefined;
      return (
        after !== undefined &&
        !rule.fires(after) &&
        refused(after).every((code) => (before ??= refused(facts)).includes(code))
      );
    };
    const { code, level, path } = rule;
    return [{ code, level, path, figures, waysOut: (rule.waysOut?.(facts, books) ?? []).filter(helps) }];
  });
}
