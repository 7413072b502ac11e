import { redirect } from 'next/navigation';
import { Books } from '@/features/books/books';
import { pageViewer } from '@/server/access';
import { staffList } from '@/server/people';
import { shopView } from '@/server/views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.books };

export default async function Page({ searchParams }: { searchParams: Promise<{ find?: string | string[] }> }) {
  const viewer = await pageViewer('/books');
  const shop = await shopView(viewer);
  if (!shop) redirect('/set-up');
  const first = { shop, people: await staffList(viewer) };
  const { find } = await searchParams;
  const asked = typeof find === 'string' ? find.slice(0, 80) : '';
  return <Books key={asked} first={first} owner={viewer.person.role === 'owner'} find={asked} />;
}
