/** Stand-ins for what a sum does not ask about, so that it can be laid up by the same functions as a whole design. */
import type { ResolvedPiece } from '../builds/build';
import type { Design } from '../design/design';
import type { Backing, Glazing, Moulding, SheetMaterial } from '../materials';
import { type Length, inches, larger, mm, size, smaller } from '../units/length';
import type { Sum } from './sum';

export const aMoulding = (of: Partial<Moulding>): Moulding => ({
  code: '',
  name: '',
  supplier: '',
  faceWidth: inches(1),
  rabbetWidth: inches(0, 1, 4),
  rabbetDepth: inches(0, 1, 2),
  height: inches(0, 3, 4),
  material: 'wood',
  profile: 'flat',
  finish: '',
  colour: '#8a6f4d',
  ...of,
});
const aSheet = (thickness: Length): SheetMaterial => ({
  code: '',
  name: '',
  thickness,
  colour: '#f4ecdd',
  archival: true,
});
export const someGlass = (thickness: Length = mm(2)): Glazing => ({
  ...aSheet(thickness),
  type: thickness > 0 ? 'glass' : 'none',
  uv: false,
  coated: false,
});
export const someBacking = (thickness: Length = mm(5)): Backing => ({ ...aSheet(thickness), type: 'foam' });

/** A job for a design whose materials do not matter to the sum, or are given. */
export function aJob(sum: Sum, moulding: Moulding, design: Design, over: Partial<ResolvedPiece> = {}): ResolvedPiece {
  const { width, height, width2 = width, height2 = height } = design.piece;
  return {
    design,
    mats: design.mats.map(() => aSheet(mm(1.4))),
    moulding,
    inner: [],
    fillet: undefined,
    glazing: someGlass(),
    backPane: over.glazing ?? someGlass(),
    filler: undefined,
    backing: someBacking(),
    mountBoard: undefined,
    settings: sum.settings,
    log: sum.log,
    piece: {
      larger: size(larger(width, width2), larger(height, height2)),
      smaller: size(smaller(width, width2), smaller(height, height2)),
    },
    ...over,
  };
}
