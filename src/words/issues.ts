/** Every issue and caution in words: one place, plain speech, the figures in the unit in force. */
import type { Issue } from '@/core/issue';
import { type Length, type Unit } from '@/core/units/length';
import { fieldText } from '@/core/units/format-length';
import { type Money, formatMoney } from '@/core/units/money';
import { pointName, stepName } from './bench';

type Figures = Issue['figures'];
interface Say {
  readonly f: Figures;
  /** A figure that is a length, with its unit. */
  readonly len: (key: string) => string;
  /** A depth: always in millimetres, as materials are sold. */
  readonly deep: (key: string) => string;
  readonly cash: (key: string) => string;
  readonly unit: Unit;
}
type Sentence = (say: Say) => string;

const PLACE_NAMES: Record<string, string> = {
  public: 'A public place',
  child: 'A child’s room',
  'over a bed': 'Over a bed',
};
const cap = (text: string | number | undefined) => String(text ?? '').replace(/^./, (first) => first.toUpperCase());

/** `40 s`, `3 min`. */
const waitText = (seconds: number) => (seconds < 90 ? `${seconds} s` : `${Math.ceil(seconds / 60)} min`);

const EXAMPLE = { in: '16 7/8', mm: '425 or 42.5 cm' } as const;

const LENGTHS: Record<string, Sentence> = {
  'length-empty': ({ unit }) => `Nothing is written here. A length was expected, such as ${EXAMPLE[unit]}.`,
  'length-too-long': () => 'That is too long to be a length.',
  'length-word': ({ f, unit }) =>
    `“${f.read}” is not a unit or a number. A length was expected, such as ${EXAMPLE[unit]}.`,
  'length-sign': ({ f, unit }) =>
    `The sign “${f.read}” has no place in a length. Expected something like ${EXAMPLE[unit]}.`,
  'length-two-numbers': ({ f }) =>
    `Two numbers stand side by side at “${f.read}”. Write a fraction such as 10 3/8, or a + between them.`,
  'length-two-units': ({ f }) => `There is one unit too many at “${f.read}”.`,
  'length-improper': ({ f }) => `After a whole number the fraction must be less than one; ${f.read} is not.`,
  'length-inches-many': ({ f }) => `After feet come fewer than 12 inches; ${f.read} are not.`,
  'length-over-zero': () => 'Something is divided by zero here.',
  'length-product': () => 'A length times a length is an area. A length was expected.',
  'length-divided': () => 'A length can be divided by a number, not by a length.',
  'length-bracket': () => 'A bracket is open or closed without its other half.',
  'length-unfinished': ({ f }) => `“${f.typed}” stops before it is finished.`,
  'length-unexpected': ({ f }) => `“${f.read}” stands where a number was expected.`,
  'length-negative': ({ f }) => `“${f.typed}” comes out below zero. A size is more than zero.`,
  'length-zero': ({ f }) => `“${f.typed}” comes out as nothing. A size is more than zero.`,
  'length-too-big': ({ f }) => `“${f.typed}” is more than 10 m, longer than anything here can be.`,
};

