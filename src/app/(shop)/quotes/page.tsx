import { Quotes } from '@/features/quotes/quotes';
import { pageViewer } from '@/server/access';
import { quotesView } from '@/server/quotes-view';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.quotes };

export default async function Page() {
  return <Quotes first={await quotesView(await pageViewer('/quotes'))} />;
}
