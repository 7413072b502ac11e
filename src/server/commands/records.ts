/** What is written down about a piece, and what the customer signs of it. */
import { type Outcome, bad, good, issue } from '@/core/issue';
import {
  aboutPiece,
  insertPhoto,
  insertRecord,
  knownPhotos,
  lockRecord,
  setSigned,
  updateRecord,
} from '@/db/queries/records';
import type { Tx } from '@/db/client';
import type { Handler, Readying } from '../door';
import type { KeptPhoto } from '../photos';

/** What is to be looked at again when a piece's record changes. */
async function touchedBy(tx: Tx, pieceId: string): Promise<string[]> {
  const about = await aboutPiece(tx, pieceId);
  return [`piece:${pieceId}`, ...(about?.ticket ? [`job:${about.ticket}`, 'board'] : [])];
}

/** Photos that nobody used before must be here as files. */
export const readyTakeIn: Readying<'take-in'> = async ({ record }, { app }): Promise<Outcome<KeptPhoto[]>> => {
  const known = await knownPhotos(
    app.db,
    record.photos.map(({ hash }) => hash),
  );
  const found: KeptPhoto[] = [];
  for (const [index, { hash }] of record.photos.entries()) {
    if (known.has(hash)) continue;
    const kept = await app.photos.find(hash);
    if (!kept) return bad(issue('photo-unknown', {}, `record.photos.${index}`));
    found.push(kept);
  }
  return good(found);
};

export const takeIn: Handler<'take-in'> = async (tx, { pieceId, revision, record }, { now, by, ready, role }) => {
  const before = await lockRecord(tx, pieceId);
  if ((before?.revision ?? null) !== revision) return bad(issue('record-stale'));
  // At the desk a piece has its id before its order is saved; at the bench it is there, or it is nobody's.
  if (!before && role === 'bench' && !(await aboutPiece(tx, pieceId))) return bad(issue('record-unknown'));
  for (const photo of ready as KeptPhoto[]) await insertPhoto(tx, photo, now, by);
  if (before) await updateRecord(tx, pieceId, record, now, by);
  else await insertRecord(tx, pieceId, record, now, by);
  return good({
    result: { revision: (revision ?? 0) + 1 },
    audit: [
      {
        what: before ? 'record changed' : 'taken in',
        entity: 'piece',
        entityId: pieceId,
        before: before?.record,
        after: record,
      },
    ],
    touched: await touchedBy(tx, pieceId),
  });
};

export const signRecord: Handler<'sign-record'> = async (
  tx,
  { pieceId, revision, name, strokes, value },
  { now, by },
) => {
  const found = await lockRecord(tx, pieceId);
  if (!found) return bad(issue('record-unknown'));
  if (found.revision !== revision) return bad(issue('record-stale'));
  await setSigned(tx, pieceId, { name, strokes, at: now.toISOString(), byId: by, value, record: found.record });
  return good({
    result: { revision: revision + 1 },
    audit: [{ what: 'record signed', entity: 'piece', entityId: pieceId, after: { value, onPaper: strokes === null } }],
    touched: await touchedBy(tx, pieceId),
  });
};
