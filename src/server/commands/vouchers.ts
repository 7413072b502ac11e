/** Vouchers: money owed, on a code that nobody can guess; used in parts. */
import { randomBytes } from 'node:crypto';
import { bad, good, issue } from '@/core/issue';
import { move } from '@/core/ledger/accounts';
import { money } from '@/core/units/money';
import { type BookedPosting, insertVoucher } from '@/db/queries/ledger';
import type { Handler } from '../door';
import { dayOf } from '../clock';
import { book } from '../ledger';
import { unlikely } from './unlikely';

/** Letters and digits that nobody mistakes for another. */
const SIGNS = '23456789ABCDEFGHJKMNPQRSTVWXYZ';
const SIGNS_LONG = 16;
const A_GROUP = 4;
/** Above this a byte would make the first signs likelier. */
const FAIR = Math.floor(256 / SIGNS.length) * SIGNS.length;

/** A code of 78 bits, in groups of four. */
export function newCode(bytes: (count: number) => Uint8Array = randomBytes): string {
  let text = '';
  while (text.length < SIGNS_LONG)
    for (const byte of bytes(SIGNS_LONG))
      if (byte < FAIR && text.length < SIGNS_LONG) text += SIGNS[byte % SIGNS.length];
  return text.match(new RegExp(`.{${A_GROUP}}`, 'g'))!.join('-');
}

export const sellVoucher: Handler<'sell-voucher'> = async (tx, { id, amount, means, expires, sure }, context) => {
  if (expires !== null && expires <= dayOf(context.now)) return bad(issue('voucher-over', { day: expires }, 'expires'));
  const asked = unlikely(amount, sure);
  if (asked) return asked;
  const code = newCode();
  await insertVoucher(tx, { id, code, sold_at: context.now, expires });
  const postings = move(means, 'vouchers', money(amount)).map((posting): BookedPosting =>
    posting.account === 'vouchers' ? { ...posting, voucher: id } : posting,
  );
  await book(tx, context, { id, kind: 'voucher-sold' }, postings);
  return good({
    result: { code },
    audit: [{ what: 'voucher sold', entity: 'voucher', entityId: id, after: { amount, means, expires } }],
    touched: ['ledger'],
  });
};
