/**
 * The keys a build asks beyond what every design has. One declaration gives the schema of a stored design, the keys of
 * the open interface, the defaults by home unit and the fields at the desk.
 */
import type { Length, Unit } from '../units/length';

type ByUnit = Readonly<Record<Unit, Length>>;
/** Whether a field is asked for, by the other keys of its build and by the rest of the design. */
type When = (own: Readonly<Record<string, unknown>>, design: { readonly mats: readonly unknown[] }) => boolean;
export const withoutMat: When = (_own, { mats }) => mats.length === 0;
/** Asked for only where another is on. */
export const whereOn =
  (flag: string): When =>
  (own) =>
    own[flag] === true;

export type Field = { readonly when?: When } & Kind;
type Kind =
  | { readonly kind: 'length'; readonly usual?: ByUnit; readonly zero?: boolean }
  | { readonly kind: 'lengths'; readonly most: number }
  | { readonly kind: 'sides' }
  | { readonly kind: 'size' }
  | { readonly kind: 'choice'; readonly of: readonly [string, ...string[]] }
  | { readonly kind: 'flag'; readonly usual?: boolean };
export type Fields = Readonly<Record<string, Field>>;

/** A length with its default in inches and millimetres; none when it can be left out. */
export const aLength = <const O extends { usual?: ByUnit; zero?: boolean; when?: When }>(over: O) =>
  ({ kind: 'length', ...over }) as const;
export const both = (inch: Length, metric: Length): ByUnit => ({ in: inch, mm: metric });

interface SizeValue {
  readonly w: Length;
  readonly h: Length;
}
interface SidesValue {
  readonly left: Length;
  readonly right: Length;
  readonly top: Length;
  readonly bottom: Length;
}
type ValueOf<F extends Field> = F extends { kind: 'length'; usual: ByUnit }
  ? Length
  : F extends { kind: 'length' }
    ? Length | undefined
    : F extends { kind: 'lengths' }
      ? readonly Length[]
      : F extends { kind: 'choice'; of: readonly (infer C)[] }
        ? C
        : F extends { kind: 'flag' }
          ? boolean
          : F extends { kind: 'sides' }
            ? SidesValue | undefined
            : SizeValue | undefined;
export type Own<F extends Fields> = { readonly [K in keyof F]: ValueOf<F[K]> };

export function usualOf(field: Field, unit: Unit): unknown {
  if (field.kind === 'length') return field.usual?.[unit];
  if (field.kind === 'choice') return field.of[0];
  if (field.kind === 'flag') return field.usual ?? false;
  return field.kind === 'lengths' ? [] : undefined;
}

/** The fields that have something to say for a design: those of what is off are not asked for. */
export function askedOf(
  fields: Fields,
  design: { readonly own?: Readonly<Record<string, unknown>> | undefined; readonly mats: readonly unknown[] },
  unit: Unit,
): [name: string, field: Field][] {
  const own = ownOf(fields, design.own, unit);
  return Object.entries(fields).filter(([, { when }]) => when?.(own, design) ?? true);
}

/** What a design says of its build's own keys, with the defaults of the home unit for the rest. */
export function ownOf<F extends Fields>(
  fields: F,
  given: Readonly<Record<string, unknown>> | undefined,
  unit: Unit,
): Own<F> {
  const own: Record<string, unknown> = {};
  for (const key in fields) own[key] = given?.[key] ?? usualOf(fields[key]!, unit);
  return own as Own<F>;
}
