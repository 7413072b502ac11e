/**
 * An order being made at the desk: pieces with their designs, and whatever is typed in a field but is not (yet) a
 * value. A change is an edit of this one value, so undo covers everything, typing included.
 */
import { type Calendar, addDays, firstOpenDay } from '@/core/schedule/calendar';
import type { Beginning, DraftPieceView, DraftView, OrderView, ShopView } from '@/contract/views';
import { type Design, newDesign } from '@/core/design/design';
import { type Edit, type Path, read as at, sameValue, set } from '@/core/design/edit';
import { type Issue, type Outcome, good } from '@/core/issue';
import { defaultSettings } from '@/core/settings';
import { type Length, type Unit, inches, mm } from '@/core/units/length';
import { parseLength, splitSize } from '@/core/units/parse-length';

export type DraftPiece = DraftPieceView;
export type Draft = DraftView;

export function newPiece(shop: ShopView): DraftPiece {
  const settings = defaultSettings(shop.homeUnit);
  const { mouldings } = shop.lists;
  const moulding = mouldings.some((moulding) => moulding.code === shop.defaults.moulding)
    ? shop.defaults.moulding
    : (mouldings[0]?.code ?? '');
  const [width, height] = shop.homeUnit === 'in' ? [inches(11), inches(14)] : [mm(280), mm(350)];
  return {
    id: crypto.randomUUID(),
    design: newDesign(settings, { ...shop.defaults, moulding }, width, height),
    typed: { 'piece.width': '', 'piece.height': '' },
  };
}

/** A piece designed like one before: another name, and measured anew. */
const pieceLike = (design: Design): DraftPiece => ({
  id: crypto.randomUUID(),
  design: { ...design, insists: '', piece: { ...design.piece, title: '' } },
  typed: { 'piece.width': '', 'piece.height': '' },
});

/** A new order that begins with a customer, or with a design that they had. */
export const begunWith = (fresh: Draft, { customer, design }: Beginning): Draft => ({
  ...fresh,
  customer: customer ?? fresh.customer,
  pieces: design ? [pieceLike(design)] : fresh.pieces,
});

const USUAL_DAYS = 14;
/** Two weeks from a day, as the shop usually promises, or the next day that it is open. */
export function usualPromise(today: string, calendar: Calendar): string {
  const day = addDays(today, USUAL_DAYS);
  return firstOpenDay(calendar, day) ?? day;
}

export const newDraft = (shop: ShopView, today: string): Draft => ({
  orderId: crypto.randomUUID(),
  customer: null,
  promised: usualPromise(today, shop.calendar),
  pieces: [newPiece(shop)],
});

export const draftOf = (order: OrderView): Draft => ({
  orderId: order.id,
  customer: order.customer,
  promised: order.promised,
  ...(order.wall ? { wall: order.wall } : {}),
  pieces: order.pieces.map(({ id, design, letter, others = [] }) => ({
    id,
    design,
    typed: {},
    ...(others.length > 0
      ? { letter, others: others.map(({ price: _price, ...other }) => other) }
      : letter && letter !== 'A'
        ? { letter }
        : {}),
  })),
});

const ZERO_ALLOWED =
  /reveal|allowance|extra|overlap|floatGap|less|left$|top$|own\.(setBack|riserMin|clearance|margin|stretch|tuck|showBorder)/;
/** Keys that a build asks for but that may be left empty. */
const MAY_BE_EMPTY = /^own\.|corner$|^hanging\.plate$/;
const keyOf = (path: Path) => path.join('.');
/** `12 x 16` may stand in the field of the width while it is typed; its first half is the width. */
function halves(key: string, text: string): readonly [width: string, height?: string] | undefined {
  if (key !== 'piece.width') return undefined;
  const begun = /^(.*\d.*?)\s*(?:×|x|by?)\s*$/i.exec(text)?.[1];
  return begun === undefined ? splitSize(text) : [begun];
}
const readAs = (key: string, text: string, unit: Unit): Outcome<Length | undefined> =>
  text === '' && MAY_BE_EMPTY.test(key) && !key.startsWith('own.seat')
    ? good(undefined)
    : parseLength(halves(key, text)?.[0] ?? text, { unit, zeroAllowed: ZERO_ALLOWED.test(key) });

/** Typing in one field: the text is kept; the value follows when the text is a length. Both paths always, so that typing merges into one step. */
function typeOne(draft: Draft, piece: number, path: Path, text: string, unit: Unit): Edit {
  const result = readAs(keyOf(path), text, unit);
  const target = ['pieces', piece, 'design', ...path];
  return [
    ...set(draft, target, result.ok ? result.value : at(draft, target)),
    ...set(draft, ['pieces', piece, 'typed', keyOf(path)], text),
  ];
}

/** Typing in a field; `12 x 16` in the width fills the height as well, and stays there as it is typed until the field is left. */
export function typeLength(draft: Draft, piece: number, path: Path, text: string, unit: Unit): Edit {
  const both = halves(keyOf(path), text);
  const here = typeOne(draft, piece, path, text, unit);
  return both?.[1] === undefined ? here : [...here, ...typeOne(draft, piece, ['piece', 'height'], both[1], unit)];
}

/** Leaving a field: a text that is a length gives way to the value it stands for. */
export function commitLength(draft: Draft, piece: number, path: Path, unit: Unit): Edit {
  const typed = draft.pieces[piece]?.typed[keyOf(path)];
  if (typed === undefined || !readAs(keyOf(path), typed, unit).ok) return [];
  const target = ['pieces', piece, 'design', ...path];
  return [...set(draft, target, at(draft, target)), ...set(draft, ['pieces', piece, 'typed', keyOf(path)], undefined)];
}

/** What is wrong in a field; an empty field that nobody filled yet is only missing. */
export function typedIssue(piece: DraftPiece, path: Path, unit: Unit): Issue | undefined {
  const text = piece.typed[keyOf(path)];
  if (text === undefined || text === '') return undefined;
  const result = readAs(keyOf(path), text, unit);
  return result.ok ? undefined : result.issues[0];
}

/** Fields that hold no length: nothing can be saved until they do. */
export const unread = (piece: DraftPiece, unit: Unit): string[] =>
  Object.entries(piece.typed).flatMap(([key, text]) => (readAs(key, text, unit).ok ? [] : [key]));

/** Whether two drafts say the same order: a text that is still in its field but says the field's value makes no difference. */
export function sameDraft(a: Draft, b: Draft, unit: Unit): boolean {
  const said = ({ customer, promised, wall, pieces }: Draft) => ({
    customer: customer?.id,
    promised,
    wall,
    pieces: pieces.map(({ id, design, letter = 'A', others = [] }) => ({
      id,
      design,
      letter,
      others: others.map(({ typed: _typed, ...other }) => other),
    })),
  });
  return sameValue(said(a), said(b)) && [...a.pieces, ...b.pieces].every((piece) => unread(piece, unit).length === 0);
}

export const lengthAt = (piece: DraftPiece, path: Path): Length | undefined =>
  at(piece.design, path) as Length | undefined;
export { keyOf };
