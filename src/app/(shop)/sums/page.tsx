import { BENCH_SUMS, firstValues } from '@/features/sums/bench-sums';
import { Sums } from '@/features/sums/sums';
import { valuesOfJob } from '@/features/sums/values-of-job';
import { benchSum, sceneOf } from '@/features/sums/work-sum';
import { pageViewer, shopFrame } from '@/server/access';
import { unitAsked } from '@/server/unit';
import { jobView } from '@/server/views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.benchSums };

type Asked = Readonly<Record<'job' | 'sum', string | string[] | undefined>>;
const first = (asked: string | string[] | undefined) => (Array.isArray(asked) ? asked[0] : asked);

export default async function Page({ searchParams }: { searchParams: Promise<Asked> }) {
  const viewer = await pageViewer('/sums');
  const asked = await searchParams;
  const ticket = first(asked.job);
  const job = ticket ? await jobView(viewer, ticket) : undefined;
  const unit = await unitAsked((await shopFrame())?.homeUnit ?? 'in');
  const filled = job ? valuesOfJob(job, unit) : {};
  const sum =
    BENCH_SUMS.find(({ key }) => key === first(asked.sum)) ??
    BENCH_SUMS.find(({ key }) => filled[key] !== undefined) ??
    BENCH_SUMS[0]!;
  const result = benchSum(sum, filled[sum.key] ?? firstValues(sum, unit), unit);
  const scene = result.ok ? sceneOf(sum, result.value, unit) : undefined;
  return (
    <Sums key={`${ticket ?? ''} ${sum.key}`} job={job ?? null} first={{ key: sum.key, unit, result, scene, filled }} />
  );
}
