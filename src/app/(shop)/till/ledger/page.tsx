import { Ledger } from '@/features/till/ledger';
import { pageViewer } from '@/server/access';
import { ledgerView, timeOf } from '@/server/ledger-views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.ledger };

type Search = Promise<Readonly<Record<string, string | readonly string[] | undefined>>>;

export default async function Page({ searchParams }: { searchParams: Search }) {
  const viewer = await pageViewer('/till/ledger');
  const asked = Object.entries(await searchParams).flatMap(([key, value]) =>
    typeof value === 'string' ? [[key, value] as [string, string]] : [],
  );
  const { from, to } = timeOf(viewer.app, new URLSearchParams(asked));
  return <Ledger key={`${from} ${to}`} first={await ledgerView(viewer, from, to)} />;
}