const DESIGN: Record<string, Sentence> = {
  'material-unknown': ({ f }) =>
    f.code === ''
      ? 'Nothing is chosen here yet.'
      : `${f.code} is no longer in the price list. Choose another; everything else is kept.`,
  'overlap-takes-all': ({ len }) =>
    `An overlap of ${len('overlap')} a side leaves no window in a piece whose shorter side is ${len('shorter')}.`,
  'rabbet-wider-than-face': ({ len }) =>
    `The rabbet (${len('rabbet')}) is not narrower than the face (${len('face')}): the moulding’s figures cannot be right.`,
  'frame-closes': ({ len }) => `A rabbet of ${len('rabbet')} a side would close the frame over this piece.`,
  'chart-row': ({ f }) => `“${f.read}” is not a step. Expected a size and a price, such as 20 31.00.`,
  'chart-empty': () => 'A chart has at least one step: a size and a price, such as 20 31.00.',
  'batch-overlap': ({ len }) =>
    `This piece would be covered by ${len('overlap')} only; ${len('least')} at least keeps it in its window.`,
  'border-none': () => 'A border comes out as nothing: there is no mat left on that side.',
  'fit-no-border': ({ len }) =>
    `A window of ${len('w')} × ${len('h')} leaves no border as wished in a package of ${len('packW')} × ${len('packH')}.`,
  'set-back-takes-border': ({ len }) =>
    `A hidden spacer set back ${len('setBack')} needs borders wider than that; the narrowest is ${len('border')}.`,
  'tab-none': () => 'Nothing is left for a tab: the window or the border is too narrow for a turned edge.',
  'circle-not-round': ({ len }) => `A circle is as wide as high; this window is ${len('w')} × ${len('h')}.`,
  'corner-too-big': ({ len }) =>
    `${len('corner')} at the corners is too much for a window of ${len('w')} × ${len('h')}.`,
  'strip-shows': ({ len }) => `A strip of ${len('strip')} would be seen: the lip hides ${len('room')}.`,
  'strip-too-wide': ({ len }) => `Two strips of ${len('strip')} fill the whole piece.`,
  'package-none': () => 'Nothing is left of the package with these figures.',
  'nothing-left': () => 'One of the parts comes out as nothing with these figures.',
  'lip-too-wide': ({ len }) => `A lip of ${len('lip')} is not narrower than the fillet itself.`,
  'polygon-sides': ({ f }) => `A frame has 3 to 12 equal sides; ${f.sides} were asked for.`,
  'polygon-size': () => 'Say the side, or the size across the flats.',
  'number-wrong': ({ f }) => `“${f.typed}” is not a number. Expected something like 2.5.`,
  'caution-unknown': ({ f }) => `There is no caution “${f.code}”.`,
  'topic-unknown': ({ f }) => `There is no sum “${f.topic}”.`,
  'path-unknown': ({ f }) => `There is nothing at ${f.path}. What there is stands in /api/v1/openapi.json.`,
  'reveals-take-border': () => 'The reveals take the whole border: nothing is left of the top mat.',
  'ends-differ': ({ len }) =>
    `The two ends differ by more than half (${len('first')} and ${len('second')}). Measure again.`,
  'slack-wrong': ({ f }) => `Slack is a share between 0 and 1 such as 0.05; “${f.typed}” was read.`,
};

