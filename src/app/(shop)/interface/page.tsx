import { OpenInterface } from '@/features/books/open-interface';
import { pageViewer } from '@/server/access';
import { openApi } from '@/server/public-api';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.openInterface };

export default async function Page() {
  await pageViewer('/interface');
  return <OpenInterface document={openApi() as never} />;
}
