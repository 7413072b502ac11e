import { notFound, redirect } from 'next/navigation';
import { AgreedOrder, DeskHere } from '@/features/desk';
import { pageViewer } from '@/server/access';
import { orderView, shopView } from '@/server/views';

export const metadata = { title: 'Desk' };

export default async function Page({ params }: { params: Promise<{ number: string }> }) {
  const viewer = await pageViewer('/desk/[number]');
  const { number } = await params;
  const [shop, order] = await Promise.all([
    shopView(viewer),
    /^\d{1,9}$/.test(number) ? orderView(viewer, Number(number)) : undefined,
  ]);
  if (!shop) redirect('/set-up');
  if (!order) notFound();
  if (order.state === 'quoted') return <DeskHere key={order.id} order={order} shop={shop} />;
  return <AgreedOrder order={order} />;
}
