import { redirect } from 'next/navigation';
import { MatCutter } from '@/features/rack/mat-cutter';
import { house } from '@/server/compose';
import { rackView } from '@/server/rack-views';

export const metadata = { title: 'Mat cutter' };

export default async function Page() {
  const view = await rackView(await house());
  if (!view) redirect('/set-up');
  return <MatCutter first={view} />;
}
