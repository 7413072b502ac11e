/**
 * What a customer does who puts a kit together: the same lines and figures that the bench would work by, in words for
 * somebody who has a table, a screwdriver and an evening. A line that is the shop's own affair has no words here.
 */
import type { LineCode } from '@/core/instructions/codes';
import type { Line } from '@/core/instructions/line';
import type { WorkedOut } from '@/core/work-out';
import type { Unit } from '@/core/units/length';
import { type Say, layersText, sayOf } from './instructions';

const screws = ({ f, n, has, len, bit }: Say): string =>
  has('each')
    ? ` Each takes ${n('each') === 1 ? 'one screw' : `${n('each')} screws`}, ${f.gauge} × ${len('long')}: drill ${bit('pilot')} first, no deeper than ${len('stop')}.`
    : '';
const all = (count: number, one: string, many: string) => (count === 1 ? `the ${one}` : `all ${count} ${many}`);

/** Beside the texts of the bench: what is told to a customer, by its code. */
export const KIT_LINES: Readonly<Partial<Record<LineCode, (say: Say) => string>>> = {
  'dry-first': ({ n }) =>
    `Lay the ${n('corners')} legs together without glue. Every corner must close before you go on.`,
  'glue-and-wedges': ({ n }) =>
    `Spread glue thinly on both faces of each corner, press it together and push ${n('count')} wedges into its back with a block of wood. Wipe off what comes out.`,
  splines: () => 'Spread glue thinly on both faces of each corner and on its spline, and press them together.',
  'glue-alone': () => 'Spread glue thinly on both faces of each corner and press them together.',
  'clamp-overnight': () => 'Hold it with a strap or strong tape all round, flat on the table, and leave it overnight.',
  'sections-order': ({ n }) =>
    `Screw three sides together with the corner sets, ${n('sets')} in all. Slide the hangers into the side channels, then all that lies in it, the front first. Put on the last side.`,
  'clean-glass': ({ f }) =>
    f.type === 'acrylic'
      ? 'Clean the acrylic on both sides with a soft cloth and a cleaner made for it: nothing with ammonia or alcohol, and no dry rubbing, which draws dust.'
      : 'Clean the glass on both sides: the cleaner goes on the cloth, never on the glass. Mind its edges.',
  'film-off': () => 'Pull off the film of the inner face just before you close it, that of the outer face last of all.',
  'lay-in': (say) => `Lay into the frame, beginning at the front: ${layersText(say)}.`,
  'strips-under-lip': () => 'Lay the strips under the lip of the frame: top and bottom first, then the sides.',
  'strips-behind': () => 'Lay the strips behind the panes: top and bottom first, then the sides.',
  'sides-lined': () => 'Line the sides; the two that run all the way come first.',
  'canvas-in-rabbet': () => 'Lay the canvas in the frame and centre it.',
  points: ({ n }) =>
    `Push in one point at the middle of each side, flat over the back and towards the wood, never towards the front. Look at the front. Then ${all(n('count'), 'point', 'points')}, evenly spaced.`,
  'points-rigid': ({ n }) =>
    `Push in one point at the middle of each side, flat over the back and towards the wood. Look at the front. Then ${all(n('count'), 'point', 'points')}, evenly spaced.`,
  'points-by-hand': ({ n }) =>
    `The wood is thin: hold the side against something firm and push the points in by hand, one in the middle of each side first. Look at the front. Then ${all(n('count'), 'point', 'points')}, evenly spaced.`,
  clips: ({ n }) => `Screw on ${all(n('count'), 'clip', 'clips')}, evenly spaced, until they hold and no tighter.`,
  'offset-clips': (say) =>
    `Screw on ${all(say.n('count'), 'clip', 'clips')}, evenly spaced, until they hold and no tighter.${screws(say)}`,
  'spring-clips': ({ n }) =>
    `Push ${all(n('count'), 'spring', 'springs')} between the back and the frame, evenly spaced.`,
  'pin-strips': ({ n }) =>
    `Push ${all(n('count'), 'pin', 'pins')} through the strips into the wood, a little slanting, away from the pane.`,
  'card-on-glass': () => 'Keep a card on the pane while you do it, so that no tool touches it.',
  'hardwood-predrill': () => 'The wood is hard: drill for the pins first.',
  'look-without-turning': () => 'Never lay it on its face: hold it upright, and look for dust from the front.',
  'turn-and-look': () => 'Turn it over once more and look for dust.',
  seal: ({ len }) => `Tape the back to the frame all round: ${len('length')} of tape.`,
  'back-upright': () => 'Let somebody hold it upright while you work on its back.',
  'dust-cover': () => 'Glue the dust cover over the back, a little inside the edge, smooth and without wrinkles.',
  rings: (say) =>
    `Fasten a hanger on each side, ${say.len('inset')} from the outer edge, at the height drawn here.${screws(say)}`,
  hooks: (say) =>
    `Fasten a hanger on each side, ${say.len('inset')} from the outer edge, at the height drawn here. It hangs on two hooks, ${say.len('apart')} apart and level.${screws(say)}`,
  sawtooth: (say) => `Fasten the plate in the middle of the top, as drawn here.${screws(say)}`,
  'rings-where': ({ f }) => (f.on === 'inner wall' ? 'The hangers go on the inside of the walls.' : ''),
  'on-the-bars': () => 'The hangers go into the bars; no screw may be as long as they are deep.',
  wire: () =>
    'Pass the wire through both hangers and twist each end five times round itself. It sags a little, as drawn.',
  bumpers: ({ n }) =>
    `Stick ${n('count') === 1 ? 'the bumper' : `${n('count')} bumpers`} on the lower corners of the back.`,
  felt: () => 'Stick the felt along the lower edge of the back.',
  'braces-last': (say) => `Screw a brace over each corner of the back.${screws(say)}`,
};

/** A line as the customer reads it; undefined for what is not theirs. */
export const kitLine = ({ code, figures }: Line, unit: Unit): string | undefined =>
  KIT_LINES[code]?.(sayOf(figures, unit)) || undefined;

/** What comes before the first step: what is true of this kit. */
export function kitBefore({ resolved: { design }, stack, sizes }: WorkedOut): string[] {
  const glazed = stack.layers.some(({ group }) => group === 'glazing');
  const backed = stack.layers.some(({ part }) => part === 'backing');
  return [
    'Work on something soft and clean, and wash your hands. Hold boards by their edges.',
    sizes.frames.length > 0 &&
      (backed
        ? 'The top side and the back board are marked “top” behind: keep the two together.'
        : 'The top side is marked “top” behind.'),
    glazed && 'Dust shows behind a pane: brush off what lies there just before you close it.',
    design.piece.irreplaceable && 'It is an original: touch the piece itself as little as you can, and never its face.',
  ].filter((text): text is string => Boolean(text));
}
