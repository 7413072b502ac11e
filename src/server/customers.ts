/** Customers with what they had, and finding anything from anywhere. */
import MiniSearch from 'minisearch';
import Papa from 'papaparse';
import { PAGES, type PageName } from '@/contract/access';
import type { Role } from '@/contract/commands';
import type { Beginning, CustomerPage, CustomerView, FoundAnything, HadView } from '@/contract/views';
import { readAgreed, resultOf } from '@/core/agreed';
import { CUSTOMER_COLUMNS, customerCells } from '@/core/customers/customer-list';
import { frontsOf } from '@/core/custody/record';
import { thaw } from '@/core/design/resolve';
import { designSchema } from '@/core/design/schema';
import { upgradedDesign } from '@/core/design/upgrades';
import { frontScene } from '@/core/drawing/front';
import type { Moulding } from '@/core/materials';
import { type WorkedOut, workOut } from '@/core/work-out';
import {
  currentCustomer,
  likePiece,
  findCustomers,
  listCustomers,
  nearCustomers,
  nearEnough,
  nearPieces,
  piecesHad,
} from '@/db/queries/customers';
import { linkEventsOfCustomer } from '@/db/queries/links';
import { recordsOf } from '@/db/queries/records';
import { ACTIONS } from '@/words/screens/actions';
import type { CounterViewer, Viewer } from './access';
import type { ShopData } from './app-context';
import { dayOf } from './clock';
import { suppliedNames } from './papers/supplied';
import { ORDER_STATES, findOrdersView } from './views';

/** Orders of one part of a customer's page. */
const PART = 12;

type Had = Awaited<ReturnType<typeof piecesHad>>[number];
/** As it was agreed, or as it was quoted; undefined where that can no longer be worked out. */
function resultOfHad({ agreed, quoted }: Had, { settings, catalogue, prices }: ShopData): WorkedOut | undefined {
  if (agreed !== null) return resultOf(readAgreed(agreed));
  const again = workOut(designSchema.parse(upgradedDesign(quoted)), { settings, catalogue, prices });
  return again.ok ? again.value : undefined;
}

function hadView(had: Had, books: ShopData, pictures: readonly string[]): HadView {
  const { piece } = designSchema.parse(upgradedDesign(had.design));
  const worked = resultOfHad(had, books);
  return {
    id: had.id,
    number: had.number,
    state: had.state,
    day: dayOf(had.at),
    title: piece.title,
    chosen: worked ? suppliedNames(worked) : [],
    size: { w: piece.width, h: piece.height },
    outside: worked ? (worked.sizes.outside ?? worked.sizes.package) : null,
    price: worked?.price?.price ?? null,
    scene: worked ? frontScene(worked, false, pictures) : null,
  };
}

/** Undefined for somebody who was never here; whoever was joined with another is that other. */
export async function customerPage(
  { app }: CounterViewer,
  id: string,
  below: number | null = null,
): Promise<CustomerPage | undefined> {
  const books = await app.books();
  if (!books) return undefined;
  return app.db.read(async (db) => {
    const found = await currentCustomer(db, id);
    if (!found) return undefined;
    const rows = await piecesHad(db, found.id, PART + 1, below);
    const numbers = [...new Set(rows.map(({ number }) => number))];
    const next = numbers.length > PART ? numbers[PART - 1]! : null;
    const shown = next === null ? rows : rows.filter(({ number }) => number >= next);
    const records = await recordsOf(
      db,
      shown.map((row) => row.id),
    );
    const pictures = (row: Had) => {
      const record = records.get(row.id)?.record;
      return record ? frontsOf(record) : [];
    };
    return {
      id: found.id,
      revision: found.revision,
      name: found.name,
      phone: found.phone,
      email: found.email,
      addresses: found.addresses,
      prefers: found.prefers,
      notes: found.notes,
      since: dayOf(found.created_at),
      forgotten: found.forgotten,
      terms: { days: found.days, limit: found.limit },
      had: shown.map((row) => hadView(row, books, pictures(row))),
      next,
    };
  });
}

/** What a new order can begin with: the design of a piece that was here, and its customer; or a customer alone. */
export async function beginWith(
  { app }: CounterViewer,
  asked: { like?: string; for?: string },
): Promise<Beginning | undefined> {
  if (asked.like !== undefined) {
    const found = await likePiece(app.db, asked.like);
    if (!found) return undefined;
    const { design, forgotten, ...customer } = found;
    return { design: thaw(designSchema.parse(upgradedDesign(design))), customer: forgotten ? null : customer };
  }
  const found = asked.for === undefined ? undefined : await currentCustomer(app.db, asked.for);
  if (!found || found.forgotten) return undefined;
  return { customer: { id: found.id, name: found.name, phone: found.phone, email: found.email } };
}

