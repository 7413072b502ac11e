import { Till } from '@/features/till/till';
import { pageViewer } from '@/server/access';
import { tillView } from '@/server/ledger-views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.till };

export default async function Page() {
  const viewer = await pageViewer('/till');
  return <Till first={await tillView(viewer)} owner={viewer.person.role === 'owner'} />;
}
