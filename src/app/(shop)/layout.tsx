import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import type { ReactNode } from 'react';
import { house } from '@/server/compose';
import { currentPerson } from '@/server/http';
import { TopBar } from '@/ui/top-bar';
import { UnitProvider } from '@/ui/units';

export default async function ShopLayout({ children }: { children: ReactNode }) {
  const of = await house();
  const person = await currentPerson(of);
  if (!person) redirect('/sign-in');
  const books = await of.books();
  const kept = (await cookies()).get('unit')?.value;
  const unit = kept === 'in' || kept === 'mm' ? kept : (books?.settings.homeUnit ?? 'in');
  return (
    <UnitProvider start={unit}>
      <TopBar person={person.name} role={person.role} />
      {children}
    </UnitProvider>
  );
}
