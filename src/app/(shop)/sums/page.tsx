import { SumsHere } from '@/features/sums';
import { house } from '@/server/compose';
import { jobView } from '@/server/views';

export const metadata = { title: 'Bench sums' };

export default async function Page({ searchParams }: { searchParams: Promise<{ job?: string; sum?: string }> }) {
  const { job: ticket, sum } = await searchParams;
  const job = ticket ? await jobView(await house(), ticket) : undefined;
  return <SumsHere key={ticket ?? ''} job={job ?? null} first={sum} />;
}
