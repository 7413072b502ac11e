import { Me } from '@/features/settings/me';
import { pageViewer } from '@/server/access';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.yourPin };

export default async function Page() {
  const { person } = await pageViewer('/me');
  return <Me id={person.id} name={person.name} />;
}
