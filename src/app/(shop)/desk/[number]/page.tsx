import { notFound, redirect } from 'next/navigation';
import { AgreedOrder, DeskScreen } from '@/features/desk';
import { newDraft } from '@/features/desk/draft';
import { pageViewer } from '@/server/access';
import { dayOf } from '@/server/clock';
import { keptDraft } from '@/server/drafts';
import { orderView, shopView } from '@/server/views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.desk };

export default async function Page({ params }: { params: Promise<{ number: string }> }) {
  const viewer = await pageViewer('/desk/[number]');
  const { number } = await params;
  const [shop, order] = await Promise.all([
    shopView(viewer),
    /^\d{1,9}$/.test(number) ? orderView(viewer, Number(number)) : undefined,
  ]);
  if (!shop) redirect('/set-up');
  if (!order) notFound();
  if (order.state !== 'quoted') return <AgreedOrder order={order} />;
  const mine = await keptDraft(viewer, order.id);
  return (
    <DeskScreen
      key={order.id}
      order={order}
      who={viewer.person.id}
      mine={mine}
      shop={shop}
      fresh={newDraft(shop, dayOf(viewer.app.clock.now()))}
    />
  );
}
