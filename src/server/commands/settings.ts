/** What the owner sets for the shop: each change is an edition, and none alters what was agreed. */
import { USUAL_SETTINGS, readSettings } from '@/contract/settings';
import { bad, good, issue } from '@/core/issue';
import { insertSettings, latestSettings } from '@/db/queries/settings';
import type { Handler } from '../door';

export const changeSettings: Handler<'change-settings'> = async (tx, { edition, settings }, { now, by }) => {
  const latest = await latestSettings(tx);
  const current = latest?.number ?? 0;
  if (current !== edition) return bad(issue('settings-stale', { seen: edition, now: current }));
  const before = latest ? readSettings(latest.settings) : USUAL_SETTINGS;
  await insertSettings(tx, current + 1, now, by, settings);
  return good({
    result: { edition: current + 1 },
    audit: [{ what: 'settings changed', entity: 'settings', entityId: String(current + 1), before, after: settings }],
    touched: ['settings'],
    security: 'settings changed',
  });
};
