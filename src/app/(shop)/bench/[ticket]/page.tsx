import { Bench } from '@/features/bench/bench';
import { FindJob } from '@/features/bench/find-job';
import { house } from '@/server/compose';
import { jobView } from '@/server/views';

export const metadata = { title: 'Bench' };

export default async function Page({ params }: { params: Promise<{ ticket: string }> }) {
  const ticket = decodeURIComponent((await params).ticket);
  const job = await jobView(await house(), ticket);
  return job ? <Bench key={job.ticket} job={job} /> : <FindJob waiting={[]} unknown={ticket.slice(0, 20)} />;
}
