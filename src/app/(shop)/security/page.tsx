import { Security } from '@/features/settings/security';
import { pageViewer } from '@/server/access';
import { securityView } from '@/server/people';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.security };

export default async function Page() {
  return <Security view={await securityView(await pageViewer('/security'))} />;
}
