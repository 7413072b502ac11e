/** What is said of each instruction. Figures are those of the piece; a rule has them. */
import type { LineCode } from '@/core/instructions/codes';
import type { Figures, Line } from '@/core/instructions/line';
import type { Length, Unit } from '@/core/units/length';
import { ratedText, weightText } from '@/core/units/weight';
import { type Money, formatMoney } from '@/core/units/money';
import { choiceName } from './builds';
import { finishName, legName, partName, placeName, scopeName } from './build-parts';
import { FITTING_NAMES, LINE_NAMES } from './hardware';
import { mountName } from './mounts';
import { KIND_NAMES } from './materials';
import { CUT_STEP, bitText, mmText, ruleText } from './rule';

export interface Say {
  readonly f: Figures;
  readonly unit: Unit;
  /** A length with its unit, as fine as a cut. */
  readonly len: (key: string) => string;
  /** Two lengths, `12 × 16 in`. */
  readonly size: (w?: string, h?: string) => string;
  /** Whether a figure was given. */
  readonly has: (key: string) => boolean;
  readonly n: (key: string) => number;
  /** A drill; what is sold by the millimetre. */
  readonly bit: (key: string) => string;
  readonly millimetres: (key: string) => string;
  /** A weight; what a fixing is rated. */
  readonly kg: (key: string) => string;
  readonly rated: (key: string) => string;
}
const SIDE: Readonly<Record<string, string>> = { w: 'left and right', h: 'top and bottom' };
const WHERE: Readonly<Record<string, string>> = {
  back: 'Rings on the back of the frame.',
  'inner wall': 'Rings on the inner wall, so that it hangs flat.',
};
const PATTERNS: Readonly<Record<string, string>> = {
  'as it falls': 'as it falls',
  'motif in the middle': 'a motif in the middle',
  'between motifs': 'the middle lies between two motifs',
  'as marked': 'the part that is marked on the cloth',
};
const JOINTS: Readonly<Record<string, string>> = { wall: 'Wall', base: 'Base', lip: 'Lip', frame: 'Frame' };
/** The screws of each fixing, where they are known: which, how deep, with which bit. */
const screwsText = ({ f, n, has, len, bit }: Say): string =>
  has('each')
    ? `; ${plural(n('each'), 'screw', 'screws')} each, ${f.gauge} × ${len('long')}, pilot ${bit('pilot')}, stop the drill at ${len('stop')}`
    : '';
const plural = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;
/** What is laid in, from the front. */
export const layersText = ({ f }: Say): string =>
  String(f.layers)
    .split(' | ')
    .map((part) => (part === 'glazing' && f.type === 'acrylic' ? 'acrylic' : (LAYERS[part] ?? part)))
    .join(', ');
const shaped = ({ f, has, len }: Say) =>
  f.shape === 'rectangle' ? '' : `; ${String(f.shape)}${has('corner') ? `, corner ${len('corner')}` : ''}`;
const LAYERS: Readonly<Record<string, string>> = {
  glazing: 'glass',
  spacer: 'strips',
  mat: 'mat',
  'hidden spacer': 'hidden spacer',
  piece: 'piece',
  insert: 'insert',
  'lift board': 'lift board',
  'mount board': 'mount board',
  'side strips': 'side strips',
  pane: 'back pane',
  mirror: 'mirror',
  filler: 'filler',
  backing: 'backing',
};

