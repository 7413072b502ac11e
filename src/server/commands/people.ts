/** Setting the shop up, its staff and its customers. PINs are hashed before the transaction: it takes long on purpose. */
import { timingSafeEqual } from 'node:crypto';
import { bad, good, issue } from '@/core/issue';
import type { Unit } from '@/core/units/length';
import { getShop, insertShop } from '@/db/queries/books';
import {
  activeOwners,
  endSessionsOf,
  insertStaff,
  lockStaff,
  setDiscountLimit,
  setPinHash,
  setStaffActive,
  staffById,
  staffByName,
} from '@/db/queries/staff';
import type { Handler, Readying } from '../door';
import { askingPlaces, tryPin } from '../pin-tries';
import { hashPin } from '../pins';
import { logSecurity } from '../security-log';
import { firstBooks } from '../starting-books';

const codeFits = (typed: string, wanted: string) => {
  const [a, b] = [typed, wanted].map((text) => Buffer.from(text.replace(/[^0-9a-z]/gi, '').toUpperCase()));
  return a!.length === b!.length && timingSafeEqual(a!, b!);
};

/** A new shop belongs to who can read its console. */
export const readySetUp: Readying<'set-up-shop'> = async ({ pin, code }, { app, address = 'local' }) => {
  if (app.setUpCode !== undefined && !codeFits(code, app.setUpCode)) {
    await logSecurity(app, { what: 'set-up code wrong', address });
    return bad(issue('set-up-code', {}, 'code'));
  }
  return good(await hashPin(pin));
};

export const setUpShop: Handler<'set-up-shop'> = async (tx, payload, { now, ready }) => {
  if (await getShop(tx)) return bad(issue('shop-exists'));
  const id = crypto.randomUUID();
  const homeUnit: Unit = payload.homeUnit;
  await insertShop(tx, {
    name: payload.shop,
    home_unit: homeUnit,
    demo: false,
  });
  await insertStaff(tx, { id, name: payload.owner, role: 'owner', pin_hash: ready as string });
  await firstBooks(tx, { at: now, by: id, unit: homeUnit, tax: payload.tax });
  const after = { shop: payload.shop, homeUnit, owner: payload.owner, ...(payload.tax ? { tax: payload.tax } : {}) };
  return good({
    audit: [{ what: 'set up', entity: 'shop', entityId: '1', after }],
    touched: ['books'],
    security: 'shop set up',
  });
};

export const readyPin: Readying<'add-staff' | 're-admit-person'> = async ({ pin }) => good(await hashPin(pin));

export const addStaff: Handler<'add-staff'> = async (tx, { id, name, role }, { ready }) => {
  if (await staffByName(tx, name)) return bad(issue('name-taken', { name }, 'name'));
  await insertStaff(tx, { id, name, role, pin_hash: ready as string });
  return good({
    audit: [{ what: 'added', entity: 'staff', entityId: id, after: { name, role } }],
    touched: ['staff'],
    security: 'person added',
  });
};

/** The PIN that was is looked at before the transaction; the owner may set another's without it. */
export const readyChange: Readying<'change-pin'> = async ({ staffId, was, pin }, context) => {
  const { app, by, address = 'local' } = context;
  const [staff, asker] = [await staffById(app.db, staffId), by === null ? undefined : await staffById(app.db, by)];
  if (!staff || !asker) return bad(issue('staff-unknown'));
  if (by !== staffId)
    return asker.role === 'owner' ? good(await hashPin(pin)) : bad(issue('role-not-permitted', { role: asker.role }));
  const right = await tryPin(app, [staff], was, { places: await askingPlaces(app, context), address });
  if (!right.ok) return bad(...right.issues.map((one) => ({ ...one, path: 'was' })));
  return good(await hashPin(pin));
};
export const changePin: Handler<'change-pin'> = async (tx, { staffId }, { ready, session }) => {
  const staff = await lockStaff(tx, staffId);
  if (!staff?.active) return bad(issue('staff-unknown'));
  await setPinHash(tx, staffId, ready as string);
  return good({
    audit: [{ what: 'PIN changed', entity: 'staff', entityId: staffId }],
    touched: ['staff'],
    security: 'PIN changed',
    ended: await endSessionsOf(tx, staffId, session),
  });
};

export const setLimit: Handler<'set-discount-limit'> = async (tx, { staffId, percent }) => {
  const staff = await lockStaff(tx, staffId);
  if (!staff?.active) return bad(issue('staff-unknown'));
  await setDiscountLimit(tx, staffId, percent);
  const [before, after] = [{ percent: staff.discount_limit }, { percent }];
  return good({
    audit: [{ what: 'discount limit set', entity: 'staff', entityId: staffId, before, after }],
    touched: ['staff'],
  });
};

export const removePerson: Handler<'remove-person'> = async (tx, { staffId }) => {
  const staff = await lockStaff(tx, staffId);
  if (!staff?.active) return bad(issue('staff-unknown'));
  if (staff.role === 'owner' && (await activeOwners(tx)) === 1) return bad(issue('last-owner', { name: staff.name }));
  await setStaffActive(tx, staffId, false);
  return good({
    audit: [
      { what: 'removed', entity: 'staff', entityId: staffId, before: { active: true }, after: { active: false } },
    ],
    touched: ['staff'],
    security: 'person removed',
    ended: await endSessionsOf(tx, staffId),
  });
};

export const reAdmitPerson: Handler<'re-admit-person'> = async (tx, { staffId }, { ready }) => {
  const staff = await lockStaff(tx, staffId);
  if (!staff || staff.active) return bad(issue('staff-unknown'));
  if (await staffByName(tx, staff.name)) return bad(issue('name-taken', { name: staff.name }, 'name'));
  await setPinHash(tx, staffId, ready as string);
  await setStaffActive(tx, staffId, true);
  return good({
    audit: [
      { what: 're-admitted', entity: 'staff', entityId: staffId, before: { active: false }, after: { active: true } },
    ],
    touched: ['staff'],
    security: 'person re-admitted',
  });
};

/** One's own, or anybody's by the owner; not the session that asks. */
export const endSessions: Handler<'end-sessions'> = async (tx, { staffId }, { by, session }) => {
  const [staff, asker] = [await staffById(tx, staffId), by === null ? undefined : await staffById(tx, by)];
  if (!staff || !asker) return bad(issue('staff-unknown'));
  if (by !== staffId && asker.role !== 'owner') return bad(issue('role-not-permitted', { role: asker.role }));
  const ended = await endSessionsOf(tx, staffId, session);
  return good({
    result: { ended: ended.length },
    audit: [{ what: 'sessions ended', entity: 'staff', entityId: staffId, after: { ended: ended.length } }],
    touched: ['staff'],
    security: 'sessions ended',
    ended,
  });
};
