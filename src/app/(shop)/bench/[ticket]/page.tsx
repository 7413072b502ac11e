import { Bench } from '@/features/bench/bench';
import { FindJob } from '@/features/bench/find-job';
import { pageViewer } from '@/server/access';
import { decoded } from '@/server/texts';
import { jobView } from '@/server/views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.bench };

export default async function Page({ params }: { params: Promise<{ ticket: string }> }) {
  const viewer = await pageViewer('/bench/[ticket]');
  const ticket = decoded((await params).ticket);
  const job = await jobView(viewer, ticket);
  return job ? <Bench key={job.ticket} job={job} /> : <FindJob waiting={[]} unknown={ticket.slice(0, 20)} />;
}
