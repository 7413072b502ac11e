import { redirect } from 'next/navigation';
import { SignIn } from '@/features/sign-in/sign-in';
import { signInView } from '@/server/strangers';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.signIn };

export default async function Page() {
  const view = await signInView();
  if (!view) redirect('/set-up');
  return <SignIn {...view} />;
}
