import { notFound, redirect } from 'next/navigation';
import { AgreedOrder, DeskHere } from '@/features/desk';
import { house } from '@/server/compose';
import { orderView, shopView } from '@/server/views';

export const metadata = { title: 'Desk' };

export default async function Page({ params }: { params: Promise<{ number: string }> }) {
  const { number } = await params;
  const of = await house();
  const [shop, order] = await Promise.all([
    shopView(of),
    /^\d{1,9}$/.test(number) ? orderView(of, Number(number)) : undefined,
  ]);
  if (!shop) redirect('/set-up');
  if (!order) notFound();
  if (order.state === 'quoted') return <DeskHere key={order.id} order={order} shop={shop} />;
  return <AgreedOrder order={order} />;
}
