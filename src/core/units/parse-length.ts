/**
 * Reads lengths as people write them: `10 3/8`, `10-3/8`, `10⅜`, `1' 2 1/2"`, `26.4 cm`, `(24 - 15 1/2)/2`.
 *
 * The text is split into tokens (numbers, unit marks, signs, brackets), then read by recursive descent over
 * exact fractions. A value on the way is either a bare number or a length in units of 1/320 mm; a bare number
 * beside a length counts in the unit in force. There is one rounding, at the end, to the nearest unit, half up.
 * Source: handbook, sizes, "Read"; rulings R2, R3, R4, R66.
 */
import type { LengthIssue } from '../issue-codes';
import { type Issue, type Outcome, bad, good, issue, IssueError } from '../issue';
import { type Length, LONGEST, type Unit, UNITS_PER_INCH, UNITS_PER_MM, length } from './length';
import { type Rational, add, div, mul, rational, roundHalfUp, sub } from './rational';

export interface ParseOptions {
  /** The unit of a bare number. */
  readonly unit: Unit;
  /** Whether zero is an answer (a reveal, an extra) or a mistake (a size). */
  readonly zeroAllowed?: boolean;
  /** Whether the region writes 26,4. A point is read everywhere. */
  readonly decimalComma?: boolean;
}

const MAX_TEXT = 200;
const FRACTION_SIGNS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅐': '1/7',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅑': '1/9',
  '⅒': '1/10',
};
const UNIT_MARKS: Readonly<Record<string, number>> = {
  mm: UNITS_PER_MM,
  cm: 10 * UNITS_PER_MM,
  m: 1000 * UNITS_PER_MM,
  in: UNITS_PER_INCH,
  inch: UNITS_PER_INCH,
  inches: UNITS_PER_INCH,
  '"': UNITS_PER_INCH,
  ft: 12 * UNITS_PER_INCH,
  foot: 12 * UNITS_PER_INCH,
  feet: 12 * UNITS_PER_INCH,
  "'": 12 * UNITS_PER_INCH,
};
const FOOT = 12 * UNITS_PER_INCH;

type Token =
  | { readonly kind: 'number'; readonly value: Rational; readonly text: string }
  | { readonly kind: 'unit'; readonly units: number; readonly text: string }
  | { readonly kind: 'sign'; readonly text: string };
type Value = { readonly kind: 'bare' | 'length'; readonly value: Rational };

class Refusal extends Error {
  constructor(
    readonly code: LengthIssue,
    readonly figures: Issue['figures'] = {},
  ) {
    super(code);
  }
}
const refuse = (code: LengthIssue, figures?: Issue['figures']): never => {
  throw new Refusal(code, figures);
};

const decimalValue = (text: string): Rational => {
  const [whole = '', part = ''] = text.replace(',', '.').split('.');
  return rational(BigInt(`${whole}${part}` || '0'), 10n ** BigInt(part.length));
};

function fractionValue(whole: string, top: string, bottom: string): Rational {
  if (BigInt(bottom) === 0n) refuse('length-over-zero');
  if (whole !== '' && BigInt(top) >= BigInt(bottom)) refuse('length-improper', { read: `${top}/${bottom}` });
  return add(rational(BigInt(whole || '0')), rational(BigInt(top), BigInt(bottom)));
}

const VULGAR = Object.keys(FRACTION_SIGNS).join('');
const A_FRACTION = new RegExp(`[${VULGAR}]`, 'g');
const ENDS = '( ?(?:"|\'|mm|cm|m|ft|foot|feet|in|inch|inches))?';
const JOINED_SIGN = new RegExp(`^(\\d+)[-−–]([${VULGAR}])${ENDS}$`, 'i');
const JOINED = new RegExp(`^(\\d+)-(\\d+)/(\\d+)${ENDS}$`, 'i');

/**
 * Typographic signs to plain ones; a hyphen that joins a whole number and a proper fraction becomes a space (R3); a
 * fraction of one sign ends its number (R66).
 */
