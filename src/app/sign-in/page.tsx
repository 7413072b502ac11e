import { redirect } from 'next/navigation';
import { SignIn } from '@/features/sign-in/sign-in';
import { signInView } from '@/server/strangers';

export const metadata = { title: 'Sign in' };

export default async function Page() {
  const view = await signInView();
  if (!view) redirect('/set-up');
  return <SignIn {...view} />;
}
