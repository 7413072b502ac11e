import { redirect } from 'next/navigation';
import { Rack } from '@/features/rack/pieces';
import { pageViewer } from '@/server/access';
import { rackView } from '@/server/rack-views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.theRack };

export default async function Page() {
  const view = await rackView(await pageViewer('/rack'));
  if (!view) redirect('/set-up');
  return <Rack first={view} />;
}