const CAUTIONS: Record<string, Sentence> = {
  'opening-not-covered': ({ len }) =>
    `The window ${len('openingW')} × ${len('openingH')} is not smaller than the piece ${len('pieceW')} × ${len('pieceH')}: it would fall through.`,
  'opening-overlap-small': ({ len }) =>
    `The mat covers only ${len('overlap')} of the edge; ${len('least')} is wanted here.`,
  'trim-original': ({ len }) =>
    `The package ${len('packageW')} × ${len('packageH')} is smaller than the piece ${len('pieceW')} × ${len('pieceH')}, and an original is never trimmed.`,
  'border-thin': ({ len }) =>
    `Only ${len('seen')} of border is seen; on a piece this large ${len('least')} or more looks meant.`,
  'depth-proud': ({ deep }) => `The stack is ${deep('total')} deep and stands ${deep('proud')} proud of the rabbet.`,
  'depth-tight': ({ deep }) => `Fits with ${deep('room')} to spare; points want ${deep('wanted')}.`,
  'depth-loose': ({ deep }) =>
    `${deep('room')} of the rabbet stays empty: fill up to ${deep('filler')} behind, so that nothing rattles.`,
  'board-too-small': ({ f, len }) =>
    `${f.name} comes no larger than ${len('sheetW')} × ${len('sheetH')}; the package is ${len('w')} × ${len('h')}.`,
  'glass-too-small': ({ len }) =>
    `This glazing comes no larger than ${len('sheetW')} × ${len('sheetH')}; the package is ${len('w')} × ${len('h')}.`,
  'glass-too-big': ({ len }) =>
    `Glass of ${len('w')} × ${len('h')} is dangerous to handle: acrylic or thicker glass, two people, gloves.`,
  'stick-too-short': ({ len }) =>
    `The longest leg is ${len('leg')}; a stick is ${len('stick')} less ${len('trim')} at each end.`,
  'rabbet-narrow': ({ len }) =>
    `A rabbet of ${len('rabbet')} could let the package slip out; ${len('least')} is wanted.`,
  'moulding-weak': ({ f }) => `The piece weighs ${f.kg} kg; this moulding carries ${f.limit} kg.`,
  'no-uv': () => 'Worth keeping, but the glazing does not hold back ultraviolet light.',
  'not-archival': ({ f }) => `${f.name} is not acid-free, and the piece cannot be had again.`,
  'no-wire': ({ f }) =>
    `At ${f.kg} kg and this width no wire: two hooks or a cleat, fixed into structure by local rules, and two people.`,
  'hanger-weak': ({ f }) => `Each ring must be rated ${f.needed} kg; none in stock is.`,
  'dry-mount-original': () => 'Heat or glue all over cannot be undone, and this piece cannot be had again.',
  'adhesive-on-document': () => 'Tape or glue on a document takes from its value: corners or edge strips instead.',
  'border-bottom-light': ({ len }) =>
    `The bottom border, ${len('bottom')}, is narrower than the top, ${len('top')}: it looks as if it slid down.`,
  'bridge-narrow': ({ len }) =>
    `A bridge or border of ${len('bridge')} between windows will not hold; ${len('least')} is the least.`,
  'sheds-needs-spacer': ({ f }) =>
    `${cap(f.medium)} sheds: flakes need a hidden spacer or room to fall behind the mat.`,
  'sheds-static': ({ f }) => `Acrylic is static and lifts ${f.medium}: glass instead.`,
  'touches-glass': ({ f }) => `The ${f.medium} would lie against the glazing and stick: a mat or spacer strips.`,
  'coated-side': () => 'The glazing is coated: mark the coated side and keep it where it belongs.',
  ammonia: ({ f }) =>
    f.glazing === 'acrylic'
      ? 'Acrylic: a cleaner made for it and a soft cloth, nothing with ammonia or alcohol.'
      : 'An archival package: clean with no ammonia, away from the piece.',
  'object-touches-glass': ({ f, deep }) =>
    `The object is ${deep('object')} deep and the box ${deep('inner')}: it would touch the glass.${f.needed ? ` A rabbet of ${deep('needed')} would do.` : ''}`,
  'object-near-glass': ({ f, deep }) =>
    `The object is ${deep('object')} deep, the box ${deep('inner')}: less than ${deep('clearance')} to the glass.${f.needed ? ` A rabbet of ${deep('needed')} would do.` : ''}`,
  'rabbet-widen-weak': ({ len }) =>
    `Widening the rabbet by ${len('x')} a side leaves ${len('wood')} of wood: no points from behind, corner brackets and a fillet instead.`,
  'rabbet-widen-no': ({ len }) =>
    `Widening the rabbet by ${len('x')} a side would leave ${len('wood')} of wood; less than ${len('least')} does not hold. Another moulding or size.`,
  'screw-through': ({ len }) =>
    `A screw of ${len('screw')} comes within ${len('clear')} of the face, ${len('deep')} away.`,
  'screw-short': ({ len }) => `A screw of ${len('screw')} does not reach a third into the bar.`,
  'keyed-fixed': () => 'Screwed hard, the keys can no longer widen the stretcher: oversized holes and washers.',
  'canvas-no-gap': ({ len }) => `A gap of ${len('gap')} lets the canvas touch the wall; ${len('least')} at least.`,
  'keys-blocked': ({ len }) =>
    `A gap of ${len('gap')} leaves the keys no room to widen the stretcher; ${len('least')} would.`,
  'shim-uneven': ({ deep }) =>
    `Cards of this thickness leave ${deep('off')} open on one side: the piece sits off centre.`,
  'plate-too-wide': ({ len }) => `The hanger plate, ${len('plate')}, is wider than the rail behind it, ${len('rail')}.`,
  'thick-paint': () => 'The paint stands high: never face down under weight, never pressed.',
  'safety-glazing': ({ f }) =>
    `${PLACE_NAMES[String(f.place)] ?? 'There'}: safety glazing or acrylic; local codes decide.`,
  heavy: ({ f }) =>
    `${f.kg} kg: two people lift it, two hooks or a cleat fixed into structure; local codes decide, a licensed installer where they require one.`,
  'wire-orientation': () => 'As high as wide: the top and the ring side are marked on the ticket and the back.',
  'value-high': ({ cash }) => `Worth ${cash('value')}, over ${cash('limit')}: a written agreement and a locked place.`,
  'lead-time': ({ f }) => `Promised for ${f.promised}, but the material is here on ${f.here}.`,
  damaged: () => 'Mould, flaking or tears: a conservator decides; the shop does not repair it.',
  'old-finish': () => 'An old finish may hold lead: test before sanding or stripping, and follow local rules.',
  'dust-fumes': () => 'Dust or fumes: extraction or outdoors, a respirator, no flame; read the label.',
  darkens: () => 'This timber or finish changes with light: say so to the customer.',
  'blade-glass': () => 'Glass and fresh blades: cut-resistant gloves and eye protection.',
  wicking: () => 'Liquid runs under edges and cans spit: spray the cloth, away from the piece.',
  'wire-shows': ({ len }) =>
    `The wire rises ${len('rise')} above rings that sit ${len('ringDrop')} below the top: it would show.`,
};

