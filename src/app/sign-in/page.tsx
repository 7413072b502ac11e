import { redirect } from 'next/navigation';
import { STAFF } from '@demo/people';
import { SignIn } from '@/features/sign-in/sign-in';
import { house } from '@/server/compose';
import { staffNames } from '@/server/people';

export const metadata = { title: 'Sign in' };

export default async function Page() {
  const of = await house();
  const books = await of.books();
  if (!books) redirect('/set-up');
  return (
    <SignIn
      shop={books.shop.name}
      people={await staffNames(of)}
      demo={of.demo ? STAFF.map(({ name, role, pin }) => ({ name, role, pin })) : []}
    />
  );
}
