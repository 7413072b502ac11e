import { writeMouldingList } from '@/core/books/moulding-list';
import { writeRackList } from '@/core/cutting/rack-list';
import { signedIn } from '@/server/http';
import type { House } from '@/server/house';
import { planByNumber, planCsv } from '@/server/plans-made';
import { rackPieces } from '@/server/rack-views';

const LISTS: Readonly<Record<string, (house: House) => Promise<string>>> = {
  'mouldings.csv': async (house) => writeMouldingList((await house.books())?.lists.mouldings ?? []),
  'rack.csv': async (house) => writeRackList(await rackPieces(house), (await house.books())?.settings.homeUnit ?? 'in'),
};

const csv = (text: string, name: string) =>
  new Response(text, {
    headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': `attachment; filename="${name}"` },
  });

export async function GET(_request: Request, { params }: { params: Promise<{ list: string }> }): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const { list } = await params;
  const number = /^plan-(\d{1,9})\.csv$/.exec(list)?.[1];
  const plan = number === undefined ? undefined : await planByNumber(who.house.db, Number(number));
  if (plan) return csv(planCsv(plan), list);
  const write = Object.hasOwn(LISTS, list) ? LISTS[list] : undefined;
  if (!write) return new Response('There is no such list.', { status: 404 });
  return csv(await write(who.house), list);
}
