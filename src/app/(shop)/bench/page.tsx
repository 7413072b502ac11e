import { redirect } from 'next/navigation';
import { STATIONS } from '@/core/route/steps';
import { FindJob } from '@/features/bench/find-job';
import { pageViewer } from '@/server/access';
import { benchList, nextAt } from '@/server/bench-list';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.bench };

type Asked = Promise<Readonly<Record<string, string | string[] | undefined>>>;

/** `?station=saw` lists what waits there; `&after=2412-1` opens the job that comes next there. */
export default async function Page({ searchParams }: { searchParams: Asked }) {
  const waiting = await benchList(await pageViewer('/bench'));
  const { station: named, after } = await searchParams;
  const station = STATIONS.find((one) => one === named);
  const next = station && typeof after === 'string' ? nextAt(waiting, station, after) : undefined;
  if (next) redirect(`/bench/${next.ticket}`);
  return <FindJob waiting={waiting} station={station} />;
}