const WAYS: Record<string, Sentence> = {
  'set-overlap': ({ len }) => `Overlap ${len('overlap')}`,
  'widen-border': ({ len }) => `Border ${len('border')}`,
  'use-backing': ({ f }) => `Use ${f.name}`,
  'use-board': ({ f }) => `Use ${f.name}`,
  'use-glazing': ({ f }) => `Use ${f.name}`,
  'use-archival': ({ f }) => `Use ${f.name}`,
  'use-moulding': ({ f }) => `Use ${f.name}`,
  'fewer-mats': () => 'Leave out the lowest mat',
  'no-hanging': () => 'No wire; two hooks on the wall',
  'more-slack': ({ f }) => `Slack ${f.slack}`,
  'less-slack': ({ f }) => `Slack ${f.slack}`,
  'two-hooks': () => 'Two hooks on the frame, no wire',
  'hinge-instead': () => 'Hinges that come off again',
  'corners-instead': () => 'Corner pockets instead',
  'even-border': () => 'Bottom as wide as the top',
  'widen-bridge': ({ len }) => `Bridges ${len('bridge')}`,
  'add-spacer': () => 'A hidden spacer mat',
  'add-strips': () => 'Spacer strips under the lip',
  'own-size': () => 'Its own outside size',
  'oversized-holes': () => 'Oversized holes and washers',
  'set-gap': ({ len }) => `Gap ${len('gap')}`,
  'lower-rings': ({ len }) => `Rings ${len('distance')} below the top`,
};

