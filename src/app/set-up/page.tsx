import { redirect } from 'next/navigation';
import { SetUp } from '@/features/sign-in/set-up';
import { isSetUp } from '@/server/strangers';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.setUpTheShop };

export default async function Page() {
  if (await isSetUp()) redirect('/sign-in');
  return <SetUp />;
}
