/** A shop whose lists hold what is dangerous and what helps, and short ways to ask what was worked out in it. */
import type { Design } from '@/core/design/design';
import type { Moulding } from '@/core/materials';
import { inches, mm } from '@/core/units/length';
import { workOut, type WorkedOut } from '@/core/work-out';
import { backing, catalogue, exampleDesign, inch, moulding, shop } from './shop';

export const METAL: Moulding = moulding({
  code: 'RAIL',
  name: 'Rail',
  material: 'metal',
  faceWidth: inches(0, 1, 4),
  rabbetWidth: inches(0, 3, 16),
  rabbetDepth: mm(20),
  finish: 'silver',
});
export const FOAMS = [
  backing({ code: 'F3', name: 'Foam 3', thickness: mm(3) }),
  backing({ code: 'F10', name: 'Foam 10', thickness: mm(10) }),
];
export const stocked = shop('in', {
  catalogue: {
    ...catalogue,
    mouldings: new Map([...catalogue.mouldings, ['RAIL', METAL]]),
    backings: new Map([...catalogue.backings, ...FOAMS.map((one) => [one.code, one] as const)]),
  },
});
export const tried = (design: Design, context = stocked) => workOut(design, context);
export const done = (design: Design, context = stocked): WorkedOut => {
  const result = tried(design, context);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
export const refused = (design: Design) => {
  const result = tried(design);
  return result.ok ? [] : result.issues.map((one) => one.code);
};
export const codes = (worked: WorkedOut, level?: string) =>
  worked.cautions.filter((one) => !level || one.level === level).map((one) => one.code);
export const refusals = (design: Design) => codes(done(design), 'refuse');
export const item = (worked: WorkedOut, name: string) => worked.hardware.find((one) => one.item === name);
export const parts = (worked: WorkedOut, name: string) =>
  worked.parts.filter((one) => 'part' in one && one.part === name);
export const piece = (over: Partial<Design['piece']>) => ({ ...exampleDesign().piece, ...over });
export const floater = (own: object, over: Partial<Design> = {}) =>
  exampleDesign({
    build: 'floater',
    mats: [],
    piece: piece({ kind: 'canvas', thickness: inch('3/4') }),
    own: own as never,
    ...over,
  });
