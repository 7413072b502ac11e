/**
 * What the rules look at, as plain facts, each of which may be unknown. A worked-out design is turned into one; the
 * open sums may give one by hand. A rule whose facts are unknown does not fire.
 */
import type { BuildCode } from '../builds';
import type { Widening } from '../sizing/match';
import type { Length, Sides, Size } from '../units/length';

export interface Situation {
  /** Its build presses on the face of the piece. */
  readonly pressesOnFace?: boolean;
  readonly edge?: 'covered' | 'floated' | 'part' | 'no mat';
  /** The smaller measures where the window covers, else the larger. */
  readonly piece?: Size;
  readonly pieceLarger?: Size;
  readonly opening?: Size;
  readonly overlap?: Length;
  readonly outOfSquare?: Length;
  /** How much of what only carries the piece is seen in the frame. */
  readonly carrierSeen?: Length;
  readonly sheetUnder?: Sides;
  readonly border?: Pick<Sides, 'top' | 'bottom'>;
  readonly visibleBorder?: Sides;
  readonly package?: Size;
  /** The largest package that the frame takes. */
  readonly packageMost?: Size;
  readonly bridges?: readonly Length[];
  readonly medium?: string;
  readonly irreplaceable?: boolean;
  readonly signed?: boolean;
  readonly damaged?: boolean;
  readonly thickPaint?: boolean;
  readonly glazing?: 'glass' | 'acrylic' | 'none' | 'mirror';
  readonly uv?: boolean;
  readonly coated?: boolean;
  readonly mats?: number;
  readonly spacers?: boolean;
  readonly hiddenSpacer?: boolean;
  readonly depthBehindMat?: Length;
  readonly mount?: string;
  readonly acidFree?: boolean;
  /** The first material that is not acid-free. */
  readonly notArchival?: string;
  /** What a frame is larger than its package, at its worst; and what its lip covers. */
  readonly loose?: Length;
  /** The piece is kept in the middle by its clips: it can leave the lip only by both sides together. */
  readonly centred?: boolean;
  /** What of the sheet or the piece reaches beyond the package, at its worst. */
  readonly beyond?: Length;
  readonly rollTooNarrow?: { readonly cut: Size; readonly roll: Length };
  /** A moulding that is no metal section, where only those will do. */
  readonly notMetal?: string;
  /** The range a screw must be in, where none of the stocked is. */
  readonly noScrew?: { readonly atLeast: Length; readonly atMost: Length };
  readonly noRoomForBlocks?: boolean;
  readonly stack?: Length;
  readonly room?: Length;
  readonly filler?: Length;
  readonly objectDepth?: Length;
  readonly clearance?: Length;
  readonly innerDepth?: Length;
  readonly rabbetNeeded?: Length;
  readonly rabbetWidth?: Length;
  readonly allowance?: Length;
  readonly faceWidth?: Length;
  readonly weight?: number;
  readonly mouldingLimit?: number;
  readonly outside?: Size;
  readonly hung?: 'wire' | 'hooks' | 'sawtooth';
  readonly ringDrop?: Length;
  readonly rise?: Length;
  /** Rated kilograms that are needed, and whether any stocked hanger has them. */
  readonly ratingNeeded?: number;
  readonly hangerFound?: boolean;
  /** The wood that is there, where it does not bear hangers of the rating that is needed. */
  readonly hangerNoWood?: { readonly solid: Length; readonly depth: Length };
  /** The package wants holding and nothing can: the wood beside the rabbet. */
  readonly unheld?: { readonly wall: Length };
  /** What it is held by wants a board behind it, and there is none of ours. */
  readonly unsupported?: boolean;
  /** It is no flat thing, and lies under a mat as if it were; how it is built instead. */
  readonly wantsBuild?: BuildCode;
  readonly widening?: { readonly w: Widening; readonly h: Widening };
  readonly keyed?: boolean;
  readonly fixing?: string;
  readonly gap?: Length;
  readonly shimsOff?: Length;
  /** What a rigid print is held by, and the strip it is stuck to. */
  readonly tape?: { readonly wide: Length; readonly strip: Length };
  /** What the walls of a floater are high, with their floor, and the moulding that they are cut from. */
  readonly walls?: { readonly high: Length; readonly moulding: Length };
  /** What a lip covers of the piece on each side, where nothing else lies between, and what its rabbet is wide. */
  readonly lipHides?: Size;
  /** The widest and highest of a garment that is to be seen, laid flat. */
  readonly garment?: Size;
  readonly screw?: Length;
  readonly floor?: Length;
  readonly riser?: Length;
  readonly bar?: Length;
  readonly plateWidth?: Length;
  readonly place?: string;
  readonly finish?: string;
  readonly cleaner?: 'liquid' | 'propellant' | 'none';
  readonly promised?: string;
  readonly materialHere?: string;
  readonly declaredValue?: number;
  readonly shopLimit?: number;
  readonly unticked?: readonly string[];
  readonly boards?: readonly { readonly name: string; readonly size: Size; readonly largest?: Size | undefined }[];
  readonly glass?: { readonly size: Size; readonly largest?: Size | undefined };
  readonly longestLeg?: { readonly leg: Length; readonly stick?: Length | undefined };
}
