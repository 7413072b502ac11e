import { OpenInterface } from '@/features/books/open-interface';
import { pageViewer } from '@/server/access';
import { openApi } from '@/server/public-api';

export const metadata = { title: 'Open interface' };

export default async function Page() {
  await pageViewer('/interface');
  return <OpenInterface document={openApi() as never} />;
}
