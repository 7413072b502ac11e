import { notFound } from 'next/navigation';
import { frontScene } from '@/core/drawing/front';
import { Account } from '@/features/collect/account';
import { pageViewer } from '@/server/access';
import { orderView } from '@/server/views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.collect };

export default async function Page({ params }: { params: Promise<{ number: string }> }) {
  const viewer = await pageViewer('/collect/[number]');
  const { number } = await params;
  const order = /^\d{1,9}$/.test(number) ? await orderView(viewer, Number(number)) : undefined;
  if (!order) notFound();
  const pictures = order.pieces.flatMap(({ id, agreed }) =>
    agreed ? [[id, frontScene(agreed, false, order.pictures[id])] as const] : [],
  );
  return <Account order={order} pictures={Object.fromEntries(pictures)} owner={viewer.person.role === 'owner'} />;
}
