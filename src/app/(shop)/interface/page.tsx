import { OpenInterface } from '@/features/books/open-interface';
import { openApi } from '@/server/open';

export const metadata = { title: 'Open interface' };

export default function Page() {
  return <OpenInterface document={openApi() as never} />;
}
