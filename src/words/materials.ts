/** Names of pieces and price lines, of how a frame hangs, and of days. */
import type { LineCode, PriceLine } from '@/core/pricing/price-line';
import type { Hanging } from '@/core/parts/hanging';

export const KIND_NAMES: Readonly<Record<string, string>> = {
  print: 'Print',
  poster: 'Poster',
  photograph: 'Photograph',
  certificate: 'Certificate',
  chart: 'Chart',
  drawing: 'Drawing',
  pastel: 'Pastel',
  charcoal: 'Charcoal',
  watercolour: 'Watercolour',
  painting: 'Painting on paper',
  textile: 'Textile',
  chalk: 'Chalk',
  needlework: 'Needlework',
  canvas: 'Canvas',
  panel: 'Panel',
  'metal-print': 'Print on metal',
  object: 'Object',
  garment: 'Garment',
  mirror: 'Mirror',
};
const LINES: Readonly<Record<LineCode, string>> = {
  moulding: 'Moulding',
  'ready-made': 'Ready-made frame',
  mats: 'Mat',
  glazing: 'Glazing',
  backing: 'Backing',
  filler: 'Filler',
  corners: 'Corner sets',
  labour: 'Work',
  hardware: 'Hanging kit',
  liner: 'Liner',
  fillet: 'Fillet',
  mounting: 'Mounting',
  bars: 'Stretcher bars',
  sides: 'Sides of the box',
  plates: 'Title plate with its text',
  windows: 'More windows',
  shapes: 'Shaped windows',
  extra: 'Extra',
};
/** What a line of a price is called: an extra by the name the shop gave it. */
export const lineName = ({ code, name }: Pick<PriceLine, 'code' | 'name'>): string => name ?? LINES[code];

/** How it hangs, in a few words. */
export function hangingText(hanging: Hanging | undefined): string {
  if (!hanging) return 'No hangers are fitted';
  if (hanging.by === 'sawtooth') return hanging.hooks.count === 1 ? 'A sawtooth hanger' : 'Two sawtooth hangers';
  return hanging.by === 'wire' && !hanging.noWire ? 'Rings and wire' : 'Two hooks, no wire';
}

/** `Thu 3 Dec` from `2026-12-03`; the year only when it is not this one. */
export function dayName(day: string, thisYear?: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const at = new Date(Date.UTC(year, month - 1, date));
  const week = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'][at.getUTCDay()];
  const name = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'][month - 1];
  return `${week} ${date} ${name}${thisYear !== undefined && thisYear !== year ? ` ${year}` : ''}`;
}

/** A moment of the shop's clock, `2026-12-07T09:00`, as people say it. */
export const momentName = (moment: string): string =>
  `${dayName(moment.slice(0, 10))}, ${moment.slice(11).replace(/^0/, '')}`;