const MOST_LISTED = 60;
/** Customers by name, or those that a text finds, spelt right or nearly. */
export async function customersFound({ app }: CounterViewer, text: string): Promise<CustomerView[]> {
  const asked = text.trim().slice(0, 80);
  return app.db.read(async (db) => {
    const exact = await findCustomers(db, asked, MOST_LISTED);
    if (exact.length > 0 || asked.length < LETTERS) return exact;
    await nearEnough(db, asked);
    return nearCustomers(db, asked, MOST_LISTED);
  });
}

const EVERY_CUSTOMER = 200_000;
/** What begins like a formula would be computed by a spreadsheet. */
const FORMULA = /^[=@\t\r]|^[+-](?![\d\s().-]+$)/;
export async function customersCsv({ app }: Viewer): Promise<string> {
  const all = await listCustomers(app.db, EVERY_CUSTOMER);
  return `${Papa.unparse([[...CUSTOMER_COLUMNS], ...all.map(customerCells)], { newline: '\n', escapeFormulae: FORMULA })}\n`;
}

/** All that is kept of one customer, for the customer: as they are, and what they had. */
export async function allOfCustomer(viewer: CounterViewer, id: string): Promise<string | undefined> {
  const first = await customerPage(viewer, id);
  if (!first) return undefined;
  const had = [...first.had];
  for (let { next } = first; next !== null;) {
    const part = (await customerPage(viewer, id, next))!;
    had.push(...part.had);
    ({ next } = part);
  }
  const { next: _next, ...page } = first;
  const links = (await linkEventsOfCustomer(viewer.app.db, id)).map(({ id: _id, link_id: _link, ...event }) => event);
  return JSON.stringify({ ...page, had: had.map(({ scene: _scene, ...one }) => one), links }, undefined, 2);
}

/** The mouldings of an edition, ready to be searched; made when somebody first searches in it. */
let indexed: { readonly edition: number; readonly index: MiniSearch } | undefined;
function mouldingIndex({ prices, lists }: ShopData): MiniSearch {
  if (indexed?.edition === prices.edition) return indexed.index;
  const index = new MiniSearch({
    idField: 'code',
    fields: ['code', 'name', 'finish', 'supplier'],
    storeFields: ['code', 'name', 'colour'],
  });
  index.addAll(lists.mouldings as Moulding[]);
  indexed = { edition: prices.edition, index };
  return index;
}
const actionIndex = new MiniSearch({
  idField: 'name',
  fields: ['name', 'also'],
  storeFields: ['name', 'href', 'page'],
});
actionIndex.addAll(ACTIONS);

/** A letter wrong in four is a slip. */
const FUZZY = { prefix: true, fuzzy: 0.25, combineWith: 'AND' } as const;
const LETTERS = 3;
const SHOWN = 5;
const first = <T>(list: readonly T[]): T[] => list.slice(0, SHOWN);

/** Customers, orders, pieces, mouldings and what can be done, by a few letters, spelt right or nearly. */
export async function findAnything(viewer: CounterViewer, text: string): Promise<FoundAnything> {
  const { app, person } = viewer;
  const asked = text.trim().slice(0, 80);
  const letters = asked.length >= LETTERS;
  const books = await app.books();
  const orders = first(await findOrdersView(viewer, asked, ORDER_STATES.all));
  const customers = letters ? first(await customersFound(viewer, asked)) : [];
  const pieces = letters
    ? await app.db.read(async (db) => {
        await nearEnough(db, asked);
        return nearPieces(db, asked, SHOWN);
      })
    : [];
  const may = ({ page }: { page: PageName }) => (PAGES[page] as readonly Role[]).includes(person.role);
  return {
    orders,
    customers,
    pieces: pieces.map(({ id, number, title, customer }) => ({ id, number, title, customer })),
    mouldings:
      letters && books
        ? (first(mouldingIndex(books).search(asked, FUZZY)) as unknown as FoundAnything['mouldings']).map(
            ({ code, name, colour }) => ({ code, name, colour }),
          )
        : [],
    actions: letters
      ? first((actionIndex.search(asked, FUZZY) as unknown as (typeof ACTIONS)[number][]).filter(may)).map(
          ({ name, href }) => ({ name, href }),
        )
      : [],
  };
}
