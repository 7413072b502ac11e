/**
 * Exact fractions on bigints, for everything between what is typed and the one rounding at its end
 * (a length read, a price line). The denominator is always positive.
 */
export interface Rational {
  readonly n: bigint;
  readonly d: bigint;
}

const gcd = (a: bigint, b: bigint): bigint => {
  let [x, y] = [a < 0n ? -a : a, b < 0n ? -b : b];
  while (y !== 0n) [x, y] = [y, x % y];
  return x;
};

/** n/d in lowest terms. Throws RangeError when d is zero: callers check first. */
export function rational(n: bigint | number, d: bigint | number = 1n): Rational {
  let [top, bottom] = [BigInt(n), BigInt(d)];
  if (bottom === 0n) throw new RangeError('zero denominator');
  if (bottom < 0n) [top, bottom] = [-top, -bottom];
  const g = gcd(top, bottom);
  return g > 1n ? { n: top / g, d: bottom / g } : { n: top, d: bottom };
}

// Results on the way are not brought to lowest terms: sums are short, and reducing costs more than it saves.
export const add = (a: Rational, b: Rational): Rational => ({ n: a.n * b.d + b.n * a.d, d: a.d * b.d });
export const sub = (a: Rational, b: Rational): Rational => ({ n: a.n * b.d - b.n * a.d, d: a.d * b.d });
export const mul = (a: Rational, b: Rational): Rational => ({ n: a.n * b.n, d: a.d * b.d });
/** Throws RangeError when `b` is zero: callers check first. */
export function div(a: Rational, b: Rational): Rational {
  if (b.n === 0n) throw new RangeError('zero denominator');
  return b.n < 0n ? { n: -a.n * b.d, d: -a.d * b.n } : { n: a.n * b.d, d: a.d * b.n };
}
export const compare = (a: Rational, b: Rational) => {
  const difference = a.n * b.d - b.n * a.d;
  return difference < 0n ? -1 : difference > 0n ? 1 : 0;
};

const floorDiv = (n: bigint, d: bigint) => (n >= 0n ? n / d : -((-n + d - 1n) / d));

/** To the nearest whole number, a half up (towards plus infinity). */
export const roundHalfUp = (a: Rational): bigint => floorDiv(2n * a.n + a.d, 2n * a.d);
export const ceil = (a: Rational): bigint => -floorDiv(-a.n, a.d);

export const DECIMAL = /^\d{1,12}(\.\d{1,9})?$/;

/** Reads a plain decimal such as `4.20`. Returns undefined for anything else. */
export function decimal(text: string): Rational | undefined {
  if (!DECIMAL.test(text)) return undefined;
  const [whole = '0', part = ''] = text.split('.');
  return rational(BigInt(whole + part), 10n ** BigInt(part.length));
}

/** Rates are few and read at every keystroke; what was read once is kept, up to this many. */
const KEPT = 2000;
const kept = new Map<string, Rational>();

/** The throwing twin of `decimal`, for figures that a schema has already checked. */
export function mustDecimal(text: string): Rational {
  const known = kept.get(text);
  if (known) return known;
  const value = decimal(text);
  if (!value) throw new RangeError(`not a decimal: ${text}`);
  if (kept.size >= KEPT) kept.clear();
  kept.set(text, value);
  return value;
}

/** As a decimal text with at most `places` places, half up, without trailing zeros. */
export function toDecimal(a: Rational, places: number): string {
  const scaled = roundHalfUp(mul(a, rational(10n ** BigInt(places))));
  const sign = scaled < 0n ? '-' : '';
  const digits = (scaled < 0n ? -scaled : scaled).toString().padStart(places + 1, '0');
  const part = digits.slice(digits.length - places).replace(/0+$/, '');
  return sign + digits.slice(0, digits.length - places) + (part ? `.${part}` : '');
}
