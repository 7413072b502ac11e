import { redirect } from 'next/navigation';
import { startOf } from '@/contract/access';
import { shopFrame } from '@/server/access';

export default async function Home() {
  const frame = await shopFrame();
  redirect(frame ? startOf(frame.person.role) : '/sign-in');
}
