/** What is above a person's limit is allowed by an owner, who types their PIN at that screen, for that once. */
import { type Outcome, bad, good, issue } from '@/core/issue';
import { listStaff, staffById } from '@/db/queries/staff';
import type { Context } from './door';
import { tryPin } from './pin-tries';

/** True when the PIN is an owner's; false where none was typed. A wrong one is counted as at sign-in, and refused. */
export async function ownersPin(
  pin: string | undefined,
  { app, address = 'local', session }: Context,
): Promise<Outcome<boolean>> {
  if (pin === undefined) return good(false);
  const owners = (await listStaff(app.db)).filter(({ role, active }) => role === 'owner' && active);
  let wrong: Outcome<never> = bad(issue('pin-wrong', {}, 'pin'));
  for (const { id } of owners) {
    const owner = await staffById(app.db, id);
    if (!owner) continue;
    const right = await tryPin(app, owner, pin, { place: `owner ${session ?? address}`, address });
    if (right.ok) return good(true);
    wrong = bad(...right.issues.map((one) => ({ ...one, path: 'pin' })));
  }
  return wrong;
}
