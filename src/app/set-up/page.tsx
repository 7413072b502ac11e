import { redirect } from 'next/navigation';
import { SetUp } from '@/features/sign-in/set-up';
import { isSetUp } from '@/server/strangers';

export const metadata = { title: 'Set up the shop' };

export default async function Page() {
  if (await isSetUp()) redirect('/sign-in');
  return <SetUp />;
}
