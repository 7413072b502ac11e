import { redirect } from 'next/navigation';
import { Prices } from '@/features/prices/prices';
import { pageViewer } from '@/server/access';
import { pricesView } from '@/server/prices-view';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.prices };

export default async function Page() {
  const view = await pricesView(await pageViewer('/books/prices'));
  if (!view) redirect('/set-up');
  return <Prices first={view} />;
}