const SHOP: Record<string, Sentence> = {
  'sign-in-first': () => 'You are signed out. Sign in again; what you typed is kept.',
  'not-permitted': ({ f }) => `A ${f.role} may not do this. Ask the owner.`,
  'role-not-permitted': ({ f }) => `This is not for the ${f.role}. Ask the owner.`,
  'command-internal': ({ f }) => `“${f.command}” is done by Lopren itself.`,
  'origin-foreign': () => 'This came from a page of another site and was not done.',
  'type-wrong': ({ f }) => `The body has to be application/json; it is ${f.read || 'nothing'}.`,
  'upload-header': () => 'A file is sent with the header x-lopren-upload.',
  'text-unreadable': () => 'There is a sign in this text that cannot be kept. Type it again.',
  'set-up-code': () => 'That is not the code. It was printed where Lopren was started.',
  'staff-unknown': () => 'Nobody of that name works here now.',
  'last-owner': ({ f }) => `${f.name} is the only owner. Make somebody else an owner first.`,
  'pins-differ': () => 'The two are not the same.',
  'rack-stale': ({ f }) =>
    `${f.code || 'This piece'} was changed at another screen. Look again; what you typed stays here.`,
  'settings-stale': () => 'The settings were changed at another screen. Look again; what you typed stays here.',
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
  'input-wrong': ({ f }) => `This could not be read: ${f.reason}.`,
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
  'customer-unknown': () => 'Choose or add the customer first.',
  'order-unknown': () => 'There is no such order.',
  'piece-elsewhere': () => 'A piece of this order belongs to another order. Reload the page.',
  'order-stale': ({ f }) =>
    `Order ${f.number} was changed elsewhere since you opened it. Your typing is kept; choose whose version stays.`,
  'order-agreed': ({ f }) => `Order ${f.number} is ${f.state} already; nothing was changed.`,
  'caution-refuses': ({ f }) => `Piece ${f.piece} cannot be accepted while “${cautionName(String(f.caution))}” stands.`,
  'caution-needs-reason': ({ f }) => `Piece ${f.piece}: say why “${cautionName(String(f.caution))}” is accepted.`,
  'price-missing': ({ f }) => `${f.name} has no cost in the books, so there is no price to agree.`,
  'price-too-high': ({ cash }) => `This comes to more than ${cash('most')}, the most that can be kept.`,
  'price-changed': ({ cash }) =>
    `The total is now ${cash('now')}, not ${cash('seen')} as shown: the price book was changed. Look at it again before you agree.`,
  'payment-not-agreed': ({ f }) => `Order ${f.number} is ${f.state}; money is taken on accepted orders.`,
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
  'job-stale': ({ f }) => `${f.ticket} was changed at another screen. This is how it stands now; look and tap again.`,
  'job-closed': ({ f }) => `${f.ticket} is ${f.state}; nothing can be done at the bench.`,
  'job-held': ({ f }) => `${f.ticket} is on hold: ${f.reason}.`,
  'job-not-held': ({ f }) => `${f.ticket} is not on hold.`,
  'job-not-ready': ({ f }) => `${f.ticket} has not passed its final check yet.`,
  'step-elsewhere': ({ f }) => `“${stepName(String(f.step))}” is not done here.`,
  'step-needs': ({ f }) => `“${stepName(String(f.needs))}” comes first.`,
  'step-done': ({ f }) => `“${stepName(String(f.step))}” is done already.`,
  'step-not-begun': ({ f }) => `“${stepName(String(f.step))}” was not begun, so there is nothing to undo.`,
  'step-later': ({ f }) => `“${stepName(String(f.later))}” rests on it. Undo that first.`,
  'enclosure-open': ({ f }) => `Tick “${pointName(String(f.tick))}” before the frame is closed.`,
  'check-open': ({ f }) => `“${pointName(String(f.point))}” is neither passed nor failed yet.`,
  'ticket-unknown': ({ f }) => `No job has the ticket ${f.ticket}.`,
  'pin-wrong': ({ f }) =>
    `That is not ${f.name}’s PIN.${Number(f.seconds) > 0 ? ` Wait ${waitText(Number(f.seconds))}, then try again.` : ''}`,
  'pin-slow': ({ f }) => `${f.name} can try again here in ${waitText(Number(f.seconds))}.`,
  'body-too-large': ({ f }) => `That is larger than ${f.most}. Nothing was read.`,
  'body-not-json': () => 'This is not JSON.',
  'too-many': () => 'Too many computations at once. Wait a second.',
  'connection-lost': () => 'The server does not answer. What you typed is kept here; try again in a moment.',
  fault: () => 'Something broke on our side. Nothing was changed; try again.',
};

