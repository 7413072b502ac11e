import { redirect } from 'next/navigation';
import { MatCutter } from '@/features/rack/mat-cutter';
import { pageViewer } from '@/server/access';
import { rackView } from '@/server/rack-views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.matCutter };

export default async function Page() {
  const view = await rackView(await pageViewer('/rack/mat-cutter'));
  if (!view) redirect('/set-up');
  return <MatCutter first={view} />;
}
