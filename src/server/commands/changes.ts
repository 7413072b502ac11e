/**
 * An agreed order that becomes another. The difference is agreed as the order was: at the total that was seen, with a
 * reason for each warning. What was cut for a former design is paid as far as it is said; the job then begins anew.
 */
import type { Payload } from '@/contract/commands';
import { agreedFrom, resultOf } from '@/core/agreed';
import { changedOf, changedPrice, inWordsOf, withCut } from '@/core/changes/change';
import type { Design } from '@/core/design/design';
import { sameValue } from '@/core/design/edit';
import { designSchema } from '@/core/design/schema';
import { freeze, givenIn, thaw } from '@/core/design/resolve';
import { type Outcome, bad, good, issue } from '@/core/issue';
import { saleInParts } from '@/core/ledger/order-sale';
import { type WorkedOut, workOut } from '@/core/work-out';
import type { Tx } from '@/db/client';
import {
  type JobRow,
  type StepRow,
  insertEvent,
  jobsOfOrder,
  replaceSteps,
  stepsOfAll,
  touchJob,
} from '@/db/queries/jobs';
import { setSale } from '@/db/queries/ledger';
import { type OrderRow, type PieceRow, changeAgreed, changePiece, openCards, piecesOf } from '@/db/queries/orders';
import { dropPartsOf, partsOfTickets } from '@/db/queries/rack';
import { staffById } from '@/db/queries/staff';
import { CHANGE } from '@/words/screens/desk-change';
import { begunOf, workedOn } from '../changing';
import { signed, withinLimit } from '../concessions';
import type { Context, Handler, Readying } from '../door';
import type { ShopData } from '../app-context';
import { ownersPin } from '../owners-pin';
import { freshOrder, noPromise, reasonsOf, refusals, valuedAbove, workPieces } from './orders';

export const readyChangeOrder: Readying<'change-agreed'> = ({ pin }, context) => ownersPin(pin, context);

type Asked = Payload<'change-agreed'>;
interface Piece {
  readonly row: PieceRow;
  readonly job: JobRow;
  readonly how: ReturnType<typeof changedOf>;
  readonly design: Design;
}

/** As the schema writes it, so that it can be compared with what is asked for. */
const agreedDesign = ({ agreed }: PieceRow): Design => designSchema.parse(agreed!.resolved.design);

/** The pieces as they are asked for, beside those that were agreed: the same ones, none more and none fewer. */
async function paired(tx: Tx, order: OrderRow, asked: Asked, name: string): Promise<Outcome<Piece[]>> {
  const rows = await piecesOf(tx, order.id);
  const jobs = await jobsOfOrder(tx, order.id);
  const given = new Map(asked.pieces.map(({ id, design }) => [id, design]));
  if (asked.pieces.length !== rows.length || rows.some(({ id }) => !given.has(id))) return bad(issue('change-pieces'));
  if (jobs.some(({ handed }) => handed !== null)) return bad(issue('order-part-gone'));
  const known = rows.flatMap((row) => [...givenIn(agreedDesign(row)), ...givenIn(row.quoted)]);
  const invented = [...given.values()].flatMap(givenIn).some((one) => !known.some((two) => sameValue(one, two)));
  if (invented) return bad(issue('material-invented'));
  return good(
    rows.map((row) => {
      const design = signed(given.get(row.id)!, agreedDesign(row), name);
      return { row, job: jobs.find(({ id }) => id === row.id)!, how: changedOf(agreedDesign(row), design), design };
    }),
  );
}

/** What was cut for the former designs is paid as it is said; nothing is changed under a plan. */
function withWhatWasCut(
  pieces: readonly Piece[],
  { paid }: Asked,
  steps: readonly StepRow[],
  parts: Awaited<ReturnType<typeof partsOfTickets>>,
  perHour: string,
): Outcome<Piece[]> {
  const stop = [];
  const cut: Piece[] = [];
  for (const piece of pieces) {
    const { row, job, how, design } = piece;
    const { begun, planned, amount } = begunOf(job, steps, parts, workedOn(steps, row.id, row.agreed), perHour);
    const { ticket } = job;
    if (how !== 'design') cut.push(piece);
    else if (planned) stop.push(issue('change-planned', { ticket }));
    else if (begun && paid[row.id] === undefined) stop.push(issue('change-cut', { ticket, amount }, `paid.${row.id}`));
    else cut.push({ ...piece, design: begun ? withCut(design, CHANGE.cutBefore, paid[row.id]!) : design });
  }
  return stop.length > 0 ? bad(...stop) : good(cut);
}

/** The former figures with the words of now. */
const respelt = ({ row, design }: Piece): WorkedOut => {
  const agreed = resultOf(row.agreed!);
  return {
    ...agreed,
    resolved: { ...agreed.resolved, design: inWordsOf(agreedDesign(row), design) },
  };
};

