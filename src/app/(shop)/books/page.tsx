import { redirect } from 'next/navigation';
import { Books } from '@/features/books/books';
import { house } from '@/server/compose';
import { currentPerson } from '@/server/http';
import { staffList } from '@/server/people';
import { shopView } from '@/server/views';

export const metadata = { title: 'Books' };

export default async function Page() {
  const of = await house();
  const [shop, people, person] = await Promise.all([shopView(of), staffList(of), currentPerson(of)]);
  if (!shop) redirect('/set-up');
  return <Books shop={shop} people={people} owner={person?.role === 'owner'} />;
}
