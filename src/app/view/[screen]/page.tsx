import { notFound } from 'next/navigation';
import { ShownScreen } from '@/features/view/shown-screen';
import { pageViewer } from '@/server/access';
import { shownView } from '@/server/shown-view';
import { LiveLine } from '@/ui/live';
import { Offline } from '@/ui/offline';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.screen };

export default async function Page({ params }: { params: Promise<{ screen: string }> }) {
  const viewer = await pageViewer('/view/[screen]');
  const { screen } = await params;
  const first = await shownView(viewer, screen);
  if (!first) notFound();
  const { name, role } = viewer.person;
  return (
    <>
      <LiveLine />
      <Offline who={viewer.person.id} />
      <ShownScreen first={first} screen={screen} device={role === 'view' ? name : undefined} />
    </>
  );
}
