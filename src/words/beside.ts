/** What is cut beside a plan, in a line. */
import type { WantedBeside } from '@/core/cutting/demand';
import type { Unit } from '@/core/units/length';
import { partName } from './build-parts';
import { ruleText } from './rule';

export function besideText({ ticket, part, name, count, length, width, size }: WantedBeside, unit: Unit): string {
  const long = length === undefined ? '' : ` ${ruleText(length, unit)}`;
  const wide = width === undefined ? '' : ` × ${ruleText(width, unit)}`;
  const both = size ? ` ${ruleText(size.w, unit)} × ${ruleText(size.h, unit)}` : '';
  return `${ticket}: ${count} × ${name || partName(part)},${long}${wide}${both} ${unit}`;
}
