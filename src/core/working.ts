/**
 * How a figure came about: its label, a formula over named inputs, and the inputs. The formula is written so that
 * a person can read it and a test can recompute it: names, whole numbers, + − × ÷ and brackets.
 */
import type { Length, Size, Unit } from './units/length';
import { lengthText } from './units/format-length';
import { type Money, formatMoney } from './units/money';

export type Quantity =
  | { readonly kind: 'length'; readonly value: Length }
  | { readonly kind: 'money'; readonly value: Money }
  /** An exact decimal or fraction as text (a rate, a percent), with what it counts. */
  | { readonly kind: 'number'; readonly value: string; readonly of?: string };

export interface Working {
  readonly label: string;
  readonly formula: string;
  readonly inputs: Readonly<Record<string, Quantity>>;
  readonly value: Quantity;
}

/** Workings by the path of the figure in the result, as in `sizes.rabbet.w`. */
export type Workings = Record<string, Working>;

export const ofLength = (value: Length): Quantity => ({ kind: 'length', value });
export const ofMoney = (value: Money): Quantity => ({ kind: 'money', value });
export const ofNumber = (value: string | number, of?: string): Quantity =>
  of === undefined ? { kind: 'number', value: String(value) } : { kind: 'number', value: String(value), of };

/** To the tenth of a gram. */
export const kilograms = (value: number): Quantity => ofNumber(Number(value.toFixed(4)), 'kg');

type Inputs = Readonly<Record<string, Length | Quantity>>;
interface Said {
  readonly formula: string;
  readonly inputs: Inputs;
}
interface Note {
  readonly path: string;
  readonly label: string;
  readonly formula: string;
  readonly inputs: Inputs | (() => Said);
  readonly value: Length | Quantity;
}

const quantities = (inputs: Inputs): Record<string, Quantity> => {
  const all: Record<string, Quantity> = {};
  for (const name in inputs) {
    const input = inputs[name]!;
    all[name] = typeof input === 'number' ? ofLength(input) : input;
  }
  return all;
};

/**
 * Collects workings while sizes are computed: `note` returns the value it was given, so a formula stays one line.
 * Notes are only jotted down; they are written out when somebody asks why.
 */
export class WorkingsLog {
  private readonly notes: Note[] = [];
  private written: Workings | undefined;
  /** A book that keeps nothing serves what is only tried. */
  constructor(private readonly keeps = true) {}

  note(path: string, label: string, formula: string, inputs: Inputs, value: Length): Length {
    if (this.keeps) this.notes.push({ path, label, formula, inputs, value });
    return value;
  }

  /** A note whose formula is only made when somebody asks. */
  later(path: string, label: string, said: () => Said, value: Length): Length {
    if (this.keeps) this.notes.push({ path, label, formula: '', inputs: said, value });
    return value;
  }

  /** A count, a weight or another number, by a formula that is only made when somebody asks. */
  number(path: string, label: string, said: () => Said, value: number | Quantity): void {
    const figure = typeof value === 'number' ? ofNumber(value) : value;
    if (this.keeps) this.notes.push({ path, label, formula: '', inputs: said, value: figure });
  }

  /** A width and a height by one formula: noted as `path.w` and `path.h`. */
  size(path: string, label: string, formula: string, of: (key: 'w' | 'h') => readonly [Length, Inputs]): Size {
    const side = (key: 'w' | 'h') => {
      const [value, inputs] = of(key);
      return this.note(`${path}.${key}`, `${label} ${key === 'w' ? 'width' : 'height'}`, formula, inputs, value);
    };
    return { w: side('w'), h: side('h') };
  }

  get workings(): Workings {
    this.written ??= Object.fromEntries(
      this.notes.map(({ path, label, formula, inputs, value }) => {
        const said = typeof inputs === 'function' ? inputs() : { formula, inputs };
        const figure = typeof value === 'number' ? ofLength(value) : value;
        return [path, { label, formula: said.formula, inputs: quantities(said.inputs), value: figure }];
      }),
    );
    return this.written;
  }
}

/** A quantity as a person reads it, lengths in the unit in force. */
export function quantityText(quantity: Quantity, unit: Unit): string {
  if (quantity.kind === 'length') return lengthText(quantity.value, unit);
  if (quantity.kind === 'money') return formatMoney(quantity.value);
  return quantity.of ? `${quantity.value} ${quantity.of}` : quantity.value;
}

/** `package 16 3/4 in + allowance 1/8 in`: the formula with each name followed by its figure. */
export function workingText(working: Working, unit: Unit): string {
  const names = Object.keys(working.inputs).sort((a, b) => b.length - a.length);
  if (names.length === 0) return working.formula;
  const pattern = new RegExp(
    `(?<![\\w])(${names.map((name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|')})(?![\\w])`,
    'g',
  );
  return working.formula.replace(pattern, (name) => `${name} ${quantityText(working.inputs[name]!, unit)}`);
}
