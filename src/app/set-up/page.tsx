import { redirect } from 'next/navigation';
import { SetUp } from '@/features/sign-in/set-up';
import { house } from '@/server/compose';

export const metadata = { title: 'Set up the shop' };

export default async function Page() {
  if (await (await house()).books()) redirect('/sign-in');
  return <SetUp />;
}
