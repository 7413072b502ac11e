/** Figures as a rule has them, and what the large ones are called. Apart from the sentences, which the server says. */
import type { BigName } from '@/core/instructions/line';
import { formatLength } from '@/core/units/format-length';
import { type Length, type Unit, inches, length, mm } from '@/core/units/length';

/** As fine as a cut is set: a thirty-second of an inch, half a millimetre. */
export const CUT_STEP: Readonly<Record<Unit, Length>> = { in: inches(0, 1, 32), mm: mm(0.5) };

const BIG: Readonly<Record<BigName, string>> = {
  'long point': 'long point',
  rabbet: 'rabbet',
  'short point': 'short point',
  outside: 'outside',
  inside: 'inside',
  size: 'size',
  window: 'window',
  'cut first': 'cut first',
  length: 'length',
  'below the top': 'below the top',
  wire: 'to cut',
  hook: 'hook',
};
export const bigName = (name: BigName): string => BIG[name];

/** A length as a rule has it, with a small + or − where it is a little more or less. */
export const ruleText = (value: Length, unit: Unit): string =>
  formatLength(value, unit, CUT_STEP[unit]).replace(/ (?=[+−]$)/, '');

const BIT_STEP: Readonly<Record<Unit, Length>> = { in: inches(0, 1, 64), mm: mm(0.1) };
const nearest = (value: Length, step: Length): Length => length(Math.round(value / step) * step);
/** A drill by its size, as its case has it: `5/64 in`, `2 mm`. */
export const bitText = (value: Length, unit: Unit): string =>
  `${formatLength(nearest(value, BIT_STEP[unit]), unit, BIT_STEP[unit])} ${unit}`;
/** What is sold by the millimetre everywhere: wedges. */
export const mmText = (value: Length): string => `${Math.round(value / 32) / 10} mm`;
