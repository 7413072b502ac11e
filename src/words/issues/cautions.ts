/** What a framer is cautioned of. */
import type { CautionCode } from '@/core/issue-codes';
import { tickName } from '../ticks';
import { type Sentences, cap } from './sentence';

const PLACE_NAMES: Record<string, string> = {
  public: 'A public place',
  child: 'A child’s room',
  'over a bed': 'Over a bed',
};

const STUCK: Record<string, string> = { tape: 'tape', pads: 'pads', hinges: 'hinges' };

export const CAUTIONS: Sentences<CautionCode> = {
  'opening-not-covered': ({ f, len }) =>
    f.side !== undefined
      ? `The window reaches the ${f.side} edge of the sheet: nothing of it lies under the mat there.`
      : `The window ${len('openingW')} × ${len('openingH')} is not smaller than the piece ${len('pieceW')} × ${len('pieceH')}: it would fall through.`,
  'opening-overlap-small': ({ len }) =>
    `The mat covers only ${len('overlap')} of the edge; ${len('least')} is wanted here.`,
  'trim-original': ({ len }) =>
    `The package ${len('packageW')} × ${len('packageH')} is smaller than the piece ${len('pieceW')} × ${len('pieceH')}, and an original is never trimmed.`,
  'border-thin': ({ len }) =>
    `Only ${len('seen')} of border is seen; on a piece this large ${len('least')} or more looks meant.`,
  'depth-proud': ({ deep }) => `The stack is ${deep('total')} deep and stands ${deep('proud')} proud of the rabbet.`,
  'depth-tight': ({ deep }) => `Fits with ${deep('room')} to spare; points want ${deep('wanted')}.`,
  'depth-loose': ({ deep }) =>
    `${deep('room')} of the rabbet stays empty: fill up to ${deep('filler')} behind, so that nothing rattles.`,
  'board-too-small': ({ f, len }) =>
    `${f.name} comes no larger than ${len('sheetW')} × ${len('sheetH')}; the package is ${len('w')} × ${len('h')}.`,
  'glass-too-small': ({ len }) =>
    `This glazing comes no larger than ${len('sheetW')} × ${len('sheetH')}; the package is ${len('w')} × ${len('h')}.`,
  'glass-too-big': ({ len }) =>
    `Glass of ${len('w')} × ${len('h')} is dangerous to handle: acrylic or thicker glass, two people, gloves.`,
  'stick-too-short': ({ len }) =>
    `The longest leg is ${len('leg')}; a stick is ${len('stick')} less ${len('trim')} at each end.`,
  'rabbet-narrow': ({ len }) =>
    `A rabbet of ${len('rabbet')} could let the package slip out; ${len('least')} is wanted.`,
  'moulding-weak': ({ heavy }) => `The piece weighs ${heavy('kg')}; this moulding carries ${heavy('limit')}.`,
  'no-uv': () => 'Worth keeping, but the glazing does not hold back ultraviolet light.',
  'not-archival': ({ f }) => `${f.name} is not acid-free, and the piece cannot be had again.`,
  'no-wire': ({ heavy }) =>
    `At ${heavy('kg')} and this width no wire: two hooks or a cleat, fixed into structure by local rules, and two people.`,
  'hanger-weak': ({ heavy }) => `Each ring must be rated ${heavy('needed')}; none in stock is.`,
  'hanger-no-wood': ({ heavy, len }) =>
    `The rail has ${len('solid')} of solid wood, ${len('deep')} deep: no hanger rated ${heavy('needed')} holds in it.`,
  'package-unheld': ({ len }) =>
    `Nothing can hold this package: ${len('wall')} of wood beside the rabbet, or it stands too far out of it.`,
  'kind-not-flat': ({ f }) =>
    `${f.medium === 'canvas' ? 'A stretched canvas' : f.medium === 'garment' ? 'A garment' : 'An object'} has no room under a window mat.`,
  'no-support': () => 'There’s no board behind the piece to fasten it to.',
  'dry-mount-original': () => 'Heat or glue all over cannot be undone, and this piece cannot be had again.',
  'adhesive-on-document': ({ f }) =>
    `${cap(STUCK[String(f.mount)] ?? 'Tape or glue')} on an original or a document lowers its value. Use corners or edge strips instead.`,
  'border-bottom-light': ({ len }) =>
    `The bottom border, ${len('bottom')}, is narrower than the top, ${len('top')}: it looks as if it slid down.`,
  'bridge-narrow': ({ len }) =>
    `A bridge or border of ${len('bridge')} between windows will not hold; ${len('least')} is the least.`,
  'sheds-needs-spacer': ({ f }) =>
    `${cap(f.medium)} sheds: flakes need a hidden spacer or room to fall behind the mat.`,
  'sheds-static': ({ f }) => `Acrylic is static and lifts ${f.medium}: glass instead.`,
  'touches-glass': ({ f }) => `The ${f.medium} would lie against the glazing and stick: a mat or spacer strips.`,
  'coated-side': () => 'The glazing is coated: mark the coated side and keep it where it belongs.',
  ammonia: ({ f }) =>
    f.glazing === 'acrylic'
      ? 'Acrylic: a cleaner made for it and a soft cloth, nothing with ammonia or alcohol.'
      : 'An archival package: clean with no ammonia, away from the piece.',
  'object-touches-glass': ({ f, deep }) =>
    `The object is ${deep('object')} deep and the box ${deep('inner')}: it would touch the glass.${f.needed ? ` A rabbet of ${deep('needed')} would do.` : ''}`,
  'object-near-glass': ({ f, deep }) =>
    `The object is ${deep('object')} deep, the box ${deep('inner')}: less than ${deep('clearance')} to the glass.${f.needed ? ` A rabbet of ${deep('needed')} would do.` : ''}`,
  'rabbet-widen-weak': ({ len }) =>
    `Widening the rabbet by ${len('x')} a side leaves ${len('wood')} of wood: no points from behind, corner brackets and a fillet instead.`,
  'rabbet-widen-no': ({ len }) =>
    `Widening the rabbet by ${len('x')} a side would leave ${len('wood')} of wood; less than ${len('least')} does not hold. Another moulding or size.`,
  'screw-through': ({ len }) =>
    `A screw of ${len('screw')} comes within ${len('clear')} of the face, ${len('deep')} away.`,
  'screw-short': ({ len }) => `A screw of ${len('screw')} does not reach a third into the bar.`,
  'keyed-fixed': () => 'Screwed hard, the keys can no longer widen the stretcher: oversized holes and washers.',
  'carrier-seen': ({ len }) =>
    `The frame shows ${len('by')} more than what is to be seen. Take a wider rabbet, a liner, or a mat.`,
  'canvas-no-gap': ({ len }) => `A gap of ${len('gap')} lets the canvas touch the wall; ${len('least')} at least.`,
  'keys-blocked': ({ len }) =>
    `A gap of ${len('gap')} leaves the keys no room to widen the stretcher; ${len('least')} would.`,
  'shim-uneven': ({ deep }) =>
    `Cards of this thickness leave ${deep('off')} open on one side: the piece sits off centre.`,
  'tape-wide': ({ len }) =>
    `Tape of ${len('wide')} reaches over a strip of ${len('strip')}: what hangs over it sticks to the frame.`,
  'moulding-low': ({ len }) =>
    `The floater is ${len('high')} deep with its floor, and the moulding ${len('moulding')} high: it cannot be cut from it.`,
  'lip-hides': ({ len }) =>
    `The lip hides ${len('hidden')} of the piece on a side; its rabbet as it comes would hide ${len('rabbet')} at most.`,
  'garment-hidden': ({ len }) =>
    `The garment is ${len('w')} × ${len('h')} laid flat, its window ${len('openingW')} × ${len('openingH')}: a larger window, or fold it so that nothing creases under the mat.`,
  'plate-too-wide': ({ len }) => `The hanger plate, ${len('plate')}, is wider than the rail behind it, ${len('rail')}.`,
  'thick-paint': () => 'The paint stands high: never face down under weight, never pressed.',
  'safety-glazing': ({ f }) =>
    `${PLACE_NAMES[String(f.place)] ?? 'There'}: safety glazing or acrylic; local codes decide.`,
  heavy: ({ heavy }) =>
    `${heavy('kg')}: two people lift it, two hooks or a cleat fixed into structure; local codes decide, a licensed installer where they require one.`,
  'wire-orientation': () => 'As high as wide: the top and the ring side are marked on the ticket and the back.',
  'value-high': ({ cash }) => `Worth ${cash('value')}, over ${cash('limit')}: a written agreement and a locked place.`,
  'lead-time': ({ f }) => `Promised for ${f.promised}, but the material is here on ${f.here}.`,
  damaged: () => 'Mould, flaking or tears: a conservator decides; the shop does not repair it.',
  'old-finish': () => 'An old finish may hold lead: test before sanding or stripping, and follow local rules.',
  'dust-fumes': () => 'Dust or fumes: extraction or outdoors, a respirator, no flame; read the label.',
  darkens: () => 'This timber or finish changes with light: say so to the customer.',
  'blade-glass': () => 'Glass and fresh blades: cut-resistant gloves and eye protection.',
  wicking: () => 'Liquid runs under edges and cans spit: spray the cloth, away from the piece.',
  'wire-shows': ({ len }) =>
    `The wire rises ${len('rise')} above rings that sit ${len('ringDrop')} below the top: it would show.`,
  'package-loose': ({ f, len }) =>
    f.seen !== undefined
      ? `Nothing of the border is seen at its narrowest (${len('seen')}): it lies under the lip.`
      : `The frame is ${len('loose')} larger than what goes in, and the lip covers ${len('lip')}: it could fall out in front.`,
  'sheet-beyond': ({ len }) => `The sheet reaches ${len('beyond')} beyond the package, and is not cut.`,
  'roll-narrow': ({ len }) => `The cloth, ${len('w')} × ${len('h')}, fits a roll of ${len('roll')} neither way round.`,
  'not-metal': ({ f }) => `${f.name} is no metal section: it cannot be screwed at the corners.`,
  'hinged-cloth': ({ f }) => `${cap(f.medium)} is laced, stitched, stapled or pinned; hinges and tape are for paper.`,
  'screw-none': ({ len }) =>
    `No screw in stock is between ${len('atLeast')} and ${len('atMost')} long: a taller block or bar, or tape.`,
  'block-none': () => 'There is no room for blocks under the piece: nothing to glue.',
  'enclosure-open': ({ f }) => `Tick “${tickName(String(f.tick))}” before the frame is closed.`,
};
