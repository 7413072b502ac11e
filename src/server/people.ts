/** The people of the shop, where they are signed in, and what happened at the door. */
import { dayOf } from './clock';
import type { PersonView, SecurityView, SettingsView } from '@/contract/views';
import { USUAL_SETTINGS, readSettings } from '@/contract/settings';
import { latestSettings, settingsEditions } from '@/db/queries/settings';
import { type StaffRow, listSessions, listStaff, securityEvents } from '@/db/queries/staff';
import { type Viewer, caller } from './access';
import { sessionOf } from './sessions';

const MOST_EVENTS = 300;
const MOST_EDITIONS = 20;

const personView = ({ discount_limit: discountLimit, ...one }: Omit<StaffRow, 'pin_hash'>): PersonView => ({
  ...one,
  discountLimit,
});
/** Who works here now. */
export const staffList = async ({ app }: Viewer<'owner' | 'counter'>): Promise<PersonView[]> =>
  (await listStaff(app.db)).filter((one) => one.active).map(personView);

export async function securityView({ app }: Viewer<'owner'>): Promise<SecurityView> {
  const here = (await sessionOf(app, await caller()))?.session;
  return {
    people: (await listStaff(app.db)).map(personView),
    sessions: (await listSessions(app.db)).map((one) => ({
      id: one.id,
      staffId: one.staff_id,
      name: one.name,
      address: one.address,
      since: one.created_at.toISOString(),
      seen: one.seen_at.toISOString(),
      here: one.id === here,
    })),
    events: (await securityEvents(app.db, MOST_EVENTS)).map(({ at, ...one }) => ({ ...one, at: at.toISOString() })),
  };
}

export async function settingsView({ app }: Viewer<'owner'>): Promise<SettingsView> {
  const latest = await latestSettings(app.db);
  return {
    today: dayOf(app.clock.now()),
    edition: latest?.number ?? 0,
    settings: latest ? readSettings(latest.settings) : USUAL_SETTINGS,
    editions: (await settingsEditions(app.db, MOST_EDITIONS)).map(({ number, at, by }) => ({
      number,
      at: at.toISOString(),
      by,
    })),
    backUps: (await app.backUps?.list()) ?? [],
  };
}
