/** What lies on the rack: added by hand or by a list, taken off, counted. */
import { readRackList } from '@/core/cutting/rack-list';
import { type Issue, bad, good, issue } from '@/core/issue';
import { type ListedMaterials } from '@/core/materials';
import {
  type NewPiece,
  insertPiece,
  putStock,
  rackById,
  setPieceState,
  stockLevel,
  updatePiece,
} from '@/db/queries/rack';
import type { Handler } from '../door';

export const knownMaterials = ({ mouldings, mats, glazings, backings }: ListedMaterials) => ({
  stick: new Set(mouldings.map((one) => one.code)),
  sheet: new Set([...mats, ...glazings, ...backings].map((one) => one.code)),
});

/** What cannot be of a piece, beside its field. */
function pieceIssues(one: Pick<NewPiece, 'kind' | 'length' | 'height' | 'noGo'>): Issue[] {
  const found: Issue[] = [];
  if ((one.kind === 'sheet') !== (one.height !== null)) found.push(issue('rack-height', {}, 'height'));
  for (const zone of one.noGo)
    if (zone.to <= zone.from || zone.to > one.length)
      found.push(issue('rack-zone', { from: zone.from, to: zone.to, length: one.length }, 'noGo'));
  return found;
}

export const putRackPiece: Handler<'put-rack-piece'> = async (tx, payload, { app, now, by }) => {
  const books = await app.booksIn(tx);
  if (!books) return bad(issue('shop-unknown'));
  if (!knownMaterials(books.lists)[payload.kind].has(payload.material))
    return bad(issue('material-unknown', { code: payload.material }, 'material'));
  const wrong = pieceIssues(payload);
  if (wrong.length > 0) return bad(...wrong);
  const before = await rackById(tx, payload.id);
  if (before && (before.state !== 'there' || before.kind !== payload.kind || before.material !== payload.material))
    return bad(issue('rack-gone', { code: before.code }));
  const seen = before?.revision ?? null;
  if (seen !== payload.revision) return bad(issue('rack-stale', { code: before?.code ?? '' }));
  const code = before?.code ?? (await insertPiece(tx, { ...payload, origin: 'typed' }, now, by));
  if (before) await updatePiece(tx, payload);
  return good({
    result: { code },
    audit: [{ what: before ? 'changed' : 'added', entity: 'rack', entityId: payload.id, before, after: payload }],
    touched: ['rack'],
  });
};

export const removeRackPiece: Handler<'remove-rack-piece'> = async (tx, { id, revision, reason }) => {
  const before = await rackById(tx, id);
  if (!before || before.state !== 'there') return bad(issue('rack-gone', { code: before?.code ?? '' }));
  if (before.revision !== revision) return bad(issue('rack-stale', { code: before.code }));
  await setPieceState(tx, [id], 'gone');
  return good({
    audit: [{ what: 'taken off', entity: 'rack', entityId: id, before, after: { reason } }],
    touched: ['rack'],
  });
};

export const setStock: Handler<'set-stock'> = async (tx, { material, onHand, minimum, revision }, { app }) => {
  const books = await app.booksIn(tx);
  const known = books && knownMaterials(books.lists);
  if (!known || !(known.stick.has(material) || known.sheet.has(material)))
    return bad(issue('material-unknown', { code: material }, 'material'));
  const before = await stockLevel(tx, material);
  if ((before?.revision ?? null) !== revision) return bad(issue('rack-stale', { code: material }));
  await putStock(tx, material, onHand, minimum);
  return good({
    audit: [{ what: 'counted', entity: 'stock', entityId: material, before, after: { onHand, minimum } }],
    touched: ['rack'],
  });
};

export const importRack: Handler<'import-rack'> = async (tx, { text, file }, { app, now, by }) => {
  const books = await app.booksIn(tx);
  if (!books) return bad(issue('shop-unknown'));
  const { pieces, issues } = readRackList(text, knownMaterials(books.lists));
  const wrong = [
    ...issues,
    ...pieces.flatMap((one, at) => pieceIssues(one).map((found) => ({ ...found, path: `row ${at + 1}` }))),
  ];
  if (wrong.length > 0) return bad(...wrong.slice(0, 40));
  for (const one of pieces) await insertPiece(tx, { ...one, id: crypto.randomUUID(), origin: 'list' }, now, by);
  return good({
    result: { added: pieces.length },
    audit: [{ what: 'list taken', entity: 'rack', entityId: file || 'list', after: { file, added: pieces.length } }],
    touched: ['rack'],
  });
};
