import { redirect } from 'next/navigation';
import type { ReactNode } from 'react';
import { placesOf } from '@/contract/places';
import { shopFrame } from '@/server/access';
import { unitAsked } from '@/server/unit';
import { LiveLine } from '@/ui/live';
import { Offline } from '@/ui/offline';
import { TopBar } from '@/ui/top-bar';
import { UnitProvider } from '@/ui/units';

/** What stands round every place of the shop. It guards nothing: each page asks for its viewer itself. */
export default async function ShopLayout({ children }: { children: ReactNode }) {
  const frame = await shopFrame();
  if (!frame) redirect('/sign-in');
  const { name, role } = frame.person;
  const unit = await unitAsked(frame.homeUnit);
  return (
    <UnitProvider start={unit}>
      <LiveLine />
      <Offline who={frame.person.id} />
      <TopBar person={name} role={role} {...placesOf(role)} />
      {children}
    </UnitProvider>
  );
}
