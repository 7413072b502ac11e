/** What is above a person's limit is allowed by an owner, who types their PIN at that screen, for that once. */
import { type Outcome, bad, good } from '@/core/issue';
import { listOwners } from '@/db/queries/staff';
import type { Context } from './door';
import { askingPlaces, tryPin } from './pin-tries';

/** All who ask an owner's PIN together: it slows what an owner allows, never an owner's own sign-in. */
const ALL_ASKERS = 'approvals';

/** True when the PIN is an owner's; false where none was typed. A wrong one is counted, and refused. */
export async function ownersPin(pin: string | undefined, context: Context): Promise<Outcome<boolean>> {
  if (pin === undefined) return good(false);
  const { app, address = 'local' } = context;
  const owners = await listOwners(app.db);
  const places = [ALL_ASKERS, ...(await askingPlaces(app, context))] as const;
  const right = await tryPin(app, owners, pin, { places, address });
  return right.ok ? good(true) : bad(...right.issues);
}