function plain(text: string): string {
  const whole = JOINED_SIGN.exec(text.trim());
  if (whole) return `${whole[1]} ${FRACTION_SIGNS[whole[2]!]}${whole[3] ?? ''}`;
  const signs = text
    .replace(A_FRACTION, (sign) => ` ${FRACTION_SIGNS[sign]} `)
    .replace(/[″”“]/g, '"')
    .replace(/[′’‘]/g, "'")
    .replace(/''/g, '"')
    .replace(/⁄/g, '/')
    .replace(/[×·]/g, '*')
    .replace(/÷/g, '/')
    .replace(/[−–]/g, '-')
    .replace(/[\s\u00a0\u2009\u202f]+/g, ' ')
    .trim();
  const joined = JOINED.exec(signs);
  if (joined && BigInt(joined[2]!) < BigInt(joined[3]!))
    return `${joined[1]} ${joined[2]}/${joined[3]}${joined[4] ?? ''}`;
  return signs;
}

function tokens(text: string, comma: boolean): Token[] {
  const number = comma ? /\d+(?:[.,]\d*)?|[.,]\d+/y : /\d+(?:\.\d*)?|\.\d+/y;
  const fraction = /(?:(\d+) )?(\d+)\/(\d+)(?![\d.,])/y;
  const word = /[a-z]+|["']/iy;
  const list: Token[] = [];
  const take = (pattern: RegExp, index: number) => {
    pattern.lastIndex = index;
    return pattern.exec(text);
  };
  for (let index = 0; index < text.length;) {
    const broken = take(fraction, index);
    const part = broken ?? take(number, index);
    const unit = part ? null : take(word, index);
    const read = (part ?? unit)?.[0] ?? text[index]!;
    if (broken)
      list.push({ kind: 'number', value: fractionValue(broken[1] ?? '', broken[2]!, broken[3]!), text: read });
    else if (part) list.push({ kind: 'number', value: decimalValue(read), text: read });
    else if (unit) {
      const units = UNIT_MARKS[Object.hasOwn(UNIT_MARKS, read.toLowerCase()) ? read.toLowerCase() : ''];
      list.push(units === undefined ? refuse('length-word', { read }) : { kind: 'unit', units, text: read });
    } else if ('+-*/()'.includes(read)) list.push({ kind: 'sign', text: read });
    else if (read !== ' ') refuse('length-sign', { read });
    index += read.length;
  }
  return list;
}

/** Recursive descent over the tokens: sum = [-] product {+- product}; product = operand {*\/ operand}. */
class Reader {
  private at = 0;
  constructor(
    private readonly list: Token[],
    private readonly unit: number,
  ) {}

  whole(): Value {
    const value = this.sum();
    const next = this.list[this.at];
    if (next) refuse(next.text === ')' ? 'length-bracket' : 'length-two-numbers', { read: next.text });
    return value;
  }

  private sign(of: string): string | undefined {
    const next = this.list[this.at];
    if (next?.kind !== 'sign' || !of.includes(next.text)) return undefined;
    this.at += 1;
    return next.text;
  }

  private sum(): Value {
    const below = this.sign('-') !== undefined;
    let left = this.product();
    if (below) left = { ...left, value: sub(rational(0), left.value) };
    for (let sign = this.sign('+-'); sign; sign = this.sign('+-')) {
      const right = this.product();
      const kind = left.kind === 'length' || right.kind === 'length' ? 'length' : 'bare';
      const [a, b] = kind === 'bare' ? [left.value, right.value] : [this.measured(left), this.measured(right)];
      left = { kind, value: sign === '+' ? add(a, b) : sub(a, b) };
    }
    return left;
  }

  private product(): Value {
    let left = this.operand();
    for (let sign = this.sign('*/'); sign; sign = this.sign('*/')) {
      const right = this.operand();
      if (sign === '*') {
        if (left.kind === 'length' && right.kind === 'length') refuse('length-product');
        const kind = left.kind === 'length' ? 'length' : right.kind;
        left = { kind, value: mul(left.value, right.value) };
      } else {
        if (right.kind === 'length') refuse('length-divided');
        if (right.value.n === 0n) refuse('length-over-zero');
        left = { kind: left.kind, value: div(left.value, right.value) };
      }
    }
    return left;
  }

  private operand(): Value {
    const next = this.list[this.at];
    if (this.sign('(')) {
      const inside = this.sum();
      if (!this.sign(')')) refuse('length-bracket');
      return this.marked(inside);
    }
    if (next?.kind !== 'number')
      return refuse(next ? 'length-unexpected' : 'length-unfinished', next ? { read: next.text } : {});
    this.at += 1;
    return this.marked({ kind: 'bare', value: next.value });
  }

  /** A unit mark after a number; after feet, inches may follow: `1' 2 1/2"`. */
  private marked(value: Value): Value {
    const mark = this.list[this.at];
    if (mark?.kind !== 'unit') return value;
    if (value.kind === 'length') refuse('length-two-units', { read: mark.text });
    this.at += 1;
    const measured: Value = { kind: 'length', value: mul(value.value, rational(mark.units)) };
    const then = this.list[this.at];
    if (mark.units !== FOOT || then?.kind !== 'number') return measured;
    this.at += 1;
    const inch = this.list[this.at];
    if (inch?.kind === 'unit') {
      if (inch.units !== UNITS_PER_INCH) refuse('length-two-units', { read: inch.text });
      this.at += 1;
    }
    if (then.value.n >= 12n * then.value.d) refuse('length-inches-many', { read: then.text });
    return { kind: 'length', value: add(measured.value, mul(then.value, rational(UNITS_PER_INCH))) };
  }

  private measured(value: Value): Rational {
    return value.kind === 'length' ? value.value : mul(value.value, rational(this.unit));
  }
}

/**
 * Reads one length. A bare number is in `unit`. Refuses, as issues `length-…` with what was read: an empty field,
 * words and signs that are not lengths, two numbers side by side, a division by zero, an area, a negative length,
 * zero where a size is needed, more than 10 m.
 */
export function parseLength(text: string, options: ParseOptions): Outcome<Length> {
  const read = text.length > 40 ? `${text.slice(0, 40)}…` : text;
  const fail = (code: LengthIssue, figures: Issue['figures'] = {}) =>
    bad(issue(code, { typed: read, unit: options.unit, ...figures }));
  if (text.trim() === '') return fail('length-empty');
  if (text.length > MAX_TEXT) return fail('length-too-long');
  const perUnit = options.unit === 'in' ? UNITS_PER_INCH : UNITS_PER_MM;
  try {
    const reader = new Reader(tokens(plain(text), options.decimalComma ?? false), perUnit);
    const value = reader.whole();
    const units = roundHalfUp(value.kind === 'length' ? value.value : mul(value.value, rational(perUnit)));
    if (units < 0n) return fail('length-negative');
    if (units === 0n && !options.zeroAllowed) return fail('length-zero');
    if (units > BigInt(LONGEST)) return fail('length-too-big');
    return good(length(Number(units)));
  } catch (refusal) {
    if (refusal instanceof Refusal) return fail(refusal.code, refusal.figures);
    throw refusal;
  }
}

/** The throwing twin of `parseLength`, for texts that are part of the program. */
export function mustParseLength(text: string, options: ParseOptions): Length {
  const result = parseLength(text, options);
  if (!result.ok) throw new IssueError(result.issues);
  return result.value;
}

/** Splits `12 x 16`, `12 by 16`, `300 × 400 mm` into its two texts; undefined when it is one length. */
export function splitSize(text: string): [width: string, height: string] | undefined {
  const parts = text.split(/\s*(?:×|(?<![a-z])x(?![a-z])|\bby\b)\s*/i);
  if (parts.length !== 2 || !parts[0]?.trim() || !parts[1]?.trim()) return undefined;
  const [width, height] = parts as [string, string];
  const mark = /(mm|cm|m|in|inch|inches|ft|")\s*$/i.exec(height)?.[1];
  const widthMarked = /(mm|cm|m|in|inch|inches|ft|feet|foot|["'])\s*$/i.test(width);
  // Nobody writes fractions of a centimetre: `13 5/16 x 41.7 cm` has a unit of its own on each side.
  const another = width.includes('/') && /^(mm|cm|m)$/i.test(mark ?? '');
  return [mark && !widthMarked && !another ? `${width} ${mark}` : width, height];
}
