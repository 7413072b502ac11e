/** Designs that the house begins with: kept from a piece at the desk, and dropped. */
import { asHouseDesign } from '@/core/design/house';
import { bad, good, issue } from '@/core/issue';
import { countHouseDesigns, dropHouseDesign, houseDesignById, putHouseDesign } from '@/db/queries/house';
import type { Handler } from '../door';

const MOST = 200;

export const keepHouseDesign: Handler<'keep-house-design'> = async (tx, { id, name, design }, { now, by }) => {
  if ((await countHouseDesigns(tx)) >= MOST) return bad(issue('house-designs-full', { most: MOST }));
  const kept = { id, name, kind: design.piece.kind, design: asHouseDesign(design) };
  const before = await putHouseDesign(tx, kept, now, by);
  return good({
    audit: [{ what: 'kept', entity: 'house design', entityId: id, ...(before ? { before } : {}), after: kept }],
    touched: ['house'],
  });
};

export const dropHouse: Handler<'drop-house-design'> = async (tx, { id }) => {
  const before = await houseDesignById(tx, id);
  if (!before) return bad(issue('house-design-unknown'));
  await dropHouseDesign(tx, id);
  return good({ audit: [{ what: 'dropped', entity: 'house design', entityId: id, before }], touched: ['house'] });
};
