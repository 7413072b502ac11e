/**
 * What the customer chose: a plain, versioned, serialisable value from which everything else follows. Lengths are
 * whole units of 1/320 mm; materials are named by their code in the books, or given with their figures. What every
 * build shares is here; what one build asks beyond it lies in `own`, as its folder under `builds/` declares.
 */
import type { BuildCode } from '../builds';
import type { Settings } from '../settings';
import { type Length, length } from '../units/length';
import type { AnyDesign } from './common';

/** A design of any build. `own` holds the keys that its build declares; what is absent there takes the shop's default. */
export interface Design extends AnyDesign {
  readonly build: BuildCode;
}
export type MatChoice = Design['mats'][number];

/** The codes a new design starts with. */
export interface DefaultMaterials {
  readonly mat: string;
  readonly moulding: string;
  readonly glazing: string;
  readonly backing: string;
  /** The glazing that a mirror starts with. */
  readonly mirror?: string;
  /** The board that an object in a box stands on. */
  readonly boxBoard?: string;
  /** The board behind a piece, where the shop mounts on one as a rule. */
  readonly mountBoard?: string;
}

const DEPTHS = ['pieceDepth', 'objectDepth'] as const;
/** The depth of the piece as its build was told it, where it was. */
export const depthTold = (
  own: Design['own'],
): { readonly key: (typeof DEPTHS)[number]; readonly deep: Length } | undefined => {
  const key = DEPTHS.find((one) => typeof own?.[one] === 'number');
  return key && { key, deep: own![key] as Length };
};
/** A new design with the shop's defaults (R15); the piece's size is still to be measured. */
export function newDesign(settings: Settings, defaults: DefaultMaterials, width: Length, height: Length): Design {
  return {
    version: 1,
    build: 'window-mat',
    piece: {
      title: '',
      kind: 'print',
      width,
      height,
      thickness: length(96),
      irreplaceable: false,
      signed: false,
    },
    insists: '',
    window: { overlap: settings.overlap },
    mats: [{ board: { code: defaults.mat }, reveal: length(0) }],
    border: { mode: 'weighted', all: settings.border, extra: settings.bottomExtra },
    frame: { moulding: { code: defaults.moulding }, allowance: settings.allowance },
    glazing: { code: defaults.glazing },
    backing: { code: defaults.backing },
    ...(defaults.mountBoard ? { mountBoard: { code: defaults.mountBoard } } : {}),
    hanging: { rings: 'third', slack: settings.slack },
  };
}
