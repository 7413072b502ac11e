import { SumsHere } from '@/features/sums';
import { pageViewer } from '@/server/access';
import { jobView } from '@/server/views';

export const metadata = { title: 'Bench sums' };

type Asked = Readonly<Record<'job' | 'sum', string | string[] | undefined>>;
const first = (asked: string | string[] | undefined) => (Array.isArray(asked) ? asked[0] : asked);

export default async function Page({ searchParams }: { searchParams: Promise<Asked> }) {
  const viewer = await pageViewer('/sums');
  const asked = await searchParams;
  const ticket = first(asked.job);
  const job = ticket ? await jobView(viewer, ticket) : undefined;
  return <SumsHere key={ticket ?? ''} job={job ?? null} first={first(asked.sum)} />;
}