const LINES: Readonly<Record<LineCode, (say: Say) => string>> = {
  piece: ({ f, n, size, len, unit }) =>
    `${KIND_NAMES[String(f.kind)] ?? String(f.kind)}${f.title ? ` “${f.title}”` : ''}, ${size()}${n('thickness') < CUT_STEP[unit] ? '' : `, ${len('thickness')} thick`}.`,
  'piece-out-of-square': ({ size }) => `Out of square: at its smaller ends ${size()}.`,
  'made-of': ({ f }) => `Made of ${choiceName(String(f.made)).toLowerCase()}.`,
  weighed: ({ kg }) => `Weighed: ${kg('kg')}.`,
  keyed: () => 'Keyed stretcher: no key is driven or lost.',
  original: () => 'An original: nothing is trimmed, nothing stuck that does not come off.',
  signed: () => 'Signed.',
  damaged: () => 'Mould, flaking or tears: as it came, and not touched; a conservator decides.',
  declared: ({ f }) => `Declared value ${formatMoney(Number(f.value) as Money)}.`,
  insists: ({ f }) => `The customer insists: ${f.insists}`,
  alike: ({ f }) => `One of ${f.count} alike.`,
  sooner: () => 'Wanted sooner than usual.',
  extra: ({ f }) =>
    `With it: ${[f.name, f.text && `“${f.text}”`, f.who && `by ${f.who}${Number(f.days) > 0 ? `, ${f.days} ${f.days === 1 ? 'day' : 'days'} away` : ''}`].filter(Boolean).join(', ')}.`,
  'take-moulding': ({ f, len }) => `${f.name} (${f.code}), ${len('length')} in all.`,
  'take-ready-made': ({ f, size }) => `${f.name} (${f.code}), for ${size()}; its glass and back come with it.`,
  'stretch-canvas': ({ len }) =>
    `Stretch from the middles to the corners, ${len('wrap')} over each side, staples behind; fold the corners flat.`,
  'drive-keys': ({ f }) => `${f.count} keys, two a corner: drive them only as far as it takes, and secure them.`,
  crossbar: () => 'Crossbar in before the canvas goes on.',
  'on-the-bars': ({ len }) => `Hangers into the bars, which are ${len('bar')} wide; no screw as long as they are deep.`,
  'carried-by': ({ size }) => `Carried by ${size()}: the frame is sized by that, and hides what is not to be seen.`,
  'in-window': ({ f, n, size }) =>
    `Window ${n('number')}: ${f.holds === 'cloth' ? 'cloth' : f.holds === 'photograph' ? 'photograph' : 'the piece'}${f.title ? ` “${f.title}”` : ''}, ${size()}.`,
  plate: ({ f, size }) => `Plate ${size()}${f.text ? `, engraved “${f.text}”` : ', without a text yet'}.`,
  'cut-to-shape': ({ f, len }) =>
    `${f.sides} equal sides: mats, boards and glass are cut square first, then to ${f.sides} sides of ${len('side')}, ${len('flats')} across.`,
  'rip-strips': ({ f, len }) =>
    `Rip from ${f.from === 'sheet' ? 'the sheet' : 'boards'}: ${f.strips} × ${len('width')} wide, ${len('thick')} thick, ${len('length')} of each; a cut takes ${len('kerf')}.`,
  'glue-up': ({ f, len }) => `Glue ${f.strips} strips up to ${len('height')}, clamped flat, edges flush.`,
  rebate: ({ f, len }) =>
    `Rebate ${f.side ? `the legs ${SIDE[String(f.side)]} ` : ''}${len('width')} wide, ${len('depth')} deep, in ${f.passes === 1 ? 'one pass' : `${f.passes} passes`}; try it with a scrap of the package.`,
  'rough-legs': ({ f, len }) => `Cut ${f.count} rough to ${len('length')}.`,
  'finish-when': ({ f }) =>
    f.when === 'before' ? 'Coat it before it is mitred, sanded between coats.' : 'It is coated after joining.',
  'rest-to-rack': () => 'What is left over goes on the rack with its moulding’s code.',
  'own-tabs': () => 'Its own tabs close it: turn them down all round.',
  'take-sections': ({ f, size }) => `${f.name} (${f.code}): a pair for each side, package ${size()}.`,
  'take-sheet': ({ f }) => `${partName(String(f.part)).replace(/^./, (first) => first.toUpperCase())}: ${f.name}.`,
  'customers-frame': () => 'The customer’s own frame: nothing of it is cut.',
  seat: ({ len }) =>
    `Its seat, inside: top ${len('top')}, bottom ${len('bottom')}, left ${len('left')}, right ${len('right')}.`,
  'seat-not-measured': () => 'Its seat is not measured yet: measure before anything is cut.',
  scope: ({ f }) => `Supplied: ${scopeName(String(f.scope)).toLowerCase()}.`,
  'cut-legs': ({ f }) => `${f.count} ${legName(String(f.of))}, ${f.side}: ${f.name}. Stop on the long point.`,
  mitre: ({ f }) => `Mitre ${f.degrees}°.`,
  'widen-rabbet': ({ f, len }) =>
    `Widen the rabbet of the legs ${SIDE[String(f.side)]} by ${len('x')} a side; ${len('wood')} of wood is left${f.left === 'good' ? '' : ', which is little'}.`,
  'base-and-lip': ({ f, len }) =>
    `Base of ${choiceName(String(f.material))} ${len('thickness')} thick, ${len('base')} wide; lip ${len('lip')} wide.`,
  'cut-mat': ({ f }) =>
    `Mat ${f.layer}, ${f.name}${f.style === 'bevel' ? '' : f.style === 'reverse' ? ', bevel reversed' : ', edge turned over'}: to its outside first.`,
  'cut-spacer-mat': () => 'The hidden spacer: to its outside first.',
  'window-at': (say) =>
    `Window ${say.f.number}${say.f.title ? ` (${say.f.title})` : ''}: ${say.len('left')} from the mat’s left edge, ${say.len('top')} from its top${shaped(say)}.`,
  guide: (say) =>
    `Guide: left ${say.len('left')}, right ${say.len('right')}, top ${say.len('top')}, bottom ${say.len('bottom')}${shaped(say)}.`,
  'mark-from-back': ({ len }) =>
    `From the back: centre lines ${len('left')} from the left, ${len('top')} from the top.`,
  'turned-edge': ({ size, len }) =>
    `Turned edge: first cut out ${size()} right through; then score the window, slit the corners, fold the ${len('tab')} tabs back and tape them.`,
  reveal: ({ f, len }) => `Layer ${f.layer} shows ${len('reveal')}.`,
  'spacer-set-back': ({ len }) => `The spacer’s window stands back ${len('setBack')} a side, unseen.`,
  'fabric-pattern': ({ f }) => `Pattern: ${PATTERNS[String(f.pattern)]}.`,
  fillet: ({ f, len }) => `Fillet ${f.name} under the window, its lip ${len('lip')}.`,
  'fresh-blade': () => 'A fresh blade; the other hand behind the cut.',
  'cut-pane': ({ f }) => `${f.part === 'pane' ? 'Back pane' : f.part === 'mirror' ? 'Mirror' : 'Pane'}: ${f.name}.`,
  'mark-coated': () => 'Mark the coated side, and keep it where it belongs.',
  'safety-film': () => 'Safety film on the back of the mirror.',
  'mirror-thick': ({ has, len }) =>
    has('thickness') ? `The mirror is ${len('thickness')} thick.` : 'A mirror, no piece.',
  'try-in-frame': () => 'Try it in the frame before the edges are dressed.',
  'cut-board': ({ f }) => `${partName(String(f.part)).replace(/^./, (first) => first.toUpperCase())}: ${f.name}.`,
  'cut-board-large': ({ f }) => `${f.name}: cut large first, trimmed to the piece once it is bonded.`,
  'cut-strip': ({ f, has, len }) =>
    [`${f.count} × ${f.name}`, has('width') && `${len('width')} wide`, has('height') && `${len('height')} deep`]
      .filter(Boolean)
      .join(', ')
      .concat('.'),
  'cut-beside': ({ f }) => `${f.count} × ${f.name || partName(String(f.part))}.`,
  'which-strips-full': ({ f, len }) =>
    `${f.full === 'upright' ? 'The uprights run full, top and bottom between them' : 'Top and bottom run full, the uprights between them'}; strips ${len('thickness')} thick, each marked with its side.`,
  'cloth-from-roll': ({ f, has, len, size }) =>
    [
      `Cloth ${size()}`,
      has('length') && `${len('length')} off a roll of ${len('roll')}`,
      has('repeat') && `repeat ${len('repeat')}`,
      f.up === 'up' && 'it has a way up',
    ]
      .filter(Boolean)
      .join('; ')
      .concat('.'),
  'dry-first': ({ n }) => `All ${n('corners') || 4} corners dry first: square, flush, no gap.`,
  'glue-and-wedges': ({ f, n, millimetres }) =>
    `${f.joint ? `${JOINTS[String(f.joint)]}: glue` : 'Glue'} both faces; ${plural(n('count'), 'wedge', 'wedges')} per corner, ${millimetres('size')}, ${n('all')} in all.`,
  'no-wedges': () => 'The wood is too narrow for wedges.',
  'glue-alone': () => 'Glue both faces, no wedges.',
  splines: ({ n }) => `Glue both faces; ${plural(n('count'), 'spline', 'splines')} per corner.`,
  'screws-and-braces': () => 'Screws and braces at the corners instead of wedges.',
  'measure-seat': () => 'Measure the seat after joining, and write it down.',
  'measure-inside': () => 'Measure the inside after joining, and write it down.',
  'clamp-overnight': () => 'Clamped overnight before it goes on.',
  'fasten-at-once': () => 'Goes on as soon as it holds.',
  finish: ({ f }) => `${finishName(String(f.finish))}: coats and grits as it asks, each dry; match in daylight.`,
  'press-board': ({ len }) => `Board ${len('excess')} larger a side; piece and board dry and free of grit.`,
  'press-heat': ({ f }) =>
    f.press === 'heat'
      ? 'Press with heat: as hot and as long as the tissue asks, under cover paper; then flat under weight until it is cold.'
      : 'Press cold: adhesive all over, under cover paper, flat under weight until it has set.',
  'trim-after': ({ size }) => `Trim to ${size()} once it is cold.`,
  'measure-again': () => 'Measure it again: what is mounted may have grown.',
  'press-through-paper': () => 'Only cloth that takes it: press through paper, low heat.',
  'iron-cloth': () => 'Iron the cloth as it allows, along the thread.',
  hinge: ({ n }) => `${plural(n('count'), 'paper hinge', 'paper hinges')}, at the top only.`,
  'tape-hinge': ({ n }) => `${plural(n('count'), 'hinge', 'hinges')} of tape, at the top only.`,
  'corner-pockets': ({ n }) => `${n('count')} corner pockets: nothing sticks to the piece.`,
  'edge-strips': ({ n }) => `${n('count')} strips along the edges that grip it: nothing sticks to the piece.`,
  pads: ({ n }) => `${n('count')} pads behind it.`,
  'pads-besides': () => 'Pads behind it, small, near the corners.',
  staples: ({ n }) => `${n('count')} staples round its edge, on the back.`,
  pins: ({ n }) => `${n('count')} pins or stitches, nearly flat, into the board only.`,
  lacing: () => 'Laced at the back, across first, then up and down, even all over.',
  'held-by': ({ f }) => `Held by: ${mountName(String(f.mount)).toLowerCase()}.`,
  'onto-board': ({ f }) => `Onto ${f.name}.`,
  'part-shown': ({ len, size }) =>
    `A part is shown: ${size()}, from ${len('left')} of its left edge and ${len('top')} of its top.`,
  'float-in-window': ({ len }) => `It floats in the window, ${len('gap')} free all round.`,
  covers: ({ len }) => `The window covers ${len('overlap')} of its edge.`,
  'piece-in-window': ({ f, size, has }) =>
    `Window ${f.number}${f.title ? ` (${f.title})` : ''}: ${f.holds || 'piece'} ${size()}${has('patchW') ? `, on a patch of ${size('patchW', 'patchH')}` : ''}.`,
  'face-up-only': () => 'Face up only: nothing touches its face, it is never turned over.',
  'mind-signature': () => 'Mind the signature: it stays in sight.',
  'fills-rabbet': () => 'It fills the rabbet, with nothing before it.',
  'float-board': ({ len, size }) => `Board ${size()}, ${len('border')} of it seen all round.`,
  'lift-board': ({ len, size }) =>
    `Raised on a hidden board ${size()}, ${len('thickness')} thick, ${len('inset')} inside its edge.`,
  'tray-border': ({ has, len }) =>
    `${len('border')} of base seen all round; ${len('under')} of base lies under the piece${has('depth') ? `, which is ${len('depth')} deep` : ''}.`,
  'screws-behind': ({ f, has, len, bit, n }) =>
    [
      `${n('count')} screws from behind, ${f.gauge}${has('length') ? ` × ${len('length')}` : ''}`,
      has('floor') && `through a floor of ${len('floor')}`,
      `hole ${bit('clearance')}${f.through === 'blocks' ? ' through the middle of each block' : ''}, pilot ${bit('pilot')}`,
      has('stop') && `stop the drill at ${len('stop')}`,
    ]
      .filter(Boolean)
      .join('; ')
      .concat('. Never through the piece.'),
  'object-held': ({ f, len }) =>
    `The object, ${len('depth')} deep, is held by: ${mountName(String(f.mount)).toLowerCase()}.`,
  'object-clear': ({ len }) => `${len('clearance')} stays clear of the glass.`,
  'box-inside': ({ len }) => `The box is ${len('inner')} deep inside; ${len('margin')} free round the object.`,
  insert: ({ has, len, size }) =>
    [
      `Insert ${size()}, ${len('thickness')} thick, edges rounded: ${len('stretch')} of stretch, ${len('tuck')} tucked away`,
      has('flat') && `laid flat ${len('flat')} wide`,
      has('seen') && `${len('seen')} of it seen`,
      has('whole') && `${len('whole')} high in all`,
    ]
      .filter(Boolean)
      .join('; ')
      .concat('.'),
  sleeves: ({ len }) =>
    `Sleeve boards, right-angled at the cuff: cuff ${len('cuff')}, outer ${len('outer')}, under the arm ${len('under')}.`,
  'neck-below-collar': ({ has, len }) =>
    `Cut the neck${has('w') ? ` ${len('w')} wide` : ''}${has('h') ? `${has('w') ? ',' : ''} ${len('h')} deep` : ''} below the collar, so that no board shows.`,
  'pin-edge': ({ f, len }) => `Edge ${f.number}, ${len('edge')}: ${f.pins} pins or stitches, nearly flat.`,
  'level-mat': ({ len }) => `Where the mat lies on it: foam strips ${len('thickness')} thick level the mat.`,
  'laid-with-margin': ({ len }) => `${len('margin')} free all round.`,
  'cloth-laid': ({ f, len }) =>
    f.laid === 'wrapped'
      ? `Wrapped round a board ${len('thickness')} thick, ${len('wrap')} turned over a side.`
      : f.laid === 'laced'
        ? `Laced over a board ${len('thickness')} thick, ${len('margin')} of margin; ${len('wrap')} to lace by.`
        : `Loosely laid on a board ${len('thickness')} thick, ${len('wrap')} turned over left and right.`,
  'cloth-taut': () => 'Thread straight, taut before it is closed.',
  'between-panes': ({ has, len }) =>
    has('border') ? `Between the panes, ${len('border')} of glass seen all round.` : 'Between the panes, edge to edge.',
  'strips-between': ({ has, len }) =>
    `Strips between the panes, ${len('depth')} deep${has('width') ? `, ${len('width')} wide` : ''}: under the lip, unseen.`,
  'float-gap': ({ len }) => `${len('gap')} of gap all round.`,
  'floater-depths': ({ has, len }) =>
    [
      `Piece ${len('piece')} deep`,
      has('inner') && `frame ${len('inner')} deep inside`,
      has('setBack') && `${len('setBack')} below the face`,
      has('proud') && `stands out ${len('proud')}`,
      has('wall') && `wall ${len('wall')}`,
    ]
      .filter(Boolean)
      .join('; ')
      .concat('.'),
  blocks: ({ n, len }) =>
    `${n('count')} riser blocks, ${len('height')} high and ${len('long')} long, where they are marked; barrier film over raw wood.`,
  'blocks-glued': ({ n, len }) =>
    `${n('count')} blocks, ${len('height')} high and ${len('long')} long, where they are marked; glue them over paper strips so they come off again.`,
  'no-riser': ({ len }) => `No riser: ${len('riser')} to fill, and ${len('least')} is the least.`,
  'into-bar': ({ len }) => `Into a bar ${len('bar')} thick: it stops before two thirds of it.`,
  'oversized-holes': ({ n }) =>
    `${n('washers')} washers over the wide holes${n('keyed') > 0 ? ', so the keys can still be driven' : ''}; snug, not tight.`,
  'screwed-hard': () => 'Screwed hard, without play.',
  shims: ({ n, millimetres, has }) =>
    `${n('aSide')} cards of ${millimetres('thickness')} a side, alike on opposite sides${has('off') ? `; ${millimetres('off')} stays open` : ''}.`,
  'centre-by-eye': () => 'Centre it by eye, gap alike on opposite sides.',
  'keys-reachable': () => 'Keyed: keys stay reachable behind the back, and are not glued.',
  strainer: ({ f, size, len }) =>
    `Strainer ${size()}, ${len('width')} wide, ${len('depth')} deep, ${f.mitred === 'mitred' ? 'mitred' : 'two full, two between them'}.`,
  'paint-inside-dark': () => 'Paint the inside dark before anything goes in.',
  'pocket-screws': ({ n }) => `${n('count')} pocket screws hold the strainer in the frame.`,
  'riser-strips': ({ len }) =>
    `Strips on the strainer ${len('height')} high, ${len('width')} wide; none under ${len('least')}.`,
  'tape-print': ({ len }) => `Tape ${len('tape')} wide on strips of ${len('strip')}: no screw goes into the print.`,
  'sections-order': ({ n }) =>
    `Three sides, hangers into the channel, the last side (${n('sets')} corner sets), then the clips; place the hangers last.`,
  'clean-glass': ({ f, n }) =>
    f.type === 'acrylic'
      ? 'Clean the acrylic on both sides: soft cloth and acrylic cleaner, nothing with ammonia.'
      : n('panes') > 1
        ? 'Both panes clean, all four sides.'
        : 'Glass clean, both sides.',
  'film-off': () => 'Protective film off: the inner face just before closing, the outer face last.',
  'lay-in': (say) => `From the front: ${layersText(say)}.`,
  filler: ({ f, len }) => `Filler behind it: ${f.name}, ${len('thickness')}.`,
  'room-behind': ({ f, n, len }) =>
    f.verdict === 'proud'
      ? `It stands ${len('proud')} proud of the rabbet.`
      : f.verdict === 'tight'
        ? `${len('room')} of room${n('points') > 0 ? ': low-profile points' : ' behind it'}.`
        : `${len('room')} of room behind it.`,
  points: ({ n }) => `${n('count')} flexible points: one in the middle of each side, look, then all round.`,
  'points-rigid': ({ n }) => `${n('count')} rigid points: one in the middle of each side, look, then all round.`,
  'points-by-hand': ({ n }) =>
    `${n('count')} flexible points, pushed in by hand with the rail held against it: the wood beside the rabbet is thin.`,
  'nothing-holds': () => 'Stop: nothing holds this package in its frame. Ask at the desk before going on.',
  'turn-tabs': ({ n }) => `${n('count')} turn tabs hold the back.`,
  clips: ({ n }) => `${n('count')} clips.`,
  'offset-clips': (say) => `${say.n('count')} offset clips over the back${screwsText(say)}.`,
  'spring-clips': ({ n }) => `${n('count')} spring clips.`,
  'staples-in': ({ n }) => `${n('count')} staples: one in the middle of each side, look, then all round.`,
  seal: ({ len }) => `Seal with ${len('length')} of tape.`,
  'look-without-turning': () => 'Look from above before the last fastener: it is not turned over.',
  'turn-and-look': () => 'Turn it over and look before the last fasteners.',
  'strips-under-lip': ({ len }) => `Strips under the lip, ${len('depth')} deep; top and bottom before the sides.`,
  'canvas-in-rabbet': ({ f, has, len }) =>
    `${has('depth') ? `The canvas is ${len('depth')} deep` : 'The canvas lies in the rabbet'}${f.clips === 'offset' ? `; it stands out ${len('proud')} behind` : ''}. Centre it.`,
  'sides-lined': () => 'Line the sides; the pair that runs full first.',
  'strips-behind': ({ has, len }) =>
    `Strips behind the panes, ${len('depth')} deep${has('width') ? `, ${len('width')} wide` : ''}; top and bottom first.`,
  'pin-strips': ({ n, len, f }) =>
    `${n('count')} pins of ${len('length')} through the strips, half into the wall, at ${f.degrees}°; no point against the pane.`,
  'card-on-glass': () => 'A card on the glass while pinning: the tool does not lie on it.',
  'hardwood-predrill': () => 'In hardwood drill for the pins first.',
  'back-upright': () => 'Stand it upright for the back: never on its face, nothing pressed against it.',
  'dust-cover': () => 'Dust cover.',
  'tape-only': () => 'The back is taped, without a cover.',
  sawtooth: (say) => {
    const { n, rated, has, len } = say;
    return [
      n('count') === 1 ? 'A sawtooth in the middle' : `Two sawtooths, ${len('apart')} apart`,
      has('rating') && `rated ${rated('rating')}`,
      has('plate') && `plate ${len('plate')} high`,
      has('hidden') && 'hidden behind the rail',
    ]
      .filter(Boolean)
      .join(', ')
      .concat(screwsText(say), '.');
  },
  hooks: (say) => {
    const { f, rated, has, len } = say;
    return [
      `Two hooks (${FITTING_NAMES[String(f.fitting)]}), ${len('apart')} apart, ${len('inset')} from the edge`,
      has('rating') && `rated ${rated('rating')}`,
      has('plate') && `plate ${len('plate')} high`,
    ]
      .filter(Boolean)
      .join(', ')
      .concat(screwsText(say), '.');
  },
  rings: (say) => {
    const { f, rated, has, len } = say;
    return [
      `${FITTING_NAMES[String(f.fitting)]} ${len('inset')} from the edge, ${len('apart')} apart`,
      has('rating') && `rated ${rated('rating')}`,
      has('plate') && `plate ${len('plate')} high`,
    ]
      .filter(Boolean)
      .join(', ')
      .concat(screwsText(say), '.');
  },
  'rings-where': ({ f, has, len }) =>
    `${WHERE[String(f.on)] ?? ''}${has('wall') ? ` The wall is ${len('wall')} wide.` : ''}`,
  wire: ({ f, kg, rated, has }) =>
    `${LINE_NAMES[String(f.line)]}, slack ${Math.round(Number(f.slack) * 1000) / 10} %, pull ${kg('pull')} at each ring${has('rating') ? `, rated ${rated('rating')}` : ''}; ends tidy.`,
  'write-drop': () => 'Write how far below the top the hook goes: on the back and on the card.',
  bumpers: ({ n, has, millimetres }) =>
    `${n('count')} bumpers at the lower corners${has('size') ? `, no more than ${millimetres('size')} wide` : ''}.`,
  felt: ({ len }) => `Felt along the lower rail, ${len('length')}: it is too narrow for bumpers.`,
  'hangers-no-wood': ({ rated, len }) =>
    `Stop: the rail has ${len('solid')} of wood, too little for hangers rated ${rated('rating')}. Ask at the desk how it hangs.`,
  'no-hangers': () => 'No hangers are fitted.',
  'braces-last': (say) =>
    `${say.n('count')} corner braces${say.has('width') ? `, ${say.millimetres('width')} wide` : ''}, after the hangers${screwsText(say)}.`,
  sleeve: ({ size }) => `Into a clear sleeve for ${size()}, with a board behind it.`,
  'mark-top': ({ has }) => `Write “top” on the back of the top side${has('back') ? ' and of the back board' : ''}.`,
  'kit-list': () => 'Everything on the pick list into the packet, with the sheet of instructions.',
  box: ({ len }) => `Box, measured inside; ${len('deep')} deep.`,
  'hang-there': ({ has, len }) =>
    `Fix into structure, by local rules${has('apart') ? `; two hooks, ${len('apart')} apart and level` : ''}. Over the floor:`,
  place: ({ f }) => `It will hang: ${placeName(String(f.place)).toLowerCase()}.`,
};

export const sayLine = ({ code, figures }: Line, unit: Unit): string => LINES[code](sayOf(figures, unit));

/** The figures of a line, ready to be said. */
export function sayOf(figures: Figures, unit: Unit): Say {
  const measure = (key: string) => ruleText(Number(figures[key] ?? 0) as Length, unit);
  return {
    f: figures,
    unit,
    len: (key) => `${measure(key)} ${unit}`,
    size: (w = 'w', h = 'h') => `${measure(w)} × ${measure(h)} ${unit}`,
    has: (key) => figures[key] !== undefined && figures[key] !== 0 && figures[key] !== '',
    n: (key) => Number(figures[key] ?? 0),
    bit: (key) => bitText(Number(figures[key] ?? 0) as Length, unit),
    millimetres: (key) => mmText(Number(figures[key] ?? 0) as Length),
    kg: (key) => weightText(Number(figures[key] ?? 0), unit),
    rated: (key) => ratedText(Number(figures[key] ?? 0), unit),
  };
}
