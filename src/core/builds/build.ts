/**
 * What a build is: the keys of its own, and how it lays a piece up. Laying up answers every size and every layer from
 * the glass to the back; parts, stack, weight, price, drawing and route all follow from that one value.
 */
import type { AnyDesign, Mount, PieceKind } from '../design/common';
import type { WindowHolds } from '../design/choices';
import type { Issue } from '../issue';
import type { Backing, Glazing, Moulding, ReadyMade, SheetMaterial } from '../materials';
import type { StepLines } from '../instructions/line';
import type { Rail } from '../fixings/rail';
import type { Gauge } from '../fixings/screws';
import type { StepKey } from '../route/steps';
import type { Settings } from '../settings';
import type { Frame } from '../sizing/frame';
import type { MatCut, MatLayer } from '../sizing/mats';
import type { WindowShape } from '../sizing/shapes';
import type { Placed } from '../sizing/windows';
import type { Length, Sides, Size, Unit } from '../units/length';
import type { WorkingsLog } from '../working';
import type { Fields, Own } from './fields';
import type { BuildCounts, BuildFigures } from './figures';

/** A piece on the bench with everything that was chosen for it. */
export interface ResolvedPiece<D extends AnyDesign = AnyDesign> {
  readonly design: D;
  readonly mats: readonly SheetMaterial[];
  readonly moulding: Moulding;
  readonly inner: readonly Moulding[];
  readonly fillet: Moulding | undefined;
  readonly glazing: Glazing;
  readonly backPane: Glazing;
  readonly backing: Backing;
  readonly filler: Backing | undefined;
  readonly readyMade?: ReadyMade;
  readonly mountBoard: SheetMaterial | Backing | undefined;
  /** What the boards are cut from that the build puts inside; foam board of nobody's list when absent. */
  readonly innerBoard?: SheetMaterial | Backing;
  readonly sideBoard?: SheetMaterial;
  readonly settings: Settings;
  readonly log: WorkingsLog;
  /** Out of square: the larger measure of each dimension sizes what is behind, the smaller what covers (R8). */
  readonly piece: { readonly larger: Size; readonly smaller: Size };
}

