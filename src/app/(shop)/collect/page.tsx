import { Collect } from '@/features/collect/collect';
import { pageViewer } from '@/server/access';
import { findOrdersView } from '@/server/views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.collect };

export default async function Page() {
  return <Collect start={await findOrdersView(await pageViewer('/collect'), '', ['accepted'])} />;
}
