import { Me } from '@/features/settings/me';
import { pageViewer } from '@/server/access';

export const metadata = { title: 'Your PIN' };

export default async function Page() {
  const { person } = await pageViewer('/me');
  return <Me id={person.id} name={person.name} />;
}
