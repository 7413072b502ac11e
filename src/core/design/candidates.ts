/**
 * Several designs of one piece, of which one is chosen: the others are either still compared, or declined. A piece has
 * the design that is worked on, its letter, and the others; what belongs to the piece itself is the same in all.
 */
import type { Design } from './design';
import { type Edit, type Path, read } from './edit';

export const LETTERS = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'] as const;
export type Letter = (typeof LETTERS)[number];
/** So many are compared at once. */
export const MOST_COMPARED = 4;
/** What is of the piece and not of a design for it. */
const SHARED: ReadonlySet<string | number> = new Set(['piece', 'insists', 'value', 'count']);

export interface Other {
  readonly letter: Letter;
  readonly design: Design;
  /** Not compared any more; it stays on the record. */
  readonly declined?: true | undefined;
  /** Texts in its fields that are no values yet. */
  readonly typed?: Readonly<Record<string, string>> | undefined;
}
/** A piece with what can be chosen for it. */
export interface Choosing {
  readonly design: Design;
  readonly letter?: Letter | undefined;
  readonly others?: readonly Other[] | undefined;
  readonly typed: Readonly<Record<string, string>>;
}

export const letterOf = ({ letter = LETTERS[0] }: Pick<Choosing, 'letter'>): Letter => letter;
const byLetter = (a: { letter: Letter }, b: { letter: Letter }) =>
  LETTERS.indexOf(a.letter) - LETTERS.indexOf(b.letter);

/** All that are compared, in the order of their letters. */
export const compared = (piece: Choosing): readonly { readonly letter: Letter; readonly design: Design }[] =>
  [
    { letter: letterOf(piece), design: piece.design },
    ...(piece.others ?? []).filter(({ declined }) => !declined).map(({ letter, design }) => ({ letter, design })),
  ].sort(byLetter);
export const declined = ({ others = [] }: Choosing): readonly Other[] =>
  others.filter((one) => one.declined).sort(byLetter);
/** How many more can be compared. */
export function roomFor(piece: Choosing): number {
  const letters = LETTERS.length - 1 - (piece.others?.length ?? 0);
  return Math.max(0, Math.min(MOST_COMPARED - compared(piece).length, letters));
}

/** Of a design, what is of the piece, and what is not. */
export const sharedOf = (design: object): object =>
  Object.fromEntries(Object.entries(design).filter(([key]) => SHARED.has(key)));
export const besideShared = (design: object): object =>
  Object.fromEntries(Object.entries(design).filter(([key]) => !SHARED.has(key)));

/** Texts of the piece's own measures go along; those of a design stay with it. */
const ofPiece = (key: string) => SHARED.has(key.split('.')[0]!);
const pick = (typed: Readonly<Record<string, string>>, own: boolean) =>
  Object.fromEntries(Object.entries(typed).filter(([key]) => ofPiece(key) !== own));

/** The piece with another of its designs worked on; the same piece where there is no such. */
export function chosen<P extends Choosing>(piece: P, letter: Letter): P {
  const other = piece.others?.find((one) => one.letter === letter && !one.declined);
  if (!other) return piece;
  const before: Other = { letter: letterOf(piece), design: piece.design, typed: pick(piece.typed, true) };
  return {
    ...piece,
    letter,
    design: other.design,
    typed: { ...pick(piece.typed, false), ...other.typed },
    others: piece.others!.map((one) => (one === other ? before : one)),
  };
}

/** With more designs to compare, as far as there is room; the design that is worked on stays. */
export function withMore<P extends Choosing>(piece: P, designs: readonly Design[]): P {
  const taken = new Set([letterOf(piece), ...(piece.others ?? []).map(({ letter }) => letter)]);
  const free = LETTERS.filter((letter) => !taken.has(letter));
  const more = designs.slice(0, roomFor(piece)).map((design, index): Other => ({ letter: free[index]!, design }));
  return more.length === 0 ? piece : { ...piece, letter: letterOf(piece), others: [...(piece.others ?? []), ...more] };
}
/** With a copy of the design that is worked on; the copy is worked on now. */
export function copied<P extends Choosing>(piece: P): P {
  const more = withMore(piece, [piece.design]);
  return more === piece ? piece : chosen(more, more.others!.at(-1)!.letter);
}
/** The design that is worked on is kept: the others are declined. */
export const kept = <P extends Choosing>(piece: P): P =>
  (piece.others ?? []).every((one) => one.declined)
    ? piece
    : { ...piece, others: piece.others!.map((one) => ({ ...one, declined: true })) };
/** One that was declined is compared again, where there is room. */
export function takenBack<P extends Choosing>(piece: P, letter: Letter): P {
  if (compared(piece).length >= MOST_COMPARED || !declined(piece).some((one) => one.letter === letter)) return piece;
  return {
    ...piece,
    others: piece.others!.map((one) => {
      const { declined: _declined, ...rest } = one;
      return one.letter === letter ? rest : one;
    }),
  };
}
/** Without one of them; another takes the place of the one that is worked on. The last stays. */
export function without<P extends Choosing>(piece: P, letter: Letter): P {
  if (letter !== letterOf(piece))
    return piece.others?.some((one) => one.letter === letter)
      ? { ...piece, others: piece.others.filter((one) => one.letter !== letter) }
      : piece;
  const next = compared(piece).find((one) => one.letter !== letter);
  return next ? without(chosen(piece, next.letter), letter) : piece;
}

/** An edit of the design that is worked on, made in the others as well where it is of the piece itself. */
export function inAll(value: unknown, piece: Path, edit: Edit): Edit {
  const others = (read(value, [...piece, 'others']) as readonly Other[] | undefined) ?? [];
  const inDesign = (path: Path) => path[piece.length] === 'design' && piece.every((key, index) => key === path[index]);
  return edit.flatMap((change) => {
    const own = change.path.slice(piece.length + 1);
    if (!inDesign(change.path) || own[0] === undefined || !SHARED.has(own[0])) return [change];
    const also = others.map((_, index) => {
      const path = [...piece, 'others', index, 'design', ...own];
      return { path, from: read(value, path), to: change.to };
    });
    return [change, ...also];
  });
}