/** A window of the innermost layer, from the upper left of all windows together. */
export interface Window extends Placed {
  readonly shape: WindowShape;
  readonly title: string;
  /** The piece, where nothing is said. */
  readonly holds?: WindowHolds;
  /** What is engraved on a plate. */
  readonly text?: string;
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
  | 'filler'
  | 'backing';
/** One thing in the rabbet, front to back. */
export interface Layer {
  readonly part: LayerPart;
  readonly name: string;
  readonly colour: string;
  readonly thickness: Length;
  /** Exact size when it is cut in the shop; absent for the piece itself. */
  readonly size?: Size;
  /** Cut first to a larger size, trimmed later: what is taken from the sheet, and charged. */
  readonly first?: Size;
  readonly sheet?: SheetMaterial;
  readonly group?: 'mat' | 'glazing' | 'backing';
  readonly kg: number;
  /** Index of the mat layer it is. */
  readonly mat?: number;
  /** Comes with the frame: neither cut nor charged. */
  readonly comes?: true;
  /** Lies beside another layer, which is at least as thick: the stack is no deeper for it. */
  readonly beside?: true;
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
  /** The board it is cut from, where that is of a list. */
  readonly board?: SheetMaterial | Backing;
  /** What its faces are covered with, charged by their area. */
  readonly covered?: SheetMaterial;
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
  'pocket screw',
  'washer',
  'mounting tape',
  'riser block',
  'shim',
  'pin',
  'hinge',
  'tape hinge',
  'edge strip',
  'lacing',
  'corner pocket',
  'pad',
  'ring',
  'wire',
  'hook',
  'sawtooth',
  'hanger screw',
  'brace screw',
  'clip screw',
  'bumper',
  'felt',
  'sealing tape',
  'safety film',
  'sleeve',
  'key',
] as const;
export interface Hardware {
  readonly item: (typeof HARDWARE)[number];
  readonly count?: number;
  readonly length?: Length;
  /** Kilograms. */
  readonly rating?: number;
  /** How high a wedge is, how wide a brace or tape. */
  readonly size?: Length;
  /** Of a screw. */
  readonly gauge?: Gauge;
  /** Which joint a wedge holds, where there are several. */
  readonly joint?: Joint['of'];
}

/** Two metal sections of one length: the package's, cut down from the next longer that is stocked. */
export interface Pair {
  readonly side: Length;
  /** Undefined when none is stocked that is long enough. */
  readonly from: Length | undefined;
}

/** Wood that meets at a corner: wedges are as high as it lets them be. */
export interface Joint {
  readonly of: 'frame' | 'wall' | 'base' | 'lip';
  readonly height: Length;
  /** Solid wood across which a wedge is driven, and the wood as wide as it is. */
  readonly solid: Length;
  readonly face: Length;
}

/** A piece laid up. */
export interface LayUp {
  readonly package: Size;
  readonly matted: Matted | undefined;
  /** Inner to outer; none for a part that gets no frame. */
  readonly frames: readonly Frame[];
  readonly layers: readonly Layer[];
  readonly loose: readonly Loose[];
  readonly hardware: readonly Hardware[];
  readonly figures: BuildFigures;
  readonly counts: BuildCounts;
  /** Depth that the stack must fit; undefined where nothing lies in a rabbet. */
  readonly depth: Length | undefined;
  /** How the package is held in: by points, by clips, by strips that are pinned through, or it needs no holding. */
  readonly held: 'points' | 'clips' | 'strips' | 'nothing';
  /** The room for the object of a box, for its cautions. */
  readonly box?: { readonly objectDepth: Length; readonly clearance: Length; readonly innerDepth: Length };
  /** The gap round a piece that stands in a frame. */
  readonly gap?: Length;
  /** What a rigid print is held by, and the strip that it is stuck to. */
  readonly tape?: { readonly wide: Length; readonly strip: Length };
  /** How high the walls round it are, with the floor that they stand on. */
  readonly wallsHigh?: Length;
  /** A garment as it lies flat: what of it is to be seen. */
  readonly garment?: Size;
  /** How far both rings together stand in from the outside, where the wood does not say it. */
  readonly insets?: Length;
  /** What is joined at the corners, where it is not the moulding as it is: each by itself. */
  readonly joints?: readonly Joint[];
  /** The wood that hangers go into, where it is no rabbeted moulding: a wall, a base, a bar. */
  readonly rail?: Rail;
  /** What the customer's or the chosen frame allows as package, where the frame comes first. */
  readonly packageMost?: Size;
  /** Weight of a piece that is no layer of the stack. */
  readonly weighedBeside?: number;
  /** What the frame weighs, part by part, where that does not follow from its moulding. */
  readonly frameKg?: readonly { readonly part: string; readonly kg: number }[];
  /** The screw from behind, where what it goes through and into is known. */
  readonly screw?: { readonly atLeast: Length; readonly atMost: Length; readonly found: boolean };
  /** Glued blocks are wanted where there is no room for any. */
  readonly noRoomForBlocks?: true;
  /** Cloth that fits its roll neither way round. */
  readonly rollTooNarrow?: { readonly cut: Size; readonly roll: Length };
  /** Frame of metal sections, by the pairs it is bought in. */
  readonly pairs?: readonly [across: Pair, upright: Pair];
  /** Hung without a frame: its outside. */
  readonly hangsAs?: Size;
  /** Equal sides of the frame, where they are not the usual four. */
  readonly sides?: number;
  /** The frame is bought whole. */
  readonly readyMade?: ReadyMade;
  readonly issues?: readonly Issue[];
}

/** Lists a build asks the desk to show. */
export type Panel =
  'mats' | 'window' | 'glazing' | 'backPane' | 'backing' | 'moulding' | 'mountBoard' | 'sideBoard' | 'mount';
/** What the rest of the shop must know of a build; what is absent is as with most. */
export interface BuildFacts {
  /** What the trade calls it; the open interface takes it too. */
  readonly publicName: string;
  /** The piece it is made for, and how deep that is by home unit. */
  readonly usualPiece?: { readonly kind: PieceKind; readonly thickness: Readonly<Record<Unit, Length>> };
  /** How the piece is held when nobody chose; else by hinges. */
  readonly usualMount?: Mount;
  /** Something presses on the face of the piece, or it lies face down. */
  readonly pressesOnFace?: true;
  /** The frame is measured on its inside and has no rabbet. */
  readonly walled?: true;
  /** The frame is the customer's: it is neither cut nor charged. */
  readonly keepsFrame?: true;
  /** It has no frame, and hangs as it is. */
  readonly frameless?: true;
  /** Where it has a mat, its edge is shown: it floats in the window, which covers nothing. */
  readonly floatsInWindow?: true;
  /** The board that its piece lies on, where the desk begins with one: the shop's usual mat, or its board of boxes. */
  readonly brings?: 'mat' | 'box board';
  /** Whether it puts a board inside, by what was chosen for it: a hidden board, an insert, the core of its side strips. */
  readonly putsInside?: (own: Readonly<Record<string, unknown>>) => boolean;
  /** Its sides are lined with the shop's usual mat, unless another is chosen. */
  readonly linesSides?: true;
  /** Has no mat unless one is asked for. */
  readonly startsWithoutMat?: true;
  /** Its frame is of metal sections, and of nothing else. */
  readonly metalOnly?: true;
  /** Seen through from both sides: nothing closes its back. */
  readonly seeThrough?: true;
  /** A mirror is its glazing. */
  readonly mirrored?: true;
  /** Seen round a piece that does not fill its place: a colour, or the moulding's own. */
  readonly ground?: string;
  readonly groundOfMoulding?: true;
  /** The piece throws no shadow on what lies behind it. */
  readonly withoutShadow?: true;
  /** Face of the frame where no moulding is named. */
  readonly standInFace?: (own: Readonly<Record<string, unknown>>) => Length | undefined;
}
/** What a build is told when it says its own instructions. */
export interface Said<F extends Fields = Fields> {
  readonly own: Own<F>;
  readonly design: AnyDesign;
  readonly figures: BuildFigures;
  readonly counts: BuildCounts;
  readonly hardware: readonly Hardware[];
  readonly settings: Settings;
}
export interface Build<F extends Fields = Fields> extends BuildFacts {
  readonly fields: F;
  /** What can be chosen for it; `mats` may be none unless `needsMat`. */
  readonly uses: readonly Panel[];
  readonly needsMat?: boolean;
  /** Total allowance between package and rabbet. */
  readonly allowance: (settings: Settings) => Length;
  /** Minutes it takes beyond the usual, by step. */
  readonly work?: Partial<Record<StepKey, number>>;
  readonly layUp: (job: ResolvedPiece, own: Own<F>) => LayUp;
  /** The instructions that only this build has, by step. */
  readonly says?: (said: Said<F>) => StepLines;
}

/** Lets a build's file be checked against its own fields and be kept with the others. */
export const build = <const F extends Fields>(build: Build<F>): Build => build as unknown as Build;
