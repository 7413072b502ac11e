/** The trade's names for what builds ask, what they are made of, and how they are done: of sections and papers that are fetched later. */
import { named } from './named';
import type { Matter } from '@/core/parts/practice';

const FIELDS: Readonly<Record<string, string>> = {
  press: 'Pressed',
  spacers: 'Spacer strips under the glass',
  stripWidth: 'Strip width',
  stripDepth: 'Strip depth',
  excess: 'Board larger, a side',
  floatBorder: 'Board seen round it',
  raised: 'Raised on a hidden board',
  inset: 'Hidden board smaller, a side',
  liftThickness: 'Hidden board thickness',
  pads: 'Held by pads',
  gap: 'Gap round the piece',
  wall: 'Wall, seen from the front',
  innerDepth: 'Depth inside',
  pieceDepth: 'Depth of the piece',
  setBack: 'Set back below the face',
  riserMin: 'No riser under',
  cardThickness: 'Shim card thickness',
  floor: 'Floor thickness',
  bar: 'Stretcher bar thickness',
  fixing: 'Held by',
  ringsOn: 'Rings on',
  strainer: 'Rigid print on a strainer',
  showBorder: 'Border of it seen',
  toOuterFace: 'Border to the outer face',
  lip: 'Lip, seen from the front',
  under: 'Base under the piece',
  objectDepth: 'Depth of the object',
  clearance: 'Clear of the glass',
  margin: 'Margin round it',
  stripThickness: 'Side strip thickness',
  full: 'Full-length side strips',
  flatWidth: 'Width laid flat, below the sleeves',
  visibleHeight: 'Height that is seen',
  garmentHeight: 'Height of the garment',
  stretch: 'Stretch',
  tuck: 'Tucked away',
  heldEdges: 'Held edges',
  sleeveCuff: 'Sleeve, cuff',
  sleeveOuter: 'Sleeve, outer length',
  sleeveUnder: 'Sleeve, under the arm',
  neckWidth: 'Neck, across inside the collar',
  neckDepth: 'Neck, deep below the collar',
  insertThickness: 'Insert thickness',
  wrap: 'Wrap, a side',
  laid: 'Laid',
  boardThickness: 'Board thickness',
  rollWidth: 'Width of the roll',
  repeat: 'Pattern repeat',
  wayUp: 'Has a way up',
  pattern: 'Part of the pattern',
  innerSpacers: 'Spacers between the panes',
  seat: 'Seat',
  mirrorThickness: 'Mirror thickness',
  strainerWidth: 'Strainer, wide',
  strainerDepth: 'Strainer, deep',
  strainerMitred: 'Strainer mitred',
  riserStrip: 'Riser strips, wide',
  tape: 'Mounting tape, wide',
  baseThickness: 'Base, thick',
  baseMaterial: 'Base of',
  innerWidth: 'Strips between, wide',
  stretched: 'Stretched here',
  barWidth: 'Bars, wide',
};

const PARTS: Readonly<Record<string, string>> = {
  'dust cover': 'Dust cover',
  'spacer strip': 'Spacer strips',
  'inner spacer': 'Strips between the panes',
  'outer spacer': 'Strips behind the panes',
  'side strip': 'Side strips',
  'riser block': 'Riser blocks, high',
  strainer: 'Strainer',
  'riser strip': 'Riser strips',
  section: 'Metal sections',
  'backing patch': 'Backing patch',
  'dry mount board': 'Mounting board',
  'lift board': 'Lift board',
  'insert board': 'Insert',
  'sleeve board': 'Sleeve boards',
  cloth: 'Cloth',
  'stretcher bar': 'Stretcher bars',
};

const LEGS: Readonly<Record<string, string>> = {
  frame: 'legs',
  liner: 'liner legs',
  fillet: 'fillet legs',
  base: 'base legs',
  lip: 'lip legs',
  pair: 'sections',
};

const PLACES: Readonly<Record<string, string>> = {
  room: 'In a room',
  public: 'In a public place',
  child: 'In a child’s room',
  'over a bed': 'Over a bed',
};

const FINISHES: Readonly<Record<string, string>> = {
  'raw wood': 'Raw wood, finished here',
  'raw mdf': 'Raw MDF, finished here',
  lacquer: 'Lacquered here',
  'old finish': 'An old finish, sanded or stripped',
  darkens: 'Darkens with light',
};

const SCOPES: Readonly<Record<string, string>> = {
  'part only': 'A part only',
  'mounted and bagged': 'Mounted, in a clear sleeve',
  kit: 'A kit to assemble',
  'framed, not wired': 'Framed, not wired',
  'ready to hang': 'Ready to hang',
  refit: 'Refitted in its old frame',
  installed: 'Hung at the customer’s',
};

const MATTERS: Readonly<Record<Matter, string>> = {
  fasteners: 'Held in by',
  corner: 'Corners',
  braces: 'Corner braces',
  mitres: 'Joined',
  cutFirst: 'Cut first',
  back: 'Back closed by',
};

const PRACTICES: Readonly<Record<string, string>> = {
  flexible: 'Flexible points',
  rigid: 'Rigid points',
  staples: 'Staples',
  'glue and wedges': 'Glue and wedges',
  glue: 'Glue alone',
  splines: 'Splines',
  'screws and braces': 'Screws and braces',
  'by size': 'By size and weight',
  always: 'Always',
  never: 'Never',
  overnight: 'Clamped overnight first',
  'at once': 'Fastened at once',
  'long legs': 'Long legs',
  'short legs': 'Short legs',
  'dust cover': 'Paper dust cover',
  'tape only': 'Tape only',
  'board with tabs': 'Board with tabs',
};

const SHAPES: Readonly<Record<string, string>> = {
  rectangle: 'Rectangle',
  oval: 'Oval',
  circle: 'Circle',
  arch: 'Arch',
  chamfer: 'Cut corners',
  step: 'Stepped corners',
};

export const fieldName = named(FIELDS);
export const partName = named(PARTS);
export const legName = named(LEGS);
export const placeName = named(PLACES);
export const finishName = named(FINISHES);
export const scopeName = named(SCOPES);
export const matterName = named(MATTERS);
export const practiceName = named(PRACTICES);
export const shapeName = named(SHAPES);
