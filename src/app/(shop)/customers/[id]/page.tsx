import { notFound } from 'next/navigation';
import { z } from 'zod';
import { CustomerPage } from '@/features/customers/customer-page';
import { pageViewer } from '@/server/access';
import { customerPage } from '@/server/customers';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.customers };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const viewer = await pageViewer('/customers/[id]');
  const { id } = await params;
  const view = z.uuid().safeParse(id).success ? await customerPage(viewer, id) : undefined;
  if (!view) notFound();
  return <CustomerPage key={view.id} view={view} owner={viewer.person.role === 'owner'} joined={view.id !== id} />;
}
