import { SettingsPage } from '@/features/settings/settings';
import { pageViewer } from '@/server/access';
import { settingsView } from '@/server/people';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.settings };

export default async function Page() {
  return <SettingsPage view={await settingsView(await pageViewer('/settings'))} />;
}
