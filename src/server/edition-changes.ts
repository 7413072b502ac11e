/** What an edition changed against the one before it: rules, what new orders begin with, and materials. */
import type { EditionChanges } from '@/contract/views';
import { differences } from '@/core/pricing/differences';
import { type AnyListed, listKind } from '@/core/supplier-list/lists';
import { LIST_NAMES } from '@/core/supplier-list/names';
import type { Unit } from '@/core/units/length';
import { codesOfEdition, editionBefore, editionByNumber, getShop, listMaterials } from '@/db/queries/books';
import type { Viewer } from './access';

const MOST_MATERIALS = 300;
type Material = EditionChanges['materials'][number];

/** One thing of a list, as it was and as it is: only in one of them it came or went. */
function changed(
  list: Material['list'],
  before: AnyListed | undefined,
  after: AnyListed | undefined,
  home: Unit,
): Material {
  const kind = listKind(list);
  const [from, to] = [before && kind.write(before, home), after && kind.write(after, home)];
  const { code, name } = (after ?? before)!;
  return {
    list,
    code,
    name,
    does: !before ? 'added' : !after ? 'gone' : 'changed',
    changes:
      from && to
        ? kind.columns
            .filter((field) => from[field] !== to[field])
            .map((field) => ({ field, from: from[field] ?? '', to: to[field] ?? '' }))
        : [],
  };
}

export async function editionChanges({ app }: Viewer<'owner'>, number: number): Promise<EditionChanges | undefined> {
  return app.db.read(async (db) => {
    const [edition, before] = [await editionByNumber(db, number), await editionBefore(db, number)];
    if (!edition) return undefined;
    const home = (await getShop(db))?.home_unit ?? 'in';
    const codes = new Set(await codesOfEdition(db, number));
    const [then, now] =
      codes.size > 0 ? [await listMaterials(db, before?.number ?? 0), await listMaterials(db, number)] : [];
    const materials = LIST_NAMES.flatMap((list) => {
      const of = (lists: typeof now) =>
        new Map((lists?.[list] ?? []).flatMap((one) => (codes.has(one.code) ? [[one.code, one as AnyListed]] : [])));
      const [was, is] = [of(then), of(now)];
      return [...new Set([...was.keys(), ...is.keys()])].map((code) =>
        changed(list, was.get(code), is.get(code), home),
      );
    });
    return {
      number,
      before: before?.number ?? null,
      rules: [...differences(before?.prices, edition.prices), ...differences(before?.house, edition.house)],
      materials: materials.slice(0, MOST_MATERIALS),
      more: Math.max(0, materials.length - MOST_MATERIALS),
    };
  });
}
