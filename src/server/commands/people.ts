/** Setting the shop up, its staff and its customers. */
import { bad, good, issue } from '@/core/issue';
import type { Unit } from '@/core/units/length';
import { getShop, insertEdition, insertShop, putMaterial } from '@/db/queries/books';
import { insertCustomer } from '@/db/queries/orders';
import { insertStaff, staffByName } from '@/db/queries/staff';
import type { Handler } from '../door';
import { hashPin } from '../pins';
import { STARTING_BACKINGS, STARTING_GLAZINGS, STARTING_HOUSE, STARTING_MATS, startingPrices } from '../starting-books';

export const setUpShop: Handler<'set-up-shop'> = async (tx, payload, { now }) => {
  if (await getShop(tx)) return bad(issue('shop-exists'));
  const id = crypto.randomUUID();
  const homeUnit: Unit = payload.homeUnit;
  await insertShop(tx, {
    name: payload.shop,
    home_unit: homeUnit,
    prices: startingPrices(),
    house: STARTING_HOUSE,
    demo: false,
  });
  await insertEdition(tx, 1, now, payload.owner, 'first books');
  for (const [index, mat] of STARTING_MATS.entries()) await putMaterial(tx, 'mat', mat, index);
  for (const [index, glazing] of STARTING_GLAZINGS.entries()) await putMaterial(tx, 'glazing', glazing, index);
  for (const [index, backing] of STARTING_BACKINGS.entries()) await putMaterial(tx, 'backing', backing, index);
  await insertStaff(tx, { id, name: payload.owner, role: 'owner', pin_hash: await hashPin(payload.pin) });
  const after = { shop: payload.shop, homeUnit, owner: payload.owner };
  return good({ audit: [{ what: 'set up', entity: 'shop', entityId: '1', after }], touched: ['books'] });
};

export const addStaff: Handler<'add-staff'> = async (tx, { id, name, pin, role }) => {
  if (await staffByName(tx, name)) return bad(issue('name-taken', { name }, 'name'));
  await insertStaff(tx, { id, name, role, pin_hash: await hashPin(pin) });
  return good({ audit: [{ what: 'added', entity: 'staff', entityId: id, after: { name, role } }], touched: ['staff'] });
};

export const addCustomer: Handler<'add-customer'> = async (tx, payload, { now }) => {
  await insertCustomer(tx, payload, now);
  return good({
    audit: [{ what: 'added', entity: 'customer', entityId: payload.id, after: payload }],
    touched: ['customers'],
  });
};
