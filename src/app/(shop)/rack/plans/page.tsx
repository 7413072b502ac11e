import { redirect } from 'next/navigation';
import { PlansMade } from '@/features/rack/made';
import { WasteChart } from '@/features/rack/waste-chart';
import { pageViewer } from '@/server/access';
import { rackView } from '@/server/rack-views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.plansMade };

export default async function Page() {
  const view = await rackView(await pageViewer('/rack/plans'));
  if (!view) redirect('/set-up');
  return <PlansMade first={view} chart={<WasteChart plans={view.plans} />} />;
}