const LIST: Record<string, Sentence> = {
  'list-nothing': () => 'The file is empty.',
  'list-binary': () => 'This is not a text file. Save the list as CSV first.',
  'list-columns': ({ f }) => `The first row must name the columns. Missing: ${f.missing}.`,
  'list-column-twice': ({ f }) => `The column ${f.column} is there twice.`,
  'list-rows': ({ f }) => `${f.rows} rows are more than the ${f.most} that are read at once. Split the file.`,
  'list-quotes': ({ f }) => `A quotation mark near row ${f.row} is never closed.`,
  'list-fields': ({ f }) => `${f.found} fields; the first row names ${f.wanted}.`,
  'list-empty': () => 'nothing is written',
  'list-long': ({ f }) => `${f.length} letters; at most ${f.most}`,
  'list-formula': ({ f }) => `“${f.read}” begins like a formula, which a spreadsheet would run`,
  'list-code': ({ f }) => `“${f.read}” holds more than letters, digits, . - / and spaces`,
  'list-choice': ({ f }) => `“${f.read}” is not one of ${f.allowed}`,
  'list-colour': ({ f }) => `“${f.read}” is not a colour like #8a6f4d`,
  'list-cost': ({ f }) => `“${f.read}” is not a cost like 4.20`,
  'list-rabbet-wide': () => 'not narrower than the face',
  'list-rabbet-deep': () => 'not less than the height',
  'list-code-case': ({ f }) => `${f.code} is ${f.known} in the books; write it the same way`,
  'list-code-twice': ({ f }) => `${f.code} stands in row ${f.row} already`,
  'list-refused': ({ f }) =>
    `${f.rows} rows are refused, the first is row ${f.first}. Nothing was imported; mend the file and choose it again.`,
  'list-unchanged': () => 'The list holds nothing new; nothing was imported.',
  'books-stale': () => 'The books were changed meanwhile. Look at the preview again.',
  'file-too-large': ({ f }) =>
    `${f.name} is ${f.megabytes} MB. A list may be up to 2 MB (some ten thousand mouldings); nothing was read.`,
};

const CUTTING: Record<string, Sentence> = {
  'cut-name-twice': ({ f }) => `“${f.id}” stands there twice. Each needs a name of its own.`,
  'cut-profile-unknown': ({ f }) => `“${f.id}” is not among the materials of this request.`,
  'cut-leg-too-long': ({ f }) => `A leg of ${f.leg} mm is longer than any stick (${f.most} mm between the trims).`,
  'cut-part-too-large': ({ f }) => `${f.w} × ${f.h} mm is larger than any sheet there is.`,
  'cut-too-little': ({ f }) => `There is too little of ${f.profile} for it.`,
  'cut-leg-unknown': ({ f }) => `${f.leg} is not in this plan.`,
  'cut-part-unknown': ({ f }) => `${f.part} is not cut by this plan, or was spoiled before.`,
  'cut-other-moulding': ({ f }) => `${f.leg} is of another moulding than ${f.profile}.`,
  'cut-no-room': ({ f }) => `${f.leg} does not find room on ${f.source}; nothing was moved.`,
  'cut-stopped': () => 'The work on the plan broke off. It was started anew; ask again.',
  'budget-wrong': ({ f }) => `“${f.read}” is not a time for a plan. Expected whole milliseconds from 1 to ${f.most}.`,
  'rack-height': () => 'A sheet has a width and a height; a stick has a length only.',
  'rack-zone': ({ len }) => `From ${len('from')} to ${len('to')} is not a stretch of a piece ${len('length')} long.`,
  'rack-gone': ({ f }) => `${f.code || 'This piece'} is not on the rack any more.`,
  'plan-rack-changed': ({ f }) =>
    `The rack or the jobs have changed since this plan was made (${f.what}). It is planned again with what is there now.`,
  'plan-wrong': () => 'This plan cannot be cut as it is. Plan again.',
  'plan-empty': () => 'There is nothing to cut in this plan.',
  'plan-unknown': () => 'There is no such plan, or it was undone.',
  'plan-not-latest': ({ f }) => `Plan ${f.number} is not the latest; only the latest can be undone.`,
  'plan-offcut-gone': ({ f }) => `${f.code} came from plan ${f.number} and is not on the rack any more.`,
  'plan-begun': ({ f }) => `Plan ${f.number} has begun: ${f.part} was cut and spoiled. It cannot be undone.`,
  'spoil-too-long': ({ len }) => `${len('left')} is more than the spoiled part was (${len('was')}).`,
  'machine-empty': () => 'The file holds nothing to cut.',
  'machine-not-dxf': () => 'This is not a DXF file with cuts in it.',
  'machine-entity': ({ f }) =>
    `“${f.entity}” is a shape this cutter does not know. It cuts lines, polylines, arcs and circles.`,
  'machine-layer': ({ f }) => `“${f.layer}” is not one of the layers SCORE, BEVEL and OUTLINE.`,
  'machine-bed': ({ f }) => `The drawing reaches ${f.w} × ${f.h} mm; the bed is ${f.bedW} × ${f.bedH} mm.`,
  'machine-open': ({ f }) => `A cut on ${f.layer} does not close: its ends are ${f.gap} mm apart.`,
  'machine-outside': ({ f }) => `A cut on ${f.layer} lies outside the outline of the board.`,
  'machine-no-outline': () => 'There is no OUTLINE, so the cutter does not know where the board ends.',
  'machine-number': ({ f }) => `“${f.read}” is not a measure.`,
  'mat-no-window': ({ f }) => `${f.ticket} has no mat with a window to cut.`,
};

