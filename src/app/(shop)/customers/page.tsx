import { Customers } from '@/features/customers/customers';
import { pageViewer } from '@/server/access';
import { customersFound } from '@/server/customers';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.customers };

export default async function Page({ searchParams }: { searchParams: Promise<{ add?: string }> }) {
  const viewer = await pageViewer('/customers');
  const { add } = await searchParams;
  const start = await customersFound(viewer, '');
  return <Customers start={start} owner={viewer.person.role === 'owner'} adds={add !== undefined} />;
}
