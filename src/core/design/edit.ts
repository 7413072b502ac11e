/**
 * An edit is a plain value: what stood at some paths before, and what stands there after. It can be applied,
 * inverted and merged; undo is a stack of edits. Values are compared by identity, so an edit that changes nothing
 * returns the very same object.
 */
export type Path = readonly (string | number)[];
export interface Change {
  readonly path: Path;
  readonly from: unknown;
  readonly to: unknown;
}
export type Edit = readonly Change[];

export const read = (value: unknown, path: Path): unknown =>
  path.reduce<unknown>((at, key) => (at === null || typeof at !== 'object' ? undefined : (at as never)[key]), value);

function write(value: unknown, path: Path, to: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return to;
  const before = (value as never)?.[key];
  const after = write(before, rest, to);
  if (Object.is(before, after) && (after !== undefined || !Object.hasOwn(Object(value), key))) return value;
  if (Array.isArray(value)) return value.map((one, index) => (index === key ? after : one));
  const { [key]: _dropped, ...others } = (value ?? {}) as Record<string | number, unknown>;
  return after === undefined ? others : { ...others, [key]: after };
}

/** The edit that sets `path` in `value`; setting undefined removes the key. */
export const set = (value: unknown, path: Path, to: unknown): Edit => [{ path, from: read(value, path), to }];

/** `value` with the edit made; the same object when nothing changed. */
export const apply = <T>(value: T, edit: Edit): T =>
  edit.reduce<unknown>((at, change) => write(at, change.path, change.to), value) as T;

export const invert = (edit: Edit): Edit =>
  [...edit].reverse().map(({ path, from, to }) => ({ path, from: to, to: from }));

const samePath = (a: Path, b: Path) => a.length === b.length && a.every((key, index) => key === b[index]);

/** One edit for two that touch the same paths in the same order (typing in one field); else undefined. */
export function merge(first: Edit, second: Edit): Edit | undefined {
  if (first.length !== second.length) return undefined;
  if (!first.every((change, index) => samePath(change.path, second[index]!.path))) return undefined;
  return first.map((change, index) => ({ path: change.path, from: change.from, to: second[index]!.to }));
}

/** Whether two plain values say the same, whatever the order of their keys. */
export function sameValue(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (
    typeof a !== 'object' ||
    typeof b !== 'object' ||
    a === null ||
    b === null ||
    Array.isArray(a) !== Array.isArray(b)
  )
    return false;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every((key) => sameValue((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]));
}

/** A value with its past and its future. */
export interface History<T> {
  readonly now: T;
  readonly past: readonly Edit[];
  readonly future: readonly Edit[];
}
const KEPT = 200;
/** What it was before the first of the changes that are kept; undefined when none is. */
export const unwound = <T>({ now, past }: History<T>): T | undefined =>
  past.length === 0 ? undefined : [...past].reverse().reduce<T>((at, edit) => apply(at, invert(edit)), now);

export const begin = <T>(now: T): History<T> => ({ now, past: [], future: [] });

/** Makes an edit. With `join` it melts into the last one when both touch the same paths, so a typed number is one step. */
export function change<T>(history: History<T>, edit: Edit, join = false): History<T> {
  const now = apply(history.now, edit);
  if (now === history.now) return history;
  const last = history.past.at(-1);
  const joined = join && last && history.future.length === 0 ? merge(last, edit) : undefined;
  const past = joined ? [...history.past.slice(0, -1), joined] : [...history.past, edit].slice(-KEPT);
  return { now, past, future: [] };
}

export function undo<T>(history: History<T>): History<T> {
  const last = history.past.at(-1);
  if (!last) return history;
  return { now: apply(history.now, invert(last)), past: history.past.slice(0, -1), future: [last, ...history.future] };
}

export function redo<T>(history: History<T>): History<T> {
  const [next, ...future] = history.future;
  if (!next) return history;
  return { now: apply(history.now, next), past: [...history.past, next], future };
}
