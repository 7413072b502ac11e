/** What hardware and fittings are called, alike on desk, ticket and packing list. */
import type { Hardware } from '@/core/builds/build';
import { fittingOf } from '@/core/fixings/hangers';
import type { WorkedOut } from '@/core/work-out';
import type { Length, Unit } from '@/core/units/length';
import { ratedText } from '@/core/units/weight';
import { mmText, ruleText } from './rule';

export const HARDWARE_NAMES: Readonly<Record<string, string>> = {
  'flexible point': 'Flexible points',
  hinge: 'Paper hinges',
  'sealing tape': 'Sealing tape',
  ring: 'Rings',
  wire: 'Wire',
  bumper: 'Bumpers',
  'offset clip': 'Offset clips',
  clip: 'Clips',
  'spring clip': 'Spring clips',
  'corner set': 'Corner sets',
  'corner brace': 'Corner braces',
  wedge: 'Wedges',
  'rigid point': 'Rigid points',
  staple: 'Staples',
  tab: 'Turn tabs',
  spline: 'Splines',
  screw: 'Screws',
  washer: 'Washers',
  'riser block': 'Riser blocks',
  shim: 'Shims',
  pin: 'Pins or stitches',
  'tape hinge': 'Tape hinges',
  'edge strip': 'Edge strips',
  lacing: 'Lacing, all round',
  'pocket screw': 'Pocket screws',
  'mounting tape': 'Mounting tape',
  'corner pocket': 'Corner pockets',
  pad: 'Pads',
  hook: 'Hooks',
  sawtooth: 'Sawtooth hangers',
  'safety film': 'Safety film',
  sleeve: 'Clear sleeve',
  key: 'Keys',
  'hanger screw': 'Screws for the hangers',
  'brace screw': 'Screws for the braces',
  'clip screw': 'Screws for the clips',
  felt: 'Felt strip',
};

/** Hangers and what runs between them, as the job has them. */
export const FITTING_NAMES: Readonly<Record<string, string>> = {
  'd-ring': 'D-rings',
  'strap hanger': 'Strap hangers',
  'screw eye': 'Screw eyes',
  channel: 'Channel hangers',
};
export const LINE_NAMES: Readonly<Record<string, string>> = { wire: 'Wire', chain: 'Chain', cord: 'Cord' };

/** Sold by the millimetre, whatever the shop measures in. */
const BY_MM: readonly Hardware['item'][] = ['wedge', 'corner brace', 'bumper'];

type Named = Pick<WorkedOut, 'resolved' | 'parts'>;
function nameOf(item: Hardware['item'], { resolved, parts }: Named): string {
  const { hanging } = resolved.design;
  const sections = parts.some((part) => part.kind === 'strip' && part.part === 'section');
  if (item === 'ring' || item === 'hook') return FITTING_NAMES[fittingOf(hanging.fitting, sections)]!;
  if (item === 'wire') return LINE_NAMES[hanging.line ?? 'wire'] ?? HARDWARE_NAMES[item]!;
  return HARDWARE_NAMES[item]!;
}

/** `D-rings, rated 11 lb` and `2`; `Screws for the hangers, #4 × 3/8 in` and `2`. */
export function hardwareText(
  one: Hardware,
  worked: Named,
  unit: Unit,
): { readonly name: string; readonly amount: string } {
  const long = (value: Length | undefined) => (value ? `${ruleText(value, unit)} ${unit}` : '');
  const { item, count, length, rating, size, gauge } = one;
  const sized = size && BY_MM.includes(item) ? mmText(size) : long(size);
  const screw = count === undefined ? '' : [gauge, long(length)].filter(Boolean).join(' × ');
  const name = [nameOf(item, worked), rating && `rated ${ratedText(rating, unit)}`, sized, screw].filter(Boolean);
  return { name: name.join(', '), amount: count === undefined ? long(length) : String(count) };
}
