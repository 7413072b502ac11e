import { cookies } from 'next/headers';
import { PAPERS } from '@/contract/access';
import type { Role } from '@/contract/commands';
import type { JobView } from '@/contract/views';
import { issue } from '@/core/issue';
import type { Unit } from '@/core/units/length';
import { type CounterViewer, type Viewer, route } from '@/server/access';
import { type ShopData } from '@/server/app-context';
import { besidePlan } from '@/server/cutting/needs';
import { planByNumber, rackByCode, ticketsOfPlan } from '@/server/plans-made';
import { benchCodes } from '@/server/papers/bench-codes';
import { cutSheetPaper } from '@/server/papers/cut-sheet';
import { backLabel, careCard, kitSheet, packingList, pieceLabel } from '@/server/papers/handed';
import { markingMapPaper } from '@/server/papers/marking-map';
import { quotePaper } from '@/server/papers/quote';
import { rackLabel } from '@/server/papers/rack-label';
import { templatesPaper } from '@/server/papers/templates';
import { ticketPaper } from '@/server/papers/ticket';
import { dayReportPaper, receiptPaper, statementPaper, voucherPaper } from '@/server/papers/money';
import { shopReport, statementOf, tillReport, voucherView } from '@/server/ledger-views';
import { dayOf } from '@/server/clock';
import type { Bytes } from '@/server/papers/sheet';
import { setCardPaper } from '@/server/papers/set-card';
import { takingInPaper } from '@/server/papers/taking-in';
import { wallCard } from '@/server/papers/wall-card';
import { problem } from '@/server/problem';
import { jobView, orderView, shopView } from '@/server/views';
import { dayName } from '@/words/materials';

const pdf = (bytes: Uint8Array, name: string) =>
  new Response(Buffer.from(bytes), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${name}.pdf"` },
  });

/** The bytes of photos, as large as papers print them. */
async function photosOf({ app }: Viewer, hashes: readonly string[]): Promise<Bytes> {
  const read = await Promise.all(hashes.map(async (hash) => [hash, await app.photos.read(hash, 'small')] as const));
  return new Map(read.flatMap(([hash, bytes]) => (bytes ? [[hash, bytes] as const] : [])));
}

type Paper = keyof typeof PAPERS;
type Make = (viewer: Viewer, number: string, books: ShopData, unit: Unit) => Promise<Response>;

const isId = (text: string) => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/.test(text);
const isNumber = (text: string) => /^\d{1,9}$/.test(text);
const unknownTicket = (ticket: string) => problem([issue('ticket-unknown', { ticket: ticket.slice(0, 20) })]);

const ofJob =
  (
    make: (job: JobView, shop: string, unit: Unit, photos: Bytes, contact: string) => Promise<Uint8Array | undefined>,
    paper: Paper,
  ): Make =>
  async (viewer, ticket, { shop }, unit) => {
    const job = await jobView(viewer, ticket);
    if (!job) return unknownTicket(ticket);
    const { contact } = await viewer.app.shopSettings();
    const made = await make(job, shop.name, unit, await photosOf(viewer, job.pictures), contact);
    return made ? pdf(made, `${paper}-${ticket}`) : problem([issue('paper-not-of-it', { ticket })]);
  };

