import { Collect } from '@/features/collect/collect';
import { pageViewer } from '@/server/access';
import { findOrdersView } from '@/server/views';

export const metadata = { title: 'Collect' };

export default async function Page() {
  return <Collect start={await findOrdersView(await pageViewer('/collect'), '', ['accepted'])} />;
}
