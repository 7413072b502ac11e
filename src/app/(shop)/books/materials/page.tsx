import { redirect } from 'next/navigation';
import { Materials } from '@/features/materials/materials';
import { pageViewer } from '@/server/access';
import { staffList } from '@/server/people';
import { shopView } from '@/server/views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.materials };

export default async function Page() {
  const viewer = await pageViewer('/books/materials');
  const shop = await shopView(viewer);
  if (!shop) redirect('/set-up');
  const first = { shop, people: await staffList(viewer) };
  return <Materials first={first} owner={viewer.person.role === 'owner'} />;
}
