/**
 * An order that two people changed at once, brought together field by field: what only one of them changed is taken from
 * whoever did, what both changed differently is a conflict and stays as it is here until somebody decides.
 */
import { LETTERS, besideShared, sharedOf } from './candidates';
import { type Path, apply, read, sameValue, set } from './edit';

export interface Parted {
  readonly path: Path;
  readonly mine: unknown;
  readonly theirs: unknown;
}
export interface Merged<T> {
  readonly value: T;
  /** Changed by both, differently. The value has mine. */
  readonly conflicts: readonly Parted[];
  /** Changed by them only, and taken. */
  readonly taken: readonly Parted[];
}

type Plain = Readonly<Record<string, unknown>>;
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
/** What is looked into; everything else is one field, however it is made up. */
const OPEN = new Set(['design', 'piece', 'frame', 'hanging']);
/** What is being typed is the typist's; the letter is the same in both wherever a piece is looked into. */
const MINE_ONLY = new Set(['typed', 'letter']);

type Named = Plain & { readonly id: string };
const besideTyping = ({ typed: _typed, ...rest }: Plain): Plain => rest;
/** Which design of a piece is chosen; where that differs, the piece is one field. */
const chosenOf = ({ letter = LETTERS[0] }: Plain): unknown => letter;
/** The other designs of a piece as they are compared: without what they share with the chosen one, and what is being typed. */
const othersOf = (value: unknown): readonly Plain[] =>
  (Array.isArray(value) ? (value as Plain[]) : []).map(({ typed: _typed, design, ...one }) => ({
    ...one,
    design: besideShared(design as object),
  }));
/** The piece with its other designs sharing what is of the piece. */
function withShared(piece: Plain): Plain {
  const { design, others } = piece;
  if (!Array.isArray(others) || !isPlain(design)) return piece;
  const shared = sharedOf(design);
  return {
    ...piece,
    others: (others as Plain[]).map((one) => ({
      ...one,
      design: { ...besideShared(one.design as object), ...shared },
    })),
  };
}
const isNamed = (value: unknown): value is readonly Named[] =>
  Array.isArray(value) && value.length > 0 && value.every((one) => isPlain(one) && typeof one.id === 'string');

/** `base` is what both began from; undefined when nobody knows it, and then whatever differs is a conflict. */
export function mergedWith<T>(base: T | undefined, mine: T, theirs: T): Merged<T> {
  const conflicts: Parted[] = [];
  const taken: Parted[] = [];
  const known = base !== undefined;

  const field = (path: Path, was: unknown, here: unknown, there: unknown): unknown => {
    if (sameValue(here, there)) return here;
    if (known && sameValue(was, there)) return here;
    if (known && sameValue(was, here)) {
      taken.push({ path, mine: here, theirs: there });
      return there;
    }
    conflicts.push({ path, mine: here, theirs: there });
    return here;
  };
  const record = (path: Path, was: Plain, here: Plain, there: Plain): Plain => {
    const value: Record<string, unknown> = {};
    for (const key of new Set([...Object.keys(here), ...Object.keys(there)])) {
      const one = MINE_ONLY.has(key)
        ? here[key]
        : key === 'others'
          ? others([...path, key], was[key], here[key], there[key])
          : any([...path, key], was[key], here[key], there[key]);
      if (one !== undefined) value[key] = one;
    }
    return withShared(value);
  };
  /** All of them are one field; what is typed into mine stays where mine do. */
  const others = (path: Path, was: unknown, here: unknown, there: unknown): unknown => {
    const mine = othersOf(here);
    const one = field(path, othersOf(was), mine, othersOf(there));
    return one === mine ? here : one;
  };
  /** Elements by their id, in the order they have here; those that only they have come after. */
  const named = (path: Path, was: readonly Named[], here: readonly Named[], there: readonly Named[]): unknown => {
    const of = (list: readonly Named[], id: string) => list.find((one) => one.id === id);
    const ids = [...new Set([...here, ...there].map(({ id }) => id))];
    const kept = ids.flatMap((id): Named[] => {
      const [before, a, b] = [of(was, id), of(here, id), of(there, id)];
      if (a && b && chosenOf(a) === chosenOf(b)) return [{ id, ...record([...path, id], before ?? {}, a, b) }];
      if (a && b) {
        const one = field([...path, id], before && besideTyping(before), besideTyping(a), besideTyping(b));
        // What was taken from them has nothing that is being typed.
        return [sameValue(one, besideTyping(a)) ? a : ({ typed: {}, ...(one as Plain) } as unknown as Named)];
      }
      const left = (a ?? b)!;
      // Taken out by one: gone, unless the other went on with it. What neither began from was added, and stays.
      if (known && before !== undefined && sameValue(besideTyping(before), besideTyping(left))) {
        if (a) taken.push({ path: [...path, id], mine: a, theirs: undefined });
        return [];
      }
      if (b) taken.push({ path: [...path, id], mine: undefined, theirs: b });
      return [left];
    });
    return kept.length > 0 ? kept : here;
  };
  const any = (path: Path, was: unknown, here: unknown, there: unknown): unknown => {
    if (isNamed(here) && isNamed(there)) return named(path, isNamed(was) ? was : [], here, there);
    const open = path.length === 0 || OPEN.has(String(path.at(-1)));
    if (open && isPlain(here) && isPlain(there)) return record(path, isPlain(was) ? was : {}, here, there);
    return field(path, was, here, there);
  };
  const value = any([], base, mine, theirs) as T;
  return { value, conflicts, taken };
}

/** The way to a field of the value, where the path names elements by their id. */
function placed(value: unknown, path: Path): Path {
  let at = value;
  return path.map((key) => {
    const place = isNamed(at) ? at.findIndex(({ id }) => id === key) : key;
    at = (at as never)?.[place];
    return place;
  });
}
/** A merged value in which these conflicts are decided for them. */
export const decided = <T>(value: T, theirs: readonly Parted[]): T =>
  theirs.reduce<T>((now, { path, theirs: to }) => {
    const after = apply(now, set(now, placed(now, path), to));
    if (path[0] !== 'pieces' || path[1] === undefined) return after;
    const piece = placed(after, path.slice(0, 2));
    return apply(after, set(after, piece, withShared(read(after, piece) as Plain)));
  }, value);
