import { redirect } from 'next/navigation';
import { DeskHere } from '@/features/desk';
import { pageViewer } from '@/server/access';
import { shopView } from '@/server/views';

export const metadata = { title: 'Desk' };

export default async function Page() {
  const shop = await shopView(await pageViewer('/desk'));
  if (!shop) redirect('/set-up');
  return <DeskHere order={null} shop={shop} />;
}
