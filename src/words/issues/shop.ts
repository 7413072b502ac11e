/** What a command or a request is refused for. */
import type { ShopIssue } from '@/core/issue-codes';
import { pointName, stepName, waitName } from '../bench';
import { dayName, momentName } from '../materials';
import { cautionName } from './caution-names';
import { reasonText } from './reasons';
import { type Sentences, cap } from './sentence';

/** `40 s`, `3 min`. */
const waitText = (seconds: number) => (seconds < 90 ? `${seconds} s` : `${Math.ceil(seconds / 60)} min`);

/** Why a row of a list of customers is not taken. */
const CUSTOMER_ROW: Readonly<Record<string, (read: string, known: string) => string>> = {
  empty: () => 'nothing is written',
  long: (_read, known) => `more than ${known} letters`,
  formula: (read) => `“${read}” begins like a formula`,
  mail: (read) => `“${read}” is no mail address`,
  choice: (read, known) => `“${read}” is not one of ${known}`,
  twice: (read, known) => `${read} stands in row ${known} already`,
};

/** Who was first, where it was somebody else; a person's own last tap is no other screen. */
const changed = (what: string, by?: string | number | boolean) =>
  by === undefined
    ? `${cap(what)} changed since it was shown here.`
    : `${by} just changed ${what.replace(/^The /, 'the ')}.`;

