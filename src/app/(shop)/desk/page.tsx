import { redirect } from 'next/navigation';
import { DeskScreen } from '@/features/desk';
import { newDraft } from '@/features/desk/draft';
import { pageViewer } from '@/server/access';
import { dayOf } from '@/server/clock';
import { keptDraft } from '@/server/drafts';
import { shopView } from '@/server/views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.desk };

export default async function Page() {
  const viewer = await pageViewer('/desk');
  const [shop, mine] = await Promise.all([shopView(viewer), keptDraft(viewer, 'new')]);
  if (!shop) redirect('/set-up');
  return (
    <DeskScreen
      order={null}
      who={viewer.person.id}
      mine={mine}
      shop={shop}
      fresh={newDraft(shop, dayOf(viewer.app.clock.now()))}
    />
  );
}
