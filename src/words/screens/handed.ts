/** What the papers say that leave the shop with a piece. */
import type { Design } from '@/core/design/design';
import type { Mount } from '@/core/design/choices';
import { BUILDS, mountOf } from '@/core/builds';
import type { WorkedOut } from '@/core/work-out';
import { mountName } from '../mounts';

const LASTING: readonly Mount[] = ['dry mount', 'glue'];
const SHEDS: readonly string[] = ['pastel', 'charcoal', 'chalk'];

export const HANDED = {
  untitled: 'Untitled',
  kit: (ticket: string) => `Kit ${ticket}`,
  kitTitle: 'To put together',
  inThePacket: 'In the packet',
  before: 'Before you begin',
  backOfIt: 'The back, with its top edge up',
  leg: (moulding: string, long: string) => `${moulding}, long edge ${long}`,
  kitCaution: (glass: boolean) =>
    `${glass ? 'Gloves and eye protection for glass. ' : ''}Ask us before you force anything: what bends or breaks here is hard to mend.`,
  back: (ticket: string) => `Back label ${ticket}`,
  framedBy: (by: string, day: string) => `Framed by ${by}, ${day}.`,
  framedFor: (day: string) => `Framed for ${day}.`,
  madeWith: (names: string) => `With: ${names}.`,
  hook: (drop: string) => `Hook ${drop} below the top.`,
  hookThere: (drop: string) => `The hook in the wall goes ${drop} below where the top edge is to be.`,
  care: (ticket: string) => `Care card ${ticket}`,
  careTitle: 'How to look after it',
  packing: (ticket: string) => `Packing list ${ticket}`,
  packingTitle: 'Packing list',
  boxInside: 'Box, inside: width, height, depth',
  weighs: 'Weighs, without the box',
  padding: (padding: string) => `${padding} of padding on every side.`,
  wallCard: 'Wall card',
  parts: 'Parts, cut and marked',
  piece: (ticket: string) => `Label ${ticket}`,
  flags: (piece: Design['piece']): string[] =>
    [
      (SHEDS.includes(piece.kind) || piece.thickPaint) && 'Face up only',
      SHEDS.includes(piece.kind) && 'sheds',
      piece.thickPaint && 'thick paint',
      piece.irreplaceable && 'original',
      piece.signed && 'signed',
      piece.damaged && 'damaged, not to be touched',
    ].filter((flag): flag is string => Boolean(flag)),
} as const;

/** How this piece is looked after: only of what it has. */
export function careOf({ resolved, stack, sizes, hanging }: WorkedOut): string[] {
  const { piece } = resolved.design;
  const glazed = stack.layers.some((layer) => layer.group === 'glazing');
  const soft = glazed && resolved.glazing?.type === 'acrylic';
  return [
    'Not over a heater, not in full sun, not on a damp wall.',
    sizes.frames.length > 0 && 'Dust the frame with a soft dry cloth.',
    soft && 'Acrylic: a cleaner made for it on a soft cloth; nothing with ammonia or alcohol, and never dry.',
    glazed && !soft && 'Glass: put the cleaner on the cloth, never on the glass, where it creeps behind.',
    !glazed && 'Nothing lies over the piece: dust it with a soft dry brush, wet nothing.',
    SHEDS.includes(piece.kind) && 'Carry it upright and gently: what lies loose on the sheet comes off.',
    hanging?.by === 'wire' && 'Look at the wire and its rings once a year.',
    piece.irreplaceable && 'Ask us, or a conservator, before the back is opened.',
  ].filter((line): line is string => Boolean(line));
}

/** How the piece is held, and whether it comes off again: for whoever opens the frame in fifty years. */
export function heldOf({ resolved: { design } }: WorkedOut): string | undefined {
  if (!BUILDS[design.build].uses.includes('mount')) return undefined;
  const mount = mountOf(design);
  const held = `Held by: ${mountName(mount).toLowerCase()}`;
  return LASTING.includes(mount) ? `${held}. It does not come off again.` : `${held}. It comes off again.`;
}
