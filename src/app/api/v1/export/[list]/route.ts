import { LISTS as MAY } from '@/contract/access';
import { writeRackList } from '@/core/cutting/rack-list';
import type { Role } from '@/contract/commands';
import { issue } from '@/core/issue';
import { type CounterViewer, type Viewer, route } from '@/server/access';
import { planByNumber, planCsv } from '@/server/plans-made';
import { type Time, journalCsv, taxCsv, trialBalanceCsv } from '@/server/ledger-csv';
import { timeOf } from '@/server/ledger-views';
import { allOfCustomer, customersCsv } from '@/server/customers';
import { problem } from '@/server/problem';
import { listAsCsv, listAsWorkbook } from '@/server/list-views';
import { rackPieces } from '@/server/rack-views';

const WRITE: Readonly<
  Record<
    keyof typeof MAY,
    (viewer: Viewer, number: number, time: Time, id: string) => Promise<string | Uint8Array | undefined>
  >
> = {
  'mouldings.csv': (viewer) => listAsCsv(viewer, 'mouldings'),
  'mats.csv': (viewer) => listAsCsv(viewer, 'mats'),
  'glazings.csv': (viewer) => listAsCsv(viewer, 'glazings'),
  'backings.csv': (viewer) => listAsCsv(viewer, 'backings'),
  'mouldings.xlsx': (viewer) => listAsWorkbook(viewer, 'mouldings'),
  'mats.xlsx': (viewer) => listAsWorkbook(viewer, 'mats'),
  'glazings.xlsx': (viewer) => listAsWorkbook(viewer, 'glazings'),
  'backings.xlsx': (viewer) => listAsWorkbook(viewer, 'backings'),
  'customers.csv': (viewer) => customersCsv(viewer),
  'customer-ID.json': (viewer, _number, _time, id) => allOfCustomer(viewer as CounterViewer, id),
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

const WORKBOOK = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
const typeOf = (content: string | Uint8Array, name: string) =>
  typeof content !== 'string' ? WORKBOOK : `${name.endsWith('.json') ? 'application/json' : 'text/csv'}; charset=utf-8`;
const file = (content: string | Uint8Array, name: string) =>
  new Response(typeof content === 'string' ? content : new Uint8Array(content), {
    headers: {
      'content-type': typeOf(content, name),
      'content-disposition': `attachment; filename="${name}"`,
    },
  });

export const GET = route('GET /api/v1/export/[list]', async (request, viewer, { list = '' }) => {
  const number = /^plan-(\d{1,9})\.csv$/.exec(list)?.[1];
  const id = /^customer-([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})\.json$/.exec(list)?.[1] ?? '';
  const name = number !== undefined ? 'plan-N.csv' : id !== '' ? 'customer-ID.json' : list;
  // Their names with a letter for the number are ours, not anybody's.
  const isList = Object.hasOwn(WRITE, name) && list !== 'plan-N.csv' && list !== 'customer-ID.json';
  if (!isList) return problem([issue('path-unknown', { path: list.slice(0, 40) })]);
  const known = name as keyof typeof MAY;
  const may: readonly Role[] = MAY[known];
  if (!may.includes(viewer.person.role)) return problem([issue('role-not-permitted', { role: viewer.person.role })]);
  const content = await WRITE[known](
    viewer,
    Number(number ?? 0),
    timeOf(viewer.app, new URL(request.url).searchParams),
    id,
  );
  if (content !== undefined) return file(content, list);
  return problem([number === undefined ? issue('path-unknown', { path: list.slice(0, 40) }) : issue('plan-unknown')]);
});
