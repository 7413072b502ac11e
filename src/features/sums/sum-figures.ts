/** The figures of a nested value, for drawings. */
import { type Unit, UNITS_PER_MM } from '@/core/units/length';
import { parseLength } from '@/core/units/parse-length';

/** Every length or number of a nested value, in millimetres (or as it is), by its path. */
export function figuresOf(
  value: unknown,
  unit: Unit,
  into = new Map<string, number>(),
  path = '',
): Map<string, number> {
  if (typeof value === 'number') into.set(path, value);
  else if (typeof value === 'string') {
    const read = parseLength(value.replace(/^-/, ''), { unit, zeroAllowed: true });
    const number = read.ok ? (read.value / UNITS_PER_MM) * (value.startsWith('-') ? -1 : 1) : Number.parseFloat(value);
    if (Number.isFinite(number)) into.set(path, number);
  } else if (value !== null && typeof value === 'object')
    for (const [key, one] of Object.entries(value)) figuresOf(one, unit, into, path === '' ? key : `${path}.${key}`);
  return into;
}
