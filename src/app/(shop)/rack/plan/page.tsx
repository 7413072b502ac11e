import { redirect } from 'next/navigation';
import { Plan } from '@/features/rack/plan';
import { pageViewer } from '@/server/access';
import { rackView } from '@/server/rack-views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.planTheCuts };

export default async function Page() {
  const view = await rackView(await pageViewer('/rack/plan'));
  if (!view) redirect('/set-up');
  return <Plan first={view} />;
}
