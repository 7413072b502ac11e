import { LISTS as MAY } from '@/contract/access';
import { writeMouldingList } from '@/core/supplier-list/moulding-list';
import { writeRackList } from '@/core/cutting/rack-list';
import type { Role } from '@/contract/commands';
import { issue } from '@/core/issue';
import { type Viewer, route } from '@/server/access';
import { planByNumber, planCsv } from '@/server/plans-made';
import { type Time, journalCsv, taxCsv, trialBalanceCsv } from '@/server/ledger-csv';
import { timeOf } from '@/server/ledger-views';
import { problem } from '@/server/problem';
import { rackPieces } from '@/server/rack-views';

const WRITE: Readonly<
  Record<keyof typeof MAY, (viewer: Viewer, number: number, time: Time) => Promise<string | undefined>>
> = {
  'mouldings.csv': async ({ app }) => writeMouldingList((await app.books())?.lists.mouldings ?? []),
  'rack.csv': async (viewer) =>
    writeRackList(await rackPieces(viewer), (await viewer.app.books())?.settings.homeUnit ?? 'in'),
  'journal.csv': (viewer, _number, time) => journalCsv(viewer, time),
  'trial-balance.csv': (viewer, _number, time) => trialBalanceCsv(viewer, time),
  'tax.csv': (viewer, _number, time) => taxCsv(viewer, time),
  'plan-N.csv': async ({ app }, number) => {
    const plan = await planByNumber(app.db, number);
    return plan && planCsv(plan);
  },
};

const csv = (text: string, name: string) =>
  new Response(text, {
    headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': `attachment; filename="${name}"` },
  });

export const GET = route('GET /api/v1/export/[list]', async (request, viewer, { list = '' }) => {
  const number = /^plan-(\d{1,9})\.csv$/.exec(list)?.[1];
  const name = number === undefined ? list : 'plan-N.csv';
  if (!Object.hasOwn(WRITE, name)) return problem([issue('path-unknown', { path: list.slice(0, 40) })]);
  const known = name as keyof typeof MAY;
  const may: readonly Role[] = MAY[known];
  if (!may.includes(viewer.person.role)) return problem([issue('role-not-permitted', { role: viewer.person.role })]);
  const text = await WRITE[known](viewer, Number(number ?? 0), timeOf(viewer.app, new URL(request.url).searchParams));
  return text === undefined ? problem([issue('plan-unknown')]) : csv(text, list);
});
