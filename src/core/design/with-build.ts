/** A design built another way: what the new build does not use falls away, what it needs takes the shop's default. */
import { BUILDS, type BuildCode } from '../builds';
import type { Settings } from '../settings';
import type { PieceKind } from './choices';
import { isHinged } from '../builds/matting';
import { length } from '../units/length';
import type { Design, DefaultMaterials } from './design';

const FLAT = length(96);
/** What a new design is of. */
const FIRST_KIND = 'print';

/** The code of the board that a build begins with, as the shop has it. */
function broughtBy(build: BuildCode, { mat, boxBoard, mountBoard }: DefaultMaterials): string | undefined {
  const { brings, uses } = BUILDS[build];
  if (brings) return brings === 'mat' ? mat : boxBoard;
  return uses.includes('mountBoard') ? mountBoard : undefined;
}

/** A rigid print in a floater is taped to a strainer that fills the frame: nothing is driven into it. */
const onStrainer = (build: BuildCode, kind: PieceKind): boolean => build === 'floater' && kind === 'metal-print';

/** A design of a piece of another kind: the strainer that its kind wants comes and goes with it. */
export function withKind(design: Design, kind: PieceKind): Design {
  const of = { ...design, piece: { ...design.piece, kind } };
  const wants = onStrainer(design.build, kind);
  if (wants === onStrainer(design.build, design.piece.kind)) return of;
  const { strainer: _before, ...own } = design.own ?? {};
  return { ...of, own: wants ? { ...own, strainer: true } : own };
}

/** Several windows whose pieces are hinged, each to a patch of its own. */
const patched = ({ several }: Design) => several?.windows.some(isHinged) ?? false;

/** The boards that its build puts inside: there where they are wanted, as the shop has them, and gone where not. */
export function withInside(design: Design, { mat, boxBoard }: DefaultMaterials): Design {
  const { putsInside, linesSides } = BUILDS[design.build];
  const inside = putsInside?.(design.own ?? {}) ? boxBoard : patched(design) ? mat : undefined;
  const { innerBoard, sideBoard, ...rest } = design;
  const board = inside === undefined ? undefined : (innerBoard ?? { code: inside });
  const sides = linesSides ? (sideBoard ?? { code: mat }) : undefined;
  if (board === innerBoard && sides === sideBoard) return design;
  return { ...rest, ...(board ? { innerBoard: board } : {}), ...(sides ? { sideBoard: sides } : {}) };
}

export function withBuild(design: Design, build: BuildCode, settings: Settings, defaults: DefaultMaterials): Design {
  if (build === design.build) return design;
  const {
    own: _own,
    several,
    spacer,
    fillet,
    mount: _mount,
    sideBoard: _sides,
    innerBoard: _inside,
    mountBoard: board,
    ...rest
  } = design;
  const of = BUILDS[build];
  const uses = (part: (typeof of.uses)[number]) => of.uses.includes(part);
  // The board that a build began with goes with it.
  const begun = broughtBy(design.build, defaults);
  const mountBoard = board && 'code' in board && board.code === begun ? undefined : board;
  const brought = broughtBy(build, defaults);
  const usual = of.usualPiece;
  const before = BUILDS[design.build].usualPiece;
  // A kind that somebody chose stays, and so does how thick it is; only what a build began with changes with it.
  const asBegun = design.piece.kind === (before?.kind ?? FIRST_KIND);
  const kind = asBegun ? (usual?.kind ?? FIRST_KIND) : design.piece.kind;
  const unmeasured = asBegun || design.piece.thickness === FLAT;
  const thickness = !unmeasured
    ? design.piece.thickness
    : usual && kind === usual.kind
      ? usual.thickness[settings.homeUnit]
      : FLAT;
  const mats = !uses('mats')
    ? []
    : of.needsMat && design.mats.length === 0
      ? [{ board: { code: defaults.mat }, reveal: length(0) }]
      : of.startsWithoutMat
        ? []
        : design.mats;
  const { floatGap: _gap, ...window } = design.window;
  const built: Design = {
    ...rest,
    ...(onStrainer(build, kind) ? { own: { strainer: true } } : {}),
    build,
    piece: { ...design.piece, kind, thickness },
    window,
    mats,
    ...(several && mats.length > 0 ? { several } : {}),
    ...(spacer && mats.length > 0 ? { spacer } : {}),
    ...(fillet && mats.length > 0 ? { fillet } : {}),
    frame: { ...design.frame, allowance: of.allowance(settings) },
    ...(mountBoard ? { mountBoard } : brought === undefined ? {} : { mountBoard: { code: brought } }),
    ...(of.mirrored && defaults.mirror ? { glazing: { code: defaults.mirror } } : {}),
    ...(BUILDS[design.build].mirrored && !of.mirrored ? { glazing: { code: defaults.glazing } } : {}),
  };
  return withInside(built, defaults);
}
