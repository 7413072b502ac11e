import { notFound, redirect } from 'next/navigation';
import { AgreedOrder, DeskScreen } from '@/features/desk/of-number';
import { newDraft } from '@/features/desk/draft';
import { pageViewer } from '@/server/access';
import { dayOf } from '@/server/clock';
import { keptDraft } from '@/server/drafts';
import { asAgreed, orderView, shopView } from '@/server/views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.desk };

interface Asked {
  readonly params: Promise<{ number: string }>;
  readonly searchParams: Promise<{ change?: string }>;
}

export default async function Page({ params, searchParams }: Asked) {
  const viewer = await pageViewer('/desk/[number]');
  const { number } = await params;
  const [shop, order] = await Promise.all([
    shopView(viewer),
    /^\d{1,9}$/.test(number) ? orderView(viewer, Number(number)) : undefined,
  ]);
  if (!shop) redirect('/set-up');
  if (!order) notFound();
  const changing = order.state === 'accepted' && (await searchParams).change !== undefined;
  if (order.state !== 'quoted' && !changing) return <AgreedOrder order={order} />;
  const kept = await keptDraft(viewer, order.id);
  // What was typed before it was agreed is no change of it.
  const mine = changing && kept?.base !== order.revision ? null : kept;
  return (
    <DeskScreen
      key={`${order.id}${changing ? ' change' : ''}`}
      order={changing ? asAgreed(order) : order}
      changing={changing}
      who={viewer.person.id}
      mine={mine}
      shop={shop}
      fresh={newDraft(shop, dayOf(viewer.app.clock.now()))}
    />
  );
}
