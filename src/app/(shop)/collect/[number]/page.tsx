import { notFound } from 'next/navigation';
import { Account } from '@/features/collect/account';
import { house } from '@/server/compose';
import { orderView } from '@/server/views';

export const metadata = { title: 'Collect' };

export default async function Page({ params }: { params: Promise<{ number: string }> }) {
  const { number } = await params;
  const order = /^\d{1,9}$/.test(number) ? await orderView(await house(), Number(number)) : undefined;
  if (!order) notFound();
  return <Account order={order} />;
}