/** What the checker of plans finds. */
const CHECKS: Record<string, Sentence> = {
  'bar-empty': ({ f }) => `Nothing is cut from ${f.source}.`,
  'sheet-empty': ({ f }) => `Nothing is cut from ${f.source}.`,
  'legs-too-close': ({ f }) => `There is no room for the cut before ${f.leg}.`,
  'leg-outside': ({ f }) => `${f.leg} reaches into the trimmed end of its stick.`,
  'leg-in-no-go': ({ f }) => `${f.leg} lies over a dent.`,
  'leg-unknown': ({ f }) => `${f.leg} is not wanted.`,
  'leg-wrong-profile': ({ f }) => `${f.leg} is cut from another moulding.`,
  'leg-twice': ({ f }) => `${f.leg} is cut twice.`,
  'frame-not-whole': ({ f }) => `${f.frame} has ${f.there} of its ${f.of} legs.`,
  'frame-twice': () => 'A frame is named twice among those that are not made.',
  'source-unknown': ({ f }) => `${f.source} is not there.`,
  'source-used-up': ({ f }) => `${f.source} is used more often than it is there.`,
  'offcut-untrue': () => 'What is left is not what the plan says.',
  'offcut-too-small': ({ f }) => `What is left, ${f.w} × ${f.h} mm, is too small to keep.`,
  'cut-not-through': () => 'A cut does not go from edge to edge.',
  'break-too-narrow': ({ f }) => `A cut leaves a strip of ${f.first} or ${f.rest} mm that cannot be broken off.`,
  'part-turned': ({ f }) => `${f.part} is turned, and its material may not be.`,
  'part-not-cut': ({ f }) => `The cuts do not free ${f.name}.`,
  'part-unknown': ({ f }) => `${f.part} is not wanted.`,
  'part-wrong-material': ({ f }) => `${f.part} is cut from another material.`,
  'part-twice': ({ f }) => `${f.part ?? 'A part'} is there twice.`,
  'part-missing': ({ f }) => `${f.part} is missing.`,
  'cost-untrue': () => 'The plan does not cost what it says.',
  'bound-above-cost': () => 'The bound lies above the cost.',
};

const SENTENCES: Record<string, Sentence> = {
  ...CUTTING,
  ...CHECKS,
  ...CAUTIONS,
  ...LENGTHS,
  ...DESIGN,
  ...SHOP,
  ...LIST,
};

/** Lengths in sentences are shown as finely as a rule can; a caution is often about little. */
function speak(table: Record<string, Sentence>, code: string, f: Figures, unit: Unit): string {
  const len = (key: string) => `${fieldText(Number(f[key] ?? 0) as Length, unit)} ${unit}`;
  const deep = (key: string) => `${fieldText(Number(f[key] ?? 0) as Length, 'mm')} mm`;
  const cash = (key: string) => formatMoney(Number(f[key] ?? 0) as Money);
  const sentence = Object.hasOwn(table, code) ? table[code] : undefined;
  return sentence ? sentence({ f, len, deep, cash, unit }) : code;
}

export const sayIssue = (one: Issue, unit: Unit): string => speak(SENTENCES, one.code, one.figures, unit);
export const sayCaution = (code: string, figures: Figures, unit: Unit): string => speak(CAUTIONS, code, figures, unit);
export const sayWayOut = (code: string, figures: Figures, unit: Unit): string => speak(WAYS, code, figures, unit);

/** A caution's code as a name: `stick-too-short` -> `stick too short`. */
export const cautionName = (code: string): string => code.replace(/-/g, ' ');
export const wordedCodes = (): string[] => Object.keys(SENTENCES);
