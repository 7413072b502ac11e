import { Collect } from '@/features/collect/collect';
import { house } from '@/server/compose';
import { findOrdersView } from '@/server/views';

export const metadata = { title: 'Collect' };

export default async function Page() {
  return <Collect start={await findOrdersView(await house(), '', ['accepted'])} />;
}
