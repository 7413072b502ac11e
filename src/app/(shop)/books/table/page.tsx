import { redirect } from 'next/navigation';
import { Lists } from '@/features/books/grid/lists';
import { pageViewer } from '@/server/access';
import { listTables } from '@/server/list-views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.lists };

export default async function Page() {
  const viewer = await pageViewer('/books/table');
  const first = await listTables(viewer);
  return first.edition === 0 ? redirect('/set-up') : <Lists first={first} />;
}
