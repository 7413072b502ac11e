import { FindJob } from '@/features/bench/find-job';
import { pageViewer } from '@/server/access';
import { boardView } from '@/server/views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.bench };

export default async function Page() {
  const { jobs } = await boardView(await pageViewer('/bench'));
  return <FindJob waiting={jobs.filter((job) => !job.hold && job.state !== 'ready')} />;
}
