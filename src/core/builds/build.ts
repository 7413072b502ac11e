/**
 * What a build is: the keys of its own, and how it lays a piece up. Laying up answers every size and every layer from
 * the glass to the back; parts, stack, weight, price, drawing and route all follow from that one value.
 */
import type { Design } from '../design/design';
import type { Issue } from '../issue';
import type { Backing, Glazing, Moulding, Sheet } from '../materials';
import type { StepKey } from '../route/route';
import type { Settings } from '../settings';
import type { MatCut, MatLayer } from '../sizing/mats';
import type { WindowShape } from '../sizing/shapes';
import type { Placed } from '../sizing/windows';
import type { Length, Sides, Size } from '../units/length';
import type { Notebook } from '../working';
import type { Fields, Own } from './fields';

/** A piece on the bench with everything that was chosen for it. */
export interface Job {
  readonly design: Design;
  readonly mats: readonly Sheet[];
  readonly moulding: Moulding;
  readonly inner: readonly Moulding[];
  readonly fillet: Moulding | undefined;
  readonly glazing: Glazing;
  readonly backing: Backing;
  readonly mountBoard: Sheet | undefined;
  readonly settings: Settings;
  readonly book: Notebook;
  /** Out of square: the larger measure of each dimension sizes what is behind, the smaller what covers (R8). */
  readonly piece: { readonly larger: Size; readonly smaller: Size };
}

/** A window of the innermost layer, from the upper left of all windows together. */
export interface Window extends Placed {
  readonly shape: WindowShape;
  readonly title: string;
  readonly piece: Size;
  /** The backing patch behind it, where there are several. */
  readonly patch?: Size;
}
export interface CutLayer extends MatLayer {
  readonly cut: MatCut;
  /** How far its windows stand back from the innermost ones, a side. */
  readonly back: Length;
  /** The inner cut-out and tab of a turned edge. */
  readonly turned?: { readonly tab: Length; readonly cutOut: Size };
}
export interface Matted {
  readonly edge: 'covered' | 'floated' | 'part';
  /** The innermost window; of several, their bounding box. */
  readonly opening: Size;
  readonly windows: readonly Window[];
  readonly border: Sides;
  readonly layers: readonly CutLayer[];
  readonly spacer?: CutLayer;
  /** What of the sheet lies under each side, when only a part of it is shown. */
  readonly sheetUnder?: Sides;
  /** Bridge of the top layer where it is narrowest, several windows only. */
  readonly bridge?: Length;
}

/** Two equal legs. `cut` is the long point on the saw's scale, rounded up to the cutting step. */
export interface Leg {
  readonly of: 'frame' | 'liner' | 'fillet' | 'base' | 'lip' | 'pair';
  readonly name: string;
  readonly count: number;
  readonly side: 'top and bottom' | 'left and right';
  readonly longPoint: Length;
  readonly rabbetLength: Length | undefined;
  readonly shortPoint: Length;
  readonly cut: { readonly longPoint: Length; readonly rabbetLength: Length | undefined };
}
export interface Frame {
  readonly of: Leg['of'];
  readonly moulding: Moulding;
  readonly package: Size;
  readonly rabbet: Size | undefined;
  readonly inside: Size | undefined;
  readonly sight: Size;
  readonly outside: Size;
  readonly lengthCharged: Length;
  readonly legs: readonly Leg[];
}

export type LayerPart =
  | 'glazing'
  | 'spacer'
  | 'mat'
  | 'hidden spacer'
  | 'piece'
  | 'insert'
  | 'lift board'
  | 'mount board'
  | 'side strips'
  | 'pane'
  | 'mirror'
  | 'backing';
/** One thing in the rabbet, front to back. */
export interface Layer {
  readonly part: LayerPart;
  readonly name: string;
  readonly colour: string;
  readonly thickness: Length;
  /** Exact size when it is cut in the shop; absent for the piece itself. */
  readonly size?: Size;
  readonly sheet?: Sheet;
  readonly group?: 'mat' | 'glazing' | 'backing';
  readonly kg: number;
  /** Index of the mat layer it is. */
  readonly mat?: number;
}

/** Something cut to a length, or a board beside the stack. */
export interface Loose {
  readonly part: string;
  readonly name: string;
  readonly count: number;
  readonly length?: Length;
  readonly width?: Length;
  readonly height?: Length;
  readonly size?: Size;
  /** Cut first to a larger size, trimmed later. */
  readonly first?: Size;
  /** Goes into something: its cut size is rounded down. Else up. */
  readonly into: boolean;
}
export const HARDWARE = [
  'flexible point',
  'rigid point',
  'staple',
  'tab',
  'spline',
  'offset clip',
  'clip',
  'spring clip',
  'corner set',
  'corner brace',
  'wedge',
  'screw',
  'washer',
  'riser block',
  'shim',
  'pin',
  'hinge',
  'corner pocket',
  'pad',
  'ring',
  'wire',
  'hook',
  'sawtooth',
  'bumper',
  'sealing tape',
  'safety film',
  'sleeve',
] as const;
export interface Hardware {
  readonly item: (typeof HARDWARE)[number];
  readonly count?: number;
  readonly length?: Length;
  /** Kilograms. */
  readonly rating?: number;
  /** Millimetres, of a wedge. */
  readonly size?: Length;
}

export type Figure = Length | Size | Sides;
/** A piece laid up. */
export interface Laid {
  readonly package: Size;
  readonly matted: Matted | undefined;
  /** Inner to outer; none for a part that gets no frame. */
  readonly frames: readonly Frame[];
  readonly layers: readonly Layer[];
  readonly loose: readonly Loose[];
  readonly hardware: readonly Hardware[];
  /** Lengths of this build's own, by the handbook's names: `riser`, `insert`, `board`. */
  readonly figures: Readonly<Record<string, Figure>>;
  /** Counts and choices of this build's own: `riserBlocks`, `clips`. */
  readonly counts: Readonly<Record<string, number | string | boolean>>;
  /** Depth that the stack must fit; undefined where nothing lies in a rabbet. */
  readonly depth: Length | undefined;
  /** How the package is held in. */
  readonly held: 'points' | 'clips' | 'nothing';
  /** The room for the object of a box, for its cautions. */
  readonly box?: { readonly objectDepth: Length; readonly clearance: Length; readonly innerDepth: Length };
  /** The gap round a piece that stands in a frame. */
  readonly gap?: Length;
  /** How far both rings together stand in from the outside, where half the face is not it. */
  readonly insets?: Length;
  /** What the customer's or the chosen frame allows as package, where the frame comes first. */
  readonly packageMost?: Size;
  /** Weight of a piece that is no layer of the stack. */
  readonly weighedBeside?: number;
  readonly issues?: readonly Issue[];
}

/** Lists a build asks the desk to show. */
export type Part = 'mats' | 'window' | 'glazing' | 'backing' | 'moulding' | 'mountBoard';
export interface Build<F extends Fields = Fields> {
  readonly fields: F;
  /** What can be chosen for it; `mats` may be none unless `needsMat`. */
  readonly uses: readonly Part[];
  readonly needsMat?: boolean;
  /** Total allowance between package and rabbet. */
  readonly allowance: (settings: Settings) => Length;
  /** Minutes it takes beyond the usual, by step. */
  readonly work?: Partial<Record<StepKey, number>>;
  readonly lay: (job: Job, own: Own<F>) => Laid;
}

/** Lets a build's file be checked against its own fields and be kept with the others. */
export const build = <const F extends Fields>(one: Build<F>): Build => one as unknown as Build;