async function write(
  tx: Tx,
  { row, job, how, design }: Piece,
  worked: WorkedOut,
  books: ShopData,
  reasons: Asked['reasons'],
  { now, by }: Context,
): Promise<Outcome<undefined>> {
  const own = reasonsOf(row.id, reasons);
  if (how === 'words') {
    await changePiece(tx, row.id, inWordsOf(row.design, design), inWordsOf(row.quoted, design), agreedFrom(worked));
    await touchJob(tx, row.id);
    await insertEvent(tx, row.id, {
      at: now,
      by,
      what: 'spelt anew',
      step: null,
      detail: { title: design.piece.title },
    });
    return good(undefined);
  }
  const frozen = freeze(worked.resolved, books.prices.groups);
  const again = workOut(frozen, books);
  if (!again.ok) return again;
  await changePiece(tx, row.id, thaw(design), frozen, agreedFrom(again.value));
  await dropPartsOf(tx, job.ticket);
  await replaceSteps(
    tx,
    job.id,
    own,
    again.value.route.map(({ step, station, minutes, waits }, index) => ({
      position: index + 1,
      step,
      station,
      minutes,
      waits: waits ?? null,
    })),
  );
  await insertEvent(tx, row.id, { at: now, by, what: 'changed', step: null, detail: own });
  return good(undefined);
}

export const changeOrder: Handler<'change-agreed'> = async (tx, asked, context) => {
  const { orderId, revision, promised, total, reasons } = asked;
  const fresh = await freshOrder(tx, orderId, revision);
  if (!fresh.ok) return fresh;
  const order = fresh.value;
  const { number, state, agreed } = order;
  if (state !== 'accepted' || !agreed) return bad(issue('order-agreed', { number, state }));
  const [waiting] = await openCards(tx, orderId);
  if (waiting) return bad(issue('card-waiting', { amount: waiting.amount }));
  if (promised !== order.promised) {
    const no = await noPromise(tx, promised, context);
    if (no) return bad(no);
  }
  const name = context.by === null ? '' : ((await staffById(tx, context.by))?.name ?? '');
  const found = await paired(tx, order, asked, name);
  if (!found.ok) return found;
  if (promised === order.promised && found.value.every(({ how }) => how === 'no')) return bad(issue('change-none'));
  const books = await context.app.booksIn(tx);
  if (!books) return bad(issue('shop-unknown'));
  const jobs = found.value.map(({ job }) => job);
  const steps = await stepsOfAll(
    tx,
    jobs.map(({ id }) => id),
  );
  const parts = await partsOfTickets(
    tx,
    jobs.map(({ ticket }) => ticket),
  );
  const cut = withWhatWasCut(found.value, asked, steps, parts, books.prices.labourPerHour);
  if (!cut.ok) return cut;
  const pieces = cut.value;
  const others = pieces.filter(({ how }) => how === 'design');
  const made = await workPieces(
    tx,
    context,
    others.map(({ row, design }) => ({ id: row.id, design })),
  );
  if (!made.ok) return made;
  const results = new Map(pieces.map((piece) => [piece.row.id, respelt(piece)]));
  for (const [index, { row }] of others.entries()) results.set(row.id, made.value.worked[index]!);
  const allowed = await withinLimit(
    tx,
    others.map(({ row, design }) => ({ id: row.id, design })),
    made.value.worked,
    new Map(others.map(({ row }) => [row.id, resultOf(row.agreed!)])),
    context,
  );
  if (!allowed.ok) return allowed;
  const stop = [
    ...refusals(
      made.value.worked,
      others.map(({ row }) => row.id),
      reasons,
    ),
    ...(await valuedAbove(
      tx,
      made.value.worked,
      others.map(({ row }) => row),
      context,
    )),
  ];
  if (stop.length > 0) return bad(...stop);
  const prices = pieces.map(({ row }) => results.get(row.id)!.price!);
  const unpriced = prices.flatMap(({ missing }) => missing);
  if (unpriced.length > 0) return bad(issue('price-missing', { name: unpriced[0]! }));
  const priced = changedPrice(prices, books.prices, agreed);
  if (!priced.ok) return priced;
  if (priced.value.total !== total) return bad(issue('price-changed', { seen: total, now: priced.value.total }));
  for (const piece of pieces) {
    if (piece.how === 'no') continue;
    const written = await write(tx, piece, results.get(piece.row.id)!, books, reasons, context);
    if (!written.ok) return written;
  }
  await changeAgreed(tx, orderId, promised, priced.value);
  const { sale, parts: sold } = saleInParts(
    new Map(pieces.map(({ row }) => [row.id, results.get(row.id)!.price!])),
    books.prices.tax,
    priced.value,
  );
  await setSale(tx, orderId, sale, sold);
  return good({
    result: { revision: revision + 1, total },
    audit: [
      {
        what: 'changed after yes',
        entity: 'order',
        entityId: orderId,
        before: { promised: order.promised, total: agreed.total },
        after: { promised, total, paid: asked.paid, changed: others.map(({ job }) => job.ticket) },
      },
    ],
    touched: [`order:${orderId}`, 'board', ...jobs.map(({ ticket }) => `job:${ticket}`)],
  });
};
