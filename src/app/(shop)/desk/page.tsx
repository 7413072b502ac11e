import { redirect } from 'next/navigation';
import { z } from 'zod';
import { DeskScreen } from '@/features/desk/desk';
import { begunWith, newDraft } from '@/features/desk/draft';
import { pageViewer } from '@/server/access';
import { dayOf } from '@/server/clock';
import { beginWith } from '@/server/customers';
import { keptDraft } from '@/server/drafts';
import { shopView } from '@/server/views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.desk };

interface Asked {
  readonly searchParams: Promise<{ like?: string | string[]; for?: string | string[] }>;
}
const idOf = (text: string | string[] | undefined) => z.uuid().safeParse(text).data;

/** `like`: a piece whose design is taken over; `for`: a customer. Either begins a new order in the place of what is typed. */
export default async function Page({ searchParams }: Asked) {
  const viewer = await pageViewer('/desk');
  const asked = await searchParams;
  const [like, whose] = [idOf(asked.like), idOf(asked.for)];
  const [shop, mine, begins] = await Promise.all([
    shopView(viewer),
    keptDraft(viewer, 'new'),
    beginWith(viewer, { ...(like ? { like } : {}), ...(whose ? { for: whose } : {}) }),
  ]);
  if (!shop) redirect('/set-up');
  const fresh = newDraft(shop, dayOf(viewer.app.clock.now()));
  return (
    <DeskScreen
      key={like ?? whose ?? 'new'}
      order={null}
      who={viewer.person.id}
      mine={mine}
      shop={shop}
      fresh={fresh}
      begins={begins && begunWith(fresh, begins)}
    />
  );
}
