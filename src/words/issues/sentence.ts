/** What a sentence is made of: the figures of an issue, said in the unit in force. */
import type { Issue } from '@/core/issue';
import { depthText, fieldText } from '@/core/units/format-length';
import type { Length, Unit } from '@/core/units/length';
import { weightText } from '@/core/units/weight';
import { type Money, formatMoney } from '@/core/units/money';

export type Figures = Issue['figures'];
export interface Say {
  readonly f: Figures;
  /** A figure that is a length, with its unit. */
  readonly len: (key: string) => string;
  /** A depth, to 1/32 in or 0.1 mm. */
  readonly deep: (key: string) => string;
  /** A weight. */
  readonly heavy: (key: string) => string;
  readonly cash: (key: string) => string;
  readonly unit: Unit;
}
export type Sentence = (say: Say) => string;

/** A sentence for every code of a group. */
export type Sentences<Code extends string> = Readonly<Record<Code, Sentence>>;

export const cap = (text: string | number | undefined) =>
  String(text ?? '').replace(/^./, (first) => first.toUpperCase());
export const EXAMPLE = { in: '16 7/8', mm: '425 or 42.5 cm' } as const;

/** Lengths in sentences are shown as finely as a rule can; a caution is often about little. */
export function speak(table: Readonly<Record<string, Sentence>>, code: string, f: Figures, unit: Unit): string {
  const len = (key: string) => `${fieldText(Number(f[key] ?? 0) as Length, unit)} ${unit}`;
  const deep = (key: string) => depthText(Number(f[key] ?? 0) as Length, unit);
  const heavy = (key: string) => weightText(Number(f[key] ?? 0), unit);
  const cash = (key: string) => formatMoney(Number(f[key] ?? 0) as Money);
  const sentence = Object.hasOwn(table, code) ? table[code] : undefined;
  return sentence ? sentence({ f, len, deep, heavy, cash, unit }) : code;
}
