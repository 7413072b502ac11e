import { Security } from '@/features/settings/security';
import { pageViewer } from '@/server/access';
import { securityView } from '@/server/people';

export const metadata = { title: 'Security' };

export default async function Page() {
  return <Security view={await securityView(await pageViewer('/security'))} />;
}
