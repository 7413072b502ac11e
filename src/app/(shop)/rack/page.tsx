import { redirect } from 'next/navigation';
import { Rack } from '@/features/rack/pieces';
import { house } from '@/server/compose';
import { rackView } from '@/server/rack-views';

export const metadata = { title: 'The rack' };

export default async function Page() {
  const view = await rackView(await house());
  if (!view) redirect('/set-up');
  return <Rack first={view} />;
}
