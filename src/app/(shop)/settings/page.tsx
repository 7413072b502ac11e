import { SettingsPage } from '@/features/settings/settings';
import { pageViewer } from '@/server/access';
import { settingsView } from '@/server/people';

export const metadata = { title: 'Settings' };

export default async function Page() {
  return <SettingsPage view={await settingsView(await pageViewer('/settings'))} />;
}
