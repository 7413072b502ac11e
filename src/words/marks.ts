/** A row of the marking map in a sentence. */
import type { MarkRow } from '@/core/instructions/marking-map';
import type { Length, Unit } from '@/core/units/length';
import { HARDWARE_NAMES } from './hardware';
import { bitText, ruleText } from './rule';

const numbersText = (numbers: readonly number[]) =>
  numbers.length > 2 && numbers.at(-1)! - numbers[0]! === numbers.length - 1
    ? `${numbers[0]} to ${numbers.at(-1)}`
    : numbers.join(', ');

/** `1, 2  Rings: 5 1/4 in from the top; 5/8 in from the left, 5/8 in from the right.` */
export function markText({ item, numbers, upright, across, drill }: MarkRow, unit: Unit): string {
  const long = (value: Length) => `${ruleText(value, unit)} ${unit}`;
  const sides = across.map(({ edge, by }) => `${long(by)} from the ${edge}`).join(', ');
  const holes = drill
    ? ` ${drill.gauge}${drill.long ? ` × ${long(drill.long)}` : ''}: ${drill.clearance ? `hole ${bitText(drill.clearance, unit)}, ` : ''}pilot ${bitText(drill.pilot, unit)}${drill.stop > 0 ? `, stop at ${long(drill.stop)}` : ''}.`
    : '';
  return `${numbersText(numbers)}  ${HARDWARE_NAMES[item]}: ${long(upright.by)} from the ${upright.edge}; ${sides}.${holes}`;
}