export const SHOP: Sentences<ShopIssue> = {
  'sign-in-first': () => 'You are signed out. Sign in again; what you typed is kept.',
  'not-permitted': ({ f }) => `A ${f.role} may not do this. Ask the owner.`,
  'role-not-permitted': ({ f }) => `This is not for the ${f.role}. Ask the owner.`,
  'command-internal': ({ f }) => `“${f.command}” is done by Lopren itself.`,
  'origin-foreign': () => 'This came from a page of another site and was not done.',
  'type-wrong': ({ f }) => `The body has to be ${f.wanted || 'application/json'}; it is ${f.read || 'nothing'}.`,
  'upload-header': () => 'A file is sent with the header x-lopren-upload.',
  'text-unreadable': () => 'There is a sign in this text that cannot be kept. Type it again.',
  'set-up-code': () => 'That is not the code. It was printed where Lopren was started.',
  'staff-unknown': () => 'Nobody of that name works here now.',
  'last-owner': ({ f }) => `${f.name} is the only owner. Make somebody else an owner first.`,
  'pins-differ': () => 'The two are not the same.',
  'rack-stale': ({ f }) =>
    `${changed(String(f.code || 'This piece'))} What you typed is still here; check it and save again.`,
  'settings-stale': ({ f }) =>
    `${changed('The settings', f.by)} What you typed is still here; check it and save again.`,
  'time-wrong': ({ f }) => `“${f.read}” was read. A time looks like 9:00 or 17:30.`,
  'hours-backwards': () => 'It closes before it opens.',
  'never-open': () => 'Then it is never open. Leave at least one weekday.',
  'day-wrong': ({ f }) => `“${f.read}” was read. A day looks like 2026-12-24.`,
  'setting-out': ({ f }) => `“${f.read}” was read. A whole number from ${f.least} to ${f.most} was expected.`,
  'disk-full': () =>
    'The disk is nearly full, so nothing new can be kept. Make room; reading goes on, and nothing is lost.',
  'shop-busy': () => 'The shop’s database does not answer just now. Try again in a moment; nothing is half done.',
  'back-up-running': () => 'A back-up is being made already.',
  'back-up-failed': ({ f }) => `The back-up was not made: ${f.reason}`,
  'back-up-no-room': ({ f }) => `The back-up was not made: ${f.megabytes} MB of room are needed.`,
  'restore-no-file': ({ f }) => `There is no file ${f.file}.`,
  'restore-not-empty': ({ f }) =>
    `The folder ${f.folder} is not empty, and nothing was written. Restore into an empty one, or set LOPREN_DATA.`,
  'restore-broken': ({ f }) => `${f.file} cannot be restored: ${f.reason}. Nothing was written.`,
  'input-wrong': ({ f }) => `This could not be read: ${reasonText(f)}.`,
  'command-unknown': ({ f }) => `There is no command “${f.name}”.`,
  'command-reused': () => 'This request was used before for something else. Reload the page and try again.',
  'already-there': () => 'This is there already.',
  'shop-exists': () => 'The shop is set up already. Sign in.',
  'shop-unknown': () => 'The shop is not set up yet.',
  'name-taken': ({ f }) => `${f.name} is there already. Names must differ.`,
  'quote-impossible': () =>
    'A piece of this quote can no longer be made as it was chosen. Open it at the desk and choose again.',
  'material-invented': () => 'A material of this order is not from the books. Choose it again from the list.',
  'not-saved': () => 'The quote could not be saved, so nothing was agreed. Close this and see why.',
  'measure-first': () => 'Measure the piece first: a width or a height is missing or cannot be read.',
  'batch-line': ({ f }) =>
    `Line ${f.line}: “${f.read}” is no size. A line looks like 8 x 10, or like: Two gulls; 8 x 10.`,
  'customer-unknown': () => 'Choose or add the customer first.',
  'order-unknown': () => 'There is no such order.',
  'piece-elsewhere': () => 'A piece of this order belongs to another order. Reload the page.',
  'order-stale': ({ f }) =>
    `Order ${f.number} was changed elsewhere since you opened it. Your typing is kept; choose whose version stays.`,
  'change-pieces': () => 'An agreed order is changed piece by piece; what comes besides is a new order.',
  'change-planned': ({ f }) => `Parts of ${f.ticket} are in a cutting plan. Undo that plan first, or let it be cut.`,
  'change-cut': ({ f, cash }) =>
    `Work on ${f.ticket} has begun: say what of ${cash('amount')} for what was cut and done the customer pays.`,
  'change-none': () => 'Nothing of this order is different from what was agreed.',
  'link-unknown': () => 'There is no such link.',
  'link-over': () => 'This link was withdrawn or ran out; make another one.',
  'link-changed': () => 'The order was changed since it was looked at by the link.',
  'quote-over': ({ f }) => `The prices of this quote held until ${dayName(String(f.day))}; quote it anew.`,
  'choice-gone': () => 'This design cannot be chosen any more.',
  'questions-many': () => 'So many questions came by this link that no more are taken.',
  'deposit-there': () => 'The deposit is there.',
  'deposit-elsewhere': () => 'Another payment for this order is being asked for already.',
  'order-agreed': ({ f }) => `Order ${f.number} is ${f.state} already; nothing was changed.`,
  'caution-refuses': ({ f }) => `Piece ${f.piece} cannot be accepted while “${cautionName(String(f.caution))}” stands.`,
  'caution-needs-reason': ({ f }) => `Piece ${f.piece}: say why “${cautionName(String(f.caution))}” is accepted.`,
  'price-missing': ({ f }) => `${f.name} has no cost in the books, so there is no price to agree.`,
  'price-too-high': ({ cash }) => `This comes to more than ${cash('most')}, the most that can be kept.`,
  'alike-missing': ({ f }) =>
    `It says one of ${f.said} alike, and ${f.there === 1 ? 'one is' : `${f.there} are`} in this order. Add the others, or say how many there are.`,
  'hold-past': ({ f }) => `${cap(dayName(String(f.day)))} is over. Give a day from today on, or none.`,
  'promise-past': ({ f }) => `${cap(dayName(String(f.day)))} is over. Promise a day from today on.`,
  'promise-closed': ({ f }) =>
    `The shop is closed on ${dayName(String(f.day))}.${f.next ? ` It is open on ${dayName(String(f.next))}.` : ''}`,
  'price-changed': ({ cash }) =>
    `The total is now ${cash('now')}, not ${cash('seen')} as shown: the price book was changed. Look at it again before you agree.`,
  'payment-not-agreed': ({ f }) => `Order ${f.number} is ${f.state}; money is taken on accepted orders.`,
  'code-taken': ({ f }) => `${f.code} is the code of a ${f.kind} already.`,
  'code-twice': ({ f }) => `${f.code} stands here twice.`,
  'article-needed': ({ f }) => `${f.code} is what new orders begin with: choose another for that first.`,
  'edition-past': ({ f }) => `${cap(dayName(String(f.day)))} is over: prices change from today on.`,
  'part-not-paid': ({ cash }) =>
    `This part is ${cash('part')}; ${cash('missing')} more is to be paid before it goes. Parts do not go on account.`,
  'part-unknown': () => 'This order was agreed before its pieces could go one by one. It goes whole.',
  'part-gone': () => 'One of these pieces is handed over already, or is not of this order.',
  'order-part-gone': () =>
    'A piece of this order is handed over; it cannot be cancelled any more. Money can be given back.',
  'chart-overlaps': ({ f }) => `${f.size} does not come after ${f.before}: sizes rise from step to step.`,
  'chart-falls': ({ cash }) => `${cash('price')} is less than the ${cash('before')} of a smaller size.`,
  'deposit-less': ({ cash }) =>
    `The deposit is ${cash('deposit')}; ${cash('missing')} of it would still be missing. Say why, or let an owner take it.`,
  'discount-reason': () => 'Say why the discount is given.',
  'discount-needs-owner': ({ f }) =>
    `${f.percent} % less than the rules ask is above your ${f.limit} %. An owner’s PIN allows it, for this order only.`,
  'edition-unknown': ({ f }) => `There is no edition ${f.edition}.`,
  'edition-first': () => 'Before the first edition there is nothing to go back to.',
  'edition-begun': ({ f }) =>
    `Edition ${f.edition} is in force, or is not the newest: only the newest can be taken back, before it begins.`,
  'extra-row': ({ f }) => `“${f.read}” is not an extra: a name; a price; and goods, work or delivery.`,
  'break-row': ({ f }) => `“${f.read}” is not a break: a count and a percent, such as 5 10.`,
  'edition-scheduled': ({ f }) =>
    `Edition ${f.edition} of the books begins on ${dayName(String(f.starts))}: begin on that day or later, or take it back first.`,
  'refund-above-paid': ({ cash }) =>
    `${cash('amount')} is more than what was paid and not given back yet: ${cash('paid')}.`,
  'write-off-early': () => 'Nothing is owed before the order is handed over.',
  'tendered-less': ({ cash }) => `${cash('tendered')} is less than the ${cash('amount')} to take.`,
  'voucher-unknown': () => 'There is no voucher with this code. Look at each sign again.',
  'voucher-expired': ({ f }) => `This voucher ran out on ${dayName(String(f.day))}.`,
  'voucher-used': () => 'Nothing is left on this voucher.',
  'voucher-less': ({ cash }) => `${cash('left')} is left on this voucher, less than ${cash('amount')}.`,
  'voucher-over': ({ f }) => `${dayName(String(f.day))} is not in the future: it would have run out at once.`,
  'refund-needs-owner': ({ cash }) => `Above ${cash('limit')} an owner’s PIN is needed.`,
  'refund-other-means': ({ cash }) =>
    `${cash('received')} came by this means. More than that goes back this way only with an owner’s PIN, and never to a voucher.`,
  'kept-above-paid': ({ cash }) => `${cash('kept')} is more than what was paid: ${cash('paid')}.`,
  'till-name-taken': ({ f }) => `There is a till named ${f.name} already.`,
  'till-unknown': () => 'There is no such till.',
  'till-open': () => 'This till is open already.',
  'till-closed': () => 'This till isn’t open yet. Count its cash and open it under Till, then try again.',
  'amount-unlikely': ({ cash }) => `${cash('amount')} is more than a drawer ever holds. Is it right?`,
  'entry-unknown': () => 'This entry can’t be taken back.',
  'voucher-begun': () => 'Part of this voucher was used already, so its sale can’t be taken back.',
  'entry-reversed': () => 'This entry was taken back already.',
  'till-not-counted': () => 'It has not been counted yet.',
  'till-moved': () => 'Something was booked at this till after it was counted. Count it again.',
  'till-off': () => 'It does not come to what was expected. Say in a sentence why, as far as you know.',
  'cash-less': ({ cash }) => `${cash('there')} should lie in this till, less than ${cash('amount')}.`,
  'fee-above': ({ cash }) => `A fee of ${cash('fee')} is more than the payout of ${cash('amount')}.`,
  'nothing-owed': () => 'This customer owes nothing on account.',
  'day-not-sealed': () => 'This day is not sealed yet; there is no report of it.',
  'account-limit': ({ cash }) =>
    `${cash('owing')} is owed on account already; with ${cash('balance')} more it would be above the limit of ${cash('limit')}.`,
  'write-off-above': ({ cash }) => `${cash('amount')} is more than what is owed: ${cash('owed')}.`,
  'payment-above-balance': ({ cash }) => `${cash('amount')} is more than the balance of ${cash('balance')}.`,
  'payment-unknown': () => 'There is no such payment.',
  'payment-reversed': () => 'This payment is reversed already.',
  'amount-wrong': ({ f }) => `“${f.typed}” is not an amount. Expected something like 94.00.`,
  'card-declined': () => 'The card was declined. Nothing was booked; try another card, or cash.',
  'card-silent': () => 'The terminal still does not answer.',
  'card-waiting': ({ cash }) => `The terminal has not answered about ${cash('amount')} yet. Ask it again first.`,
  'card-unknown': () => 'The terminal was never asked for this.',
  'cancel-with-money': ({ cash }) =>
    `${cash('paid')} has been paid. Give it back (reverse the payments) before the order is cancelled.`,
  'balance-open': ({ cash }) => `${cash('balance')} is still to be paid.`,
  'job-unknown': () => 'There is no such job.',
  'job-stale': ({ f }) => `${changed(String(f.ticket), f.by)} Here is how it stands now. Check, then tap again.`,
  'job-closed': ({ f }) => `${f.ticket} is ${f.state}; nothing can be done at the bench.`,
  'job-held': ({ f }) => `${f.ticket} is on hold: ${f.reason}.`,
  'job-not-held': ({ f }) => `${f.ticket} is not on hold.`,
  'job-not-ready': ({ f }) => `${f.ticket} has not passed its final check yet.`,
  'step-elsewhere': ({ f }) => `“${stepName(String(f.step))}” is not done here.`,
  'step-needs': ({ f }) => `“${stepName(String(f.needs))}” comes first.`,
  'step-done': ({ f }) => `“${stepName(String(f.step))}” is done already.`,
  'step-not-begun': ({ f }) => `“${stepName(String(f.step))}” was not begun, so there is nothing to undo.`,
  'step-too-early': ({ f }) =>
    `${waitName(String(f.for))} after “${stepName(String(f.after))}”: free from ${momentName(String(f.free || f.until))}.`,
  'built-not-here': () => 'There is nothing of this kind to be measured on this piece.',
  'built-far': ({ len }) => `${len('measured')} was read, where ${len('nominal')} was computed. Measure once more.`,
  'built-beyond': ({ len }) =>
    `The rabbet differs by ${len('w')} in width and ${len('h')} in height, more than its allowance of ${len('allowance')}. Nothing was re-sized.`,
  'built-too-large': ({ f, len }) => `${cap(f.part)} is cut already, and ${len('over')} too large for this rabbet.`,
  'built-too-small': ({ f, len }) =>
    `${cap(f.part)} is cut already, and can move ${len('loose')}: it could leave the lip.`,
  'built-too-shallow': ({ deep }) => `The package stands ${deep('over')} proud of this rabbet. Take a thinner back.`,
  'built-no-gap': ({ len }) => `The piece is ${len('short')} larger than the inside.`,
  'step-later': ({ f }) => `“${stepName(String(f.later))}” rests on it. Undo that first.`,
  'check-open': ({ f }) => `“${pointName(String(f.point))}” is neither passed nor failed yet.`,
  'paper-not-of-it': ({ f }) => `${f.ticket} has nothing for this paper.`,
  'marks-unknown': () => 'Marks are given as behind.svg, behind.dxf, front.svg or front.dxf.',
  'ticket-unknown': ({ f }) => `No job has the ticket ${f.ticket}.`,
  'pin-wrong': ({ f }) =>
    `That is not ${f.name === '' ? 'an owner’s PIN' : `${f.name}’s PIN`}.${Number(f.seconds) > 0 ? ` Wait ${waitText(Number(f.seconds))}, then try again.` : ''}`,
  'pin-slow': ({ f }) =>
    f.name === ''
      ? `There were too many wrong PINs. Try again in ${waitText(Number(f.seconds))}.`
      : `${f.name} can try again here in ${waitText(Number(f.seconds))}.`,
  'photo-kind': () => 'This is no photo that can be read here. Send a JPEG, PNG or WebP.',
  'photo-heic': () =>
    'This is a HEIC photo, which cannot be read here. On the phone choose “Most compatible” for the camera, or send it as JPEG.',
  'photo-broken': () => 'This photo is damaged or was cut off on the way. Send it again, or take it anew.',
  'photo-pixels': ({ f }) => `This picture has more than ${f.most} million pixels. Send it smaller.`,
  'photo-small': ({ f }) => `This picture has ${f.w} × ${f.h} pixels. At least ${f.least} each way show anything.`,
  'photo-large': ({ f }) => `A photo may have ${f.most} MB. Send it smaller.`,
  'house-design-unknown': () => 'This house design is not there any more.',
  'house-designs-full': ({ f }) => `There are ${f.most} house designs already: drop one first.`,
  'screen-unknown': () => 'This screen is not one of the shop’s any more.',
  'photo-unknown': () => 'This photo is not here any more. Take it again.',
  'record-stale': () =>
    `${changed('What is written down about this piece')} What you typed is still here; check it and save again.`,
  'record-unknown': () => 'Nothing is written down about this piece yet.',
  'value-not-signed': ({ f, cash }) =>
    `Piece ${f.piece} is valued at ${cash('value')}, above ${cash('limit')}. Its receipt is signed before anything is agreed: open the piece, “Photos and condition”.`,
  'value-not-locked': ({ f, cash }) =>
    `Piece ${f.piece} is valued at ${cash('value')}, above ${cash('limit')}. It lies in a locked place: open the piece and say which.`,
  'customer-stale': ({ f }) =>
    `${changed(String(f.name), f.by)} What you typed is still here; check it and save again.`,
  'customer-gone': ({ f }) => `${f.name} is not in the list any more: joined with another, or forgotten.`,
  'customer-open': ({ f }) => `Order ${f.number} is still open or not paid. Nobody is forgotten before that is done.`,
  'customer-row': ({ f }) =>
    `Row ${f.row}, ${f.column}: ${CUSTOMER_ROW[String(f.why)]!(String(f.read), String(f.known))}.`,
  'customer-same': () => 'These are one and the same. Choose another.',
  'body-too-large': ({ f }) => `That is larger than ${f.most}. Nothing was read.`,
  'body-not-json': () => 'This is not JSON.',
  'too-many': () => 'Too many computations at once. Wait a second.',
  'connection-lost': () => 'The server does not answer. What you typed is kept here; try again in a moment.',
  fault: () => 'Something broke on our side. Nothing was changed; try again.',
};