const MAKE: Readonly<Record<Paper, Make>> = {
  ticket: ofJob(ticketPaper, 'ticket'),
  'wall-card': ofJob(wallCard, 'wall-card'),
  'kit-sheet': ofJob(kitSheet, 'kit-sheet'),
  'back-label': ofJob(backLabel, 'back-label'),
  'care-card': ofJob(careCard, 'care-card'),
  'packing-list': ofJob(packingList, 'packing-list'),
  'piece-label': ofJob(pieceLabel, 'piece-label'),
  'marking-map': ofJob(markingMapPaper, 'marking-map'),
  templates: ofJob(templatesPaper, 'templates'),
  quote: async (viewer, number, _books, unit) => {
    // The table lets nobody else this far.
    const counter = viewer as CounterViewer;
    const [shop, order] = [await shopView(counter), isNumber(number) && (await orderView(counter, Number(number)))];
    if (!shop || !order) return problem([issue('order-unknown')]);
    const made = await quotePaper(order, shop, unit, await photosOf(viewer, Object.values(order.pictures).flat()));
    return made ? pdf(made, `quote-${number}`) : problem([issue('quote-impossible')]);
  },
  'set-card': async (viewer, number, _books, unit) => {
    const counter = viewer as CounterViewer;
    const [shop, order] = [await shopView(counter), isNumber(number) && (await orderView(counter, Number(number)))];
    if (!shop || !order) return problem([issue('order-unknown')]);
    const made = await setCardPaper(order, shop, unit, await photosOf(viewer, Object.values(order.pictures).flat()));
    return made ? pdf(made, `set-card-${number}`) : problem([issue('quote-impossible')]);
  },
  'taking-in': async (viewer, number, { shop }, unit) => {
    const made = isNumber(number)
      ? await takingInPaper(viewer as CounterViewer, Number(number), shop.name, unit)
      : undefined;
    return made ? pdf(made, `taking-in-${number}`) : problem([issue('record-unknown')]);
  },
  receipt: async (viewer, number, { shop }, unit) => {
    const order = isNumber(number) && (await orderView(viewer as CounterViewer, Number(number)));
    if (!order) return problem([issue('order-unknown')]);
    const made = await receiptPaper(order, shop.name, unit, (await viewer.app.shopSettings()).currency);
    return made ? pdf(made, `receipt-${number}`) : problem([issue('payment-unknown')]);
  },
  voucher: async (viewer, code, { shop }, unit) => {
    const voucher = await voucherView(viewer, code.slice(0, 40));
    if (!voucher) return problem([issue('voucher-unknown')]);
    return pdf(await voucherPaper(voucher, shop.name, unit), 'voucher');
  },
  statement: async (viewer, customerId, { shop }, unit) => {
    const owing = isId(customerId) && (await statementOf(viewer, customerId));
    if (!owing) return problem([issue('nothing-owed')]);
    return pdf(
      await statementPaper(
        owing,
        shop.name,
        unit,
        dayOf(viewer.app.clock.now()),
        (await viewer.app.shopSettings()).currency,
      ),
      'statement',
    );
  },
  'day-report': async (viewer, dayId, { shop }, unit) => {
    const report = isId(dayId) ? await tillReport(viewer, dayId) : await shopReport(viewer, dayId);
    if (!report) return problem([issue('day-not-sealed')]);
    return pdf(await dayReportPaper(report, shop.name, unit), `day-${report.day}`);
  },
  'cut-sheet': async ({ app }, number, { lists, settings }, unit) => {
    const plan = isNumber(number) ? await planByNumber(app.db, Number(number)) : undefined;
    if (!plan) return problem([issue('plan-unknown')]);
    const { by, request: requests, plan: plans } = plan;
    const beside = await besidePlan(app.db, await ticketsOfPlan(app.db, plan.id), settings);
    const of = { number: plan.number, day: dayName(plan.at.toISOString().slice(0, 10)), by, requests, plans, beside };
    return pdf(await cutSheetPaper(of, lists, unit), `cut-sheet-${number}`);
  },
  'bench-codes': async (_viewer, _number, { shop }, unit) => pdf(await benchCodes(shop.name, unit), 'bench-codes'),
  'rack-label': async ({ app }, code, { lists }, unit) => {
    const piece = await rackByCode(app.db, code.slice(0, 20));
    if (!piece) return problem([issue('rack-gone', { code: code.slice(0, 20) })]);
    const { mouldings, mats, glazings, backings } = lists;
    const name = [...mouldings, ...mats, ...glazings, ...backings].find((one) => one.code === piece.material)?.name;
    return pdf(await rackLabel(piece, name ?? piece.material, unit), `label-${piece.code}`);
  },
};

export const GET = route('GET /papers/[paper]/[number]', async (_request, viewer, { paper = '', number = '' }) => {
  const books = await viewer.app.books();
  if (!books) return problem([issue('shop-unknown')]);
  if (!Object.hasOwn(MAKE, paper)) return unknownTicket(number);
  const known = paper as Paper;
  const may: readonly Role[] = PAPERS[known];
  if (!may.includes(viewer.person.role)) return problem([issue('role-not-permitted', { role: viewer.person.role })]);
  const kept = (await cookies()).get('unit')?.value;
  return MAKE[known](viewer, number, books, kept === 'in' || kept === 'mm' ? kept : books.shop.home_unit);
});
