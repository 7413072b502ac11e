import { FindJob } from '@/features/bench/find-job';
import { house } from '@/server/compose';
import { boardView } from '@/server/views';

export const metadata = { title: 'Bench' };

export default async function Page() {
  const { jobs } = await boardView(await house());
  return <FindJob waiting={jobs.filter((job) => !job.hold && job.state !== 'ready')} />;
}
