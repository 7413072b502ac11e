/** A design built another way: what the new build does not use falls away, what it needs takes the shop's default. */
import { BUILDS, type BuildCode } from '../builds';
import type { Settings } from '../settings';
import { type Length, inches, length, mm } from '../units/length';
import type { Design, HouseChoice, PieceKind } from './design';

/** What a build usually holds, and how deep that is. */
export const USUAL_PIECE: Partial<
  Record<BuildCode, { readonly kind: PieceKind; readonly thickness: readonly [Length, Length] }>
> = {
  floater: { kind: 'canvas', thickness: [inches(0, 3, 4), mm(18)] },
  'open-canvas': { kind: 'canvas', thickness: [inches(0, 3, 4), mm(18)] },
  tray: { kind: 'panel', thickness: [inches(0, 3, 4), mm(18)] },
  'shadow-box': { kind: 'object', thickness: [inches(1), mm(25)] },
  garment: { kind: 'garment', thickness: [inches(0, 1, 4), mm(6)] },
  fabric: { kind: 'textile', thickness: [inches(0, 1, 16), mm(1)] },
  mirror: { kind: 'mirror', thickness: [mm(4), mm(4)] },
};
const FLAT = length(96);

export function withBuild(design: Design, build: BuildCode, settings: Settings, house: HouseChoice): Design {
  if (build === design.build) return design;
  const { own: _own, several, spacer, fillet, mount: _mount, ...rest } = design;
  const of = BUILDS[build];
  const uses = (part: (typeof of.uses)[number]) => of.uses.includes(part);
  const usual = USUAL_PIECE[build];
  const before = USUAL_PIECE[design.build];
  const wasUsual = before ? design.piece.kind === before.kind : true;
  const kind = usual?.kind ?? (wasUsual && before ? 'print' : design.piece.kind);
  const thickness = usual
    ? usual.thickness[settings.homeUnit === 'in' ? 0 : 1]
    : before
      ? FLAT
      : design.piece.thickness;
  const mats = !uses('mats')
    ? []
    : of.needsMat && design.mats.length === 0
      ? [{ board: { code: house.mat }, reveal: length(0) }]
      : build === 'float' || build === 'shadow-box' || build === 'garment'
        ? []
        : design.mats;
  const { floatGap: _gap, ...window } = design.window;
  return {
    ...rest,
    build,
    piece: { ...design.piece, kind, thickness },
    window,
    mats,
    ...(several && mats.length > 0 ? { several } : {}),
    ...(spacer && mats.length > 0 ? { spacer } : {}),
    ...(fillet && mats.length > 0 ? { fillet } : {}),
    frame: { ...design.frame, allowance: of.allowance(settings) },
    ...(build === 'mirror' && house.mirror ? { glazing: { code: house.mirror } } : {}),
    ...(design.build === 'mirror' ? { glazing: { code: house.glazing } } : {}),
  };
}
