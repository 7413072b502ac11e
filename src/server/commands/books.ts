/** The books change by editions: a rule of price, all prices from a day on, boards and glass by hand. */
import { type Issue, type Outcome, bad, good, issue } from '@/core/issue';
import {
  type EditionContent,
  articleKinds,
  editionByNumber,
  insertEdition,
  listMaterials,
  materialPlaces,
  newestEdition,
  putMaterials,
  retireMaterial,
  withdrawEdition,
} from '@/db/queries/books';
import type { Payload } from '@/contract/commands';
import type { Queries, Tx } from '@/db/client';
import { dayOf } from '../clock';
import type { Handler } from '../door';

/** A cell that a spreadsheet would run: kept out of every name. */
const FORMULA = /^[=+\-@\t]/;

/**
 * What a new edition is a change of: the newest one. Refused when it is not the one that was seen, or when it only
 * begins after the new one would: that one is changed or taken back first.
 */
export async function nextFrom(db: Queries, seen: number, starts: string): Promise<Outcome<EditionContent>> {
  const newest = await newestEdition(db);
  if (!newest?.prices || !newest.house) return bad(issue('shop-unknown'));
  if (newest.starts > starts)
    return bad(issue('edition-scheduled', { edition: newest.number, starts: newest.starts }, 'starts'));
  if (newest.number !== seen) return bad(issue('books-stale', { seen, now: newest.number }));
  return good({ prices: newest.prices, house: newest.house });
}

export const setGroupRule: Handler<'set-group-rule'> = async (tx, { edition, group, rule }, { now, by }) => {
  const base = await nextFrom(tx, edition, dayOf(now));
  if (!base.ok) return base;
  const { prices, house } = base.value;
  const before = prices.groups[group];
  // What the page does not ask about stays as it was.
  const { chart: _chart, minimum: _minimum, ...kept } = before;
  const after = { ...kept, ...rule };
  const next = await insertEdition(tx, {
    prices: { ...prices, groups: { ...prices.groups, [group]: after } },
    house,
    at: now,
    by,
    why: `price rule of ${group}`,
    starts: dayOf(now),
  });
  return good({
    result: { edition: next },
    audit: [
      {
        what: 'price rule set',
        entity: 'books',
        entityId: String(next),
        before: { group, rule: before },
        after: { group, rule: after },
      },
    ],
    touched: ['books'],
  });
};

/** What a new order was to begin with from now on, and the books do not hold. */
async function notListed(
  tx: Tx,
  edition: number,
  house: EditionContent['house'],
  before: EditionContent['house'],
): Promise<Issue[]> {
  const lists = await listMaterials(tx, edition);
  const kept = (list: readonly { code: string }[], code: string | undefined) =>
    code === undefined || list.some((one) => one.code === code);
  const found = {
    mat: kept(lists.mats, house.mat),
    moulding: kept(lists.mouldings, house.moulding),
    glazing: kept(lists.glazings, house.glazing),
    backing: kept(lists.backings, house.backing),
    mirror: kept(lists.glazings, house.mirror),
    boxBoard: kept(lists.backings, house.boxBoard),
    mountBoard: kept([...lists.mats, ...lists.backings], house.mountBoard),
  };
  return (Object.keys(found) as (keyof typeof found)[])
    .filter((key) => !found[key] && house[key] !== before[key])
    .map((key) => issue('material-unknown', { code: house[key]! }, `house.${key}`));
}

export const setPrices: Handler<'set-prices'> = async (
  tx,
  { edition, starts, why, rules, house: wanted },
  { now, by },
) => {
  if (starts < dayOf(now)) return bad(issue('edition-past', { day: starts }, 'starts'));
  const base = await nextFrom(tx, edition, starts);
  if (!base.ok) return base;
  const { prices } = base.value;
  const house = wanted ?? base.value.house;
  const unknown = wanted ? await notListed(tx, edition, wanted, base.value.house) : [];
  if (unknown.length > 0) return bad(...unknown);
  const next = await insertEdition(tx, {
    prices: { groups: prices.groups, ...rules },
    house,
    at: now,
    by,
    why,
    starts,
  });
  const { groups: _groups, ...before } = prices;
  return good({
    result: { edition: next },
    audit: [{ what: 'prices set', entity: 'books', entityId: String(next), before, after: { starts, ...rules } }],
    touched: ['books'],
  });
};

export const takeBackEdition: Handler<'withdraw-edition'> = async (tx, { edition }, { now }) => {
  const found = await editionByNumber(tx, edition);
  if (!found || !(await withdrawEdition(tx, edition, dayOf(now)))) return bad(issue('edition-begun', { edition }));
  return good({
    audit: [
      {
        what: 'edition taken back',
        entity: 'books',
        entityId: String(edition),
        before: { starts: found.starts, why: found.why },
      },
    ],
    touched: ['books'],
  });
};

/** What stands in the way of changing these sheets, beside its row. */
async function sheetsRefused(
  tx: Tx,
  { put, gone, edition }: Payload<'change-sheets'>,
  house: EditionContent['house'],
): Promise<Issue[]> {
  const kinds = await articleKinds(tx, [...put.map(({ spec }) => spec.code), ...gone]);
  const lists = await listMaterials(tx, edition);
  const sold = new Set([...lists.mats, ...lists.glazings, ...lists.backings].map(({ code }) => code));
  const needed: readonly (string | undefined)[] = Object.values(house);
  const seen = new Set<string>();
  const issues: Issue[] = [];
  for (const [index, { kind, spec }] of put.entries()) {
    const known = kinds.get(spec.code);
    if (known !== undefined && known !== kind)
      issues.push(issue('code-taken', { code: spec.code, kind: known }, `put.${index}.spec.code`));
    if (seen.has(spec.code) || gone.includes(spec.code))
      issues.push(issue('code-twice', { code: spec.code }, `put.${index}.spec.code`));
    if (FORMULA.test(spec.name))
      issues.push(issue('list-formula', { read: spec.name.slice(0, 20) }, `put.${index}.spec.name`));
    seen.add(spec.code);
  }
  for (const [index, code] of gone.entries()) {
    if (!sold.has(code)) issues.push(issue('material-unknown', { code }, `gone.${index}`));
    if (needed.includes(code)) issues.push(issue('article-needed', { code }, `gone.${index}`));
  }
  return issues;
}

export const changeSheets: Handler<'change-sheets'> = async (tx, payload, { now, by }) => {
  const { edition, put, gone } = payload;
  const base = await nextFrom(tx, edition, dayOf(now));
  if (!base.ok) return base;
  const refused = await sheetsRefused(tx, payload, base.value.house);
  if (refused.length > 0) return bad(...refused);
  if (put.length + gone.length === 0) return bad(issue('list-unchanged'));
  const names = [...put.map(({ spec }) => spec.name), ...gone].join(', ');
  const next = await insertEdition(tx, { ...base.value, at: now, by, why: names.slice(0, 120), starts: dayOf(now) });
  const places = await materialPlaces(tx);
  let last = Math.max(-1, ...places.values());
  const placed = put.map(({ kind, spec }) => ({ kind, spec, position: places.get(spec.code) ?? (last += 1) }));
  await putMaterials(tx, next, placed);
  for (const code of gone) await retireMaterial(tx, next, code);
  return good({
    result: { edition: next },
    audit: [
      {
        what: 'materials changed',
        entity: 'books',
        entityId: String(next),
        before: { edition },
        after: { put: put.map(({ spec }) => spec), gone },
      },
    ],
    touched: ['books'],
  });
};
