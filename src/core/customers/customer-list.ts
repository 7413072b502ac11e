/** Customers as a list: columns, reading a row with every reason why not, and whom a row is. */
import { z } from 'zod';
import { type Issue, issue } from '../issue';
import { cellsOf, columnName } from '../supplier-list/list';

export const CUSTOMER_COLUMNS = ['name', 'phone', 'mail', 'address', 'units', 'border', 'told by', 'notes'] as const;
type Column = (typeof CUSTOMER_COLUMNS)[number];
const MOST = {
  name: 120,
  phone: 40,
  mail: 120,
  address: 300,
  units: 2,
  border: 120,
  'told by': 10,
  notes: 2000,
} as const;
/** Several addresses of one customer stand in one cell, with this between them. */
const BETWEEN = ' | ';

export interface ListedCustomer {
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly addresses: readonly string[];
  readonly prefers: {
    readonly units?: 'in' | 'mm' | undefined;
    readonly border?: string | undefined;
    readonly channel?: 'message' | 'mail' | 'call' | 'letter' | 'none' | undefined;
  };
  readonly notes: string;
}
export interface CustomerRows {
  readonly issues: readonly Issue[];
  readonly rows: readonly ListedCustomer[];
}
const CHANNELS = ['message', 'mail', 'call', 'letter', 'none'] as const;
const isMail = (text: string) => z.email().max(MOST.mail).safeParse(text).success;
/** What begins like a formula would be computed by a spreadsheet; a phone number may begin with a plus. */
const FORMULA = /^[=@\t\r]/;

/** The same person: the same name, whatever its case, and the same digits of the phone number. */
export const sameCustomer = ({ name, phone }: { readonly name: string; readonly phone: string }): string =>
  `${name.trim().toLowerCase().replace(/\s+/g, ' ')} ${phone.replace(/\D/g, '')}`;

/** Why a cell cannot be taken. */
type Why = 'empty' | 'long' | 'formula' | 'mail' | 'choice' | 'twice';

function readOne(cell: (column: Column) => string, row: number): { one: ListedCustomer; wrong: Issue[] } {
  const wrong: Issue[] = [];
  const no = (column: Column, why: Why, known = '') =>
    wrong.push(issue('customer-row', { row, column, why, read: cell(column).slice(0, 40), known }, column));
  for (const column of CUSTOMER_COLUMNS) {
    if (cell(column).length > MOST[column]) no(column, 'long', String(MOST[column]));
    if (FORMULA.test(cell(column))) no(column, 'formula');
  }
  if (cell('name') === '') no('name', 'empty');
  if (cell('mail') !== '' && !isMail(cell('mail'))) no('mail', 'mail');
  const units = cell('units');
  if (!['', 'in', 'mm'].includes(units)) no('units', 'choice', 'in, mm');
  const channel = cell('told by').toLowerCase();
  if (channel !== '' && !CHANNELS.some((one) => one === channel)) no('told by', 'choice', CHANNELS.join(', '));
  const one = {
    name: cell('name'),
    phone: cell('phone'),
    email: cell('mail'),
    addresses: cell('address')
      .split(BETWEEN.trim())
      .map((text) => text.trim())
      .filter(Boolean),
    prefers: {
      ...(units === '' ? {} : { units: units as 'in' }),
      ...(cell('border') === '' ? {} : { border: cell('border') }),
      ...(channel === '' ? {} : { channel: channel as 'mail' }),
    },
    notes: cell('notes'),
  };
  return { one, wrong };
}

/** Reads a list of customers: all rows, or what is wrong with each that cannot be taken. */
export function readCustomers(text: string): CustomerRows {
  const read = cellsOf(text);
  if ('wrong' in read) return { issues: [read.wrong], rows: [] };
  const [head = [], ...records] = read.cells;
  const names = head.map(columnName);
  if (!names.includes('name')) return { issues: [issue('list-columns', { missing: 'name' })], rows: [] };
  const issues: Issue[] = [];
  const seen = new Map<string, number>();
  const rows = records.map((record, index) => {
    const row = index + 2;
    const { one, wrong } = readOne((column) => (record[names.indexOf(column)] ?? '').trim(), row);
    issues.push(...wrong);
    const before = seen.get(sameCustomer(one));
    if (before !== undefined)
      issues.push(
        issue(
          'customer-row',
          { row, column: 'name', why: 'twice', read: one.name.slice(0, 60), known: String(before) },
          'name',
        ),
      );
    seen.set(sameCustomer(one), row);
    return one;
  });
  if (rows.length === 0 && issues.length === 0) issues.push(issue('list-nothing'));
  return { issues, rows };
}

/** One customer as a row, in the order of the columns. */
export const customerCells = ({ name, phone, email, addresses, prefers, notes }: ListedCustomer): string[] => [
  name,
  phone,
  email,
  addresses.join(BETWEEN),
  prefers.units ?? '',
  prefers.border ?? '',
  prefers.channel ?? '',
  notes,
];

/** What a list says goes over what was known; what it leaves empty stays. */
export const withListed = <T extends ListedCustomer>(known: T, said: ListedCustomer): T => ({
  ...known,
  phone: said.phone || known.phone,
  email: said.email || known.email,
  addresses: [...new Set([...known.addresses, ...said.addresses])],
  prefers: { ...known.prefers, ...said.prefers },
  notes: said.notes || known.notes,
});
