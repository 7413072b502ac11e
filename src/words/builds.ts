/** The trade's names for builds, what each asks, what it is made of, and its figures. */
import { named } from './named';
import type { BuildCode } from '@/core/builds';
import type { ShownFigure } from '@/core/builds/figures';

const BUILDS: Readonly<Record<BuildCode, string>> = {
  'window-mat': 'Window mat',
  bare: 'No mat',
  'dry-mount': 'Dry mounted',
  float: 'Floated',
  floater: 'Floater frame',
  'open-canvas': 'Canvas in a rabbet',
  tray: 'Tray',
  'shadow-box': 'Shadow box',
  garment: 'Garment',
  fabric: 'Fabric over a board',
  'glass-sandwich': 'Between two panes',
  'metal-sections': 'Metal sections',
  'customer-frame': 'Customer’s own frame',
  mirror: 'Mirror',
  'wrapped-canvas': 'Bare canvas',
};
const CHOICES: Readonly<Record<string, string>> = {
  heat: 'With heat',
  cold: 'Cold',
  'oversized holes': 'Screws in wide holes',
  'screwed hard': 'Screwed hard',
  'glued blocks': 'Glued blocks',
  back: 'The back',
  'inner wall': 'The inner wall',
  mdf: 'MDF',
  ply: 'Plywood',
  'solid wood': 'Solid wood',
  hardboard: 'Hardboard',
  aluminium: 'Aluminium',
  'aluminium composite': 'Aluminium composite',
  upright: 'Upright pair',
  across: 'Pair across',
  wrapped: 'Wrapped',
  loosely: 'Loosely',
  laced: 'Laced',
  'as it falls': 'As it falls',
  'motif in the middle': 'A motif in the middle',
  'between motifs': 'Between two motifs',
  'as marked': 'As marked on the cloth',
};
const FIGURES: Readonly<Record<ShownFigure, string>> = {
  wrapASide: 'Canvas wrapped, a side',
  board: 'Board',
  liftBoard: 'Lift board',
  boardFirst: 'Board, cut first',
  boardTrimmed: 'Board, trimmed',
  riser: 'Riser',
  proud: 'Stands out',
  setBack: 'Below the face',
  strainer: 'Strainer',
  baseWidth: 'Base width',
  showBorder: 'Border seen',
  innerDepth: 'Depth inside',
  rabbetDepthNeeded: 'Rabbet depth needed',
  visibleFloor: 'Floor seen',
  insert: 'Insert',
  cut: 'Cloth to cut',
  offTheRoll: 'Off the roll',
  short: 'Too large by',
  screwAtLeast: 'Screw at least',
  screwAtMost: 'Screw at most',
};

export const buildName = named(BUILDS);
export const choiceName = named(CHOICES);
export const figureName = (key: ShownFigure): string => FIGURES[key];
