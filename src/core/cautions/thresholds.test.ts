/** Where each caution begins: one unit before its threshold, on it, and one after, with the handbook's figures. */
import { describe, expect, it } from 'vitest';
import type { CautionCode } from '../issue-codes';
import { verdictOf } from '../parts/stack';
import { screwsOnSide, screwWrong } from '../fixings/screws';
import { defaultSettings } from '../settings';
import { type Length, inches, length, mm, size } from '../units/length';
import { firing } from './cautions';
import type { Situation } from './situation';

const INCH = defaultSettings('in');
const METRIC = defaultSettings('mm');
const fires = (code: CautionCode, situation: Situation, settings = INCH) =>
  firing(situation, settings, [code]).length > 0;
const by = (measure: Length, units: number) => length(measure + units);

/** `below`, `on`, `above`: whether it fires one unit under the figure, exactly at it, one unit over it. */
interface Edge {
  readonly code: CautionCode;
  readonly at: Length;
  readonly situation: (figure: Length) => Situation;
  readonly says: readonly [below: boolean, on: boolean, above: boolean];
  readonly metric?: true;
}
const BELOW = [true, false, false] as const;
const FROM = [false, true, true] as const;
const ABOVE = [false, false, true] as const;

const square = (side: Length) => size(side, side);
const widening = (wood: Length) => {
  const one = { does: 'widen', x: inches(0, 1, 8), wood } as const;
  return { widening: { w: one, h: { ...one, does: 'nothing' } } } as unknown as Situation;
};

const EDGES: readonly Edge[] = [
  // Windows and borders.
  {
    code: 'opening-not-covered',
    at: inches(12),
    says: FROM,
    situation: (w) => ({ edge: 'covered', opening: size(w, inches(8)), piece: square(inches(12)) }),
  },
  {
    code: 'opening-not-covered',
    at: inches(12),
    says: FROM,
    situation: (h) => ({ edge: 'covered', opening: size(inches(8), h), piece: square(inches(12)) }),
  },
  {
    code: 'opening-overlap-small',
    at: inches(0, 1, 16),
    says: BELOW,
    situation: (overlap) => ({ edge: 'covered', overlap }),
  },
  {
    code: 'opening-overlap-small',
    at: mm(1.5),
    says: BELOW,
    metric: true,
    situation: (overlap) => ({ edge: 'covered', overlap }),
  },
  // Half of what is out of square is added: 1/4 in out needs 1/8 + 1/16.
  {
    code: 'opening-overlap-small',
    at: inches(0, 3, 16),
    says: BELOW,
    situation: (overlap) => ({ edge: 'covered', overlap, outOfSquare: inches(0, 1, 4) }),
  },
  {
    code: 'trim-original',
    at: inches(12),
    says: ABOVE,
    situation: (w) => ({ irreplaceable: true, piece: size(w, inches(9)), packageMost: square(inches(12)) }),
  },
  {
    code: 'trim-original',
    at: inches(12),
    says: ABOVE,
    situation: (h) => ({ irreplaceable: true, piece: size(inches(9), h), packageMost: square(inches(12)) }),
  },
  {
    code: 'border-thin',
    at: inches(1),
    says: BELOW,
    situation: (top) => ({
      visibleBorder: { left: inches(2), right: inches(2), top, bottom: inches(2) },
      package: size(inches(14), inches(16)),
    }),
  },
  // Only where the package is 30 united inches or more.
  {
    code: 'border-thin',
    at: inches(16),
    says: FROM,
    situation: (h) => ({
      visibleBorder: { left: inches(0, 1, 2), right: inches(2), top: inches(2), bottom: inches(2) },
      package: size(inches(14), h),
    }),
  },
  {
    code: 'border-bottom-light',
    at: inches(2),
    says: BELOW,
    situation: (bottom) => ({ border: { top: inches(2), bottom } }),
  },
  {
    code: 'bridge-narrow',
    at: inches(0, 3, 4),
    says: BELOW,
    situation: (bridge) => ({ bridges: [inches(2), bridge] }),
  },
  { code: 'bridge-narrow', at: mm(20), says: BELOW, metric: true, situation: (bridge) => ({ bridges: [bridge] }) },
  {
    code: 'sheds-needs-spacer',
    at: mm(3),
    says: BELOW,
    situation: (depthBehindMat) => ({ medium: 'pastel', depthBehindMat }),
  },
  // Depth.
  { code: 'depth-proud', at: length(0), says: BELOW, situation: (room) => ({ room, stack: mm(20) }) },
  { code: 'depth-tight', at: mm(3), says: BELOW, situation: (room) => ({ room }) },
  { code: 'depth-tight', at: length(0), says: [false, true, true], situation: (room) => ({ room }) },
  { code: 'depth-loose', at: mm(6), says: ABOVE, situation: (room) => ({ room }) },
  // Sheets and sticks.
  {
    code: 'board-too-small',
    at: inches(40),
    says: ABOVE,
    situation: (h) => ({ boards: [{ name: 'Mat', size: size(inches(32), h), largest: size(inches(32), inches(40)) }] }),
  },
  {
    code: 'glass-too-small',
    at: inches(36),
    says: ABOVE,
    situation: (w) => ({ glass: { size: size(w, inches(48)), largest: size(inches(36), inches(48)) } }),
  },
  {
    code: 'glass-too-big',
    at: inches(40),
    says: ABOVE,
    situation: (h) => ({ glazing: 'glass', package: size(inches(60), h) }),
  },
  {
    code: 'glass-too-big',
    at: mm(1500),
    says: ABOVE,
    metric: true,
    situation: (w) => ({ glazing: 'glass', package: size(w, mm(1000)) }),
  },
  {
    code: 'stick-too-short',
    at: by(inches(120), -mm(20)),
    says: ABOVE,
    situation: (leg) => ({ longestLeg: { leg, stick: inches(120) } }),
  },
  {
    code: 'rabbet-narrow',
    at: inches(0, 3, 16),
    says: BELOW,
    situation: (rabbetWidth) => ({ rabbetWidth, allowance: inches(0, 1, 8) }),
  },
  {
    code: 'rabbet-narrow',
    at: inches(0, 5, 16),
    says: BELOW,
    situation: (rabbetWidth) => ({ rabbetWidth, allowance: inches(0, 1, 4) }),
  },
  { code: 'rabbet-widen-no', at: inches(0, 1, 4), says: BELOW, situation: widening },
  { code: 'rabbet-widen-weak', at: inches(0, 3, 8), says: BELOW, situation: widening },
  { code: 'rabbet-widen-weak', at: inches(0, 1, 4), says: FROM, situation: widening },
  // Boxes and canvas.
  {
    code: 'object-touches-glass',
    at: mm(30),
    says: FROM,
    situation: (objectDepth) => ({ objectDepth, innerDepth: mm(30) }),
  },
  {
    code: 'object-near-glass',
    at: mm(27),
    says: [false, false, true],
    situation: (objectDepth) => ({ objectDepth, innerDepth: mm(30), clearance: mm(3) }),
  },
  { code: 'carrier-seen', at: length(0), says: ABOVE, situation: (carrierSeen) => ({ carrierSeen }) },
  { code: 'canvas-no-gap', at: inches(0, 1, 16), says: BELOW, situation: (gap) => ({ gap }) },
  { code: 'canvas-no-gap', at: mm(1.5), says: BELOW, metric: true, situation: (gap) => ({ gap }) },
  { code: 'keys-blocked', at: inches(0, 3, 16), says: BELOW, situation: (gap) => ({ keyed: true, gap }) },
  { code: 'shim-uneven', at: mm(0.2), says: ABOVE, situation: (shimsOff) => ({ shimsOff }) },
  {
    code: 'tape-wide',
    at: inches(0, 3, 4),
    says: ABOVE,
    situation: (wide) => ({ tape: { wide, strip: inches(0, 3, 4) } }),
  },
  {
    code: 'moulding-low',
    at: inches(1, 3, 4),
    says: ABOVE,
    situation: (high) => ({ walls: { high, moulding: inches(1, 3, 4) } }),
  },
  {
    code: 'lip-hides',
    at: inches(0, 1, 4),
    says: ABOVE,
    situation: (hidden) => ({ lipHides: size(mm(1), hidden), rabbetWidth: inches(0, 1, 4) }),
  },
  {
    code: 'garment-hidden',
    at: inches(24, 1, 2),
    says: ABOVE,
    situation: (w) => ({
      garment: size(w, inches(20)),
      opening: size(inches(24), inches(24)),
      overlap: inches(0, 1, 4),
    }),
  },
  {
    code: 'screw-through',
    at: inches(1, 1, 8),
    says: ABOVE,
    situation: (screw) => ({ screw, floor: inches(0, 1, 2), bar: inches(0, 3, 4) }),
  },
  {
    code: 'screw-short',
    at: inches(0, 3, 4),
    says: BELOW,
    situation: (screw) => ({ screw, floor: inches(0, 1, 2), bar: inches(0, 3, 4) }),
  },
  // Hanging.
  {
    code: 'wire-shows',
    at: by(inches(3), -inches(1)),
    says: FROM,
    situation: (rise) => ({ hung: 'wire', rise, ringDrop: inches(3) }),
  },
  {
    code: 'plate-too-wide',
    at: inches(1),
    says: ABOVE,
    situation: (plateWidth) => ({ plateWidth, faceWidth: inches(1, 1, 4), rabbetWidth: inches(0, 1, 4) }),
  },
  { code: 'no-wire', at: inches(40), says: ABOVE, situation: (w) => ({ weight: 5.1, outside: size(w, inches(20)) }) },
];

describe('a caution begins exactly where the handbook says', () => {
  it.each(EDGES.map((edge, index) => [`${index + 1}: ${edge.code}`, edge] as const))('%s', (_name, edge) => {
    const settings = edge.metric ? METRIC : INCH;
    const said = [-1, 0, 1].map((units) => fires(edge.code, edge.situation(by(edge.at, units)), settings));
    expect(said).toEqual(edge.says);
  });
});

describe('weights', () => {
  it.each<[CautionCode, number, Situation, boolean]>([
    ['no-wire', 15, {}, false],
    ['no-wire', 15.1, {}, true],
    ['no-wire', 5, { outside: size(inches(41), inches(20)) }, false],
    ['no-wire', 5.1, { outside: size(inches(41), inches(20)) }, true],
    ['no-wire', 16, { hung: 'hooks' }, false],
    ['no-wire', 16, { hung: 'sawtooth' }, false],
    ['heavy', 15, {}, false],
    ['heavy', 15.1, {}, true],
    ['moulding-weak', 8, { mouldingLimit: 8 }, false],
    ['moulding-weak', 8.1, { mouldingLimit: 8 }, true],
  ])('%s at %f kg', (code, weight, situation, says) => expect(fires(code, { ...situation, weight })).toBe(says));
});

describe('what a thing is', () => {
  it.each<[CautionCode, Situation, boolean]>([
    ['no-uv', { glazing: 'glass', irreplaceable: true }, true],
    ['no-uv', { glazing: 'glass', irreplaceable: true, uv: true }, false],
    ['no-uv', { glazing: 'glass', signed: true }, true],
    ['no-uv', { glazing: 'none', irreplaceable: true }, false],
    ['not-archival', { irreplaceable: true, acidFree: false }, true],
    ['not-archival', { irreplaceable: true, acidFree: true }, false],
    ['not-archival', { irreplaceable: false, acidFree: false }, false],
    ['dry-mount-original', { irreplaceable: true, mount: 'dry mount' }, true],
    ['dry-mount-original', { irreplaceable: true, mount: 'glue' }, true],
    ['dry-mount-original', { irreplaceable: true, mount: 'hinges' }, false],
    ['dry-mount-original', { irreplaceable: false, mount: 'dry mount' }, false],
    ['adhesive-on-document', { medium: 'certificate', mount: 'tape' }, true],
    ['adhesive-on-document', { medium: 'print', mount: 'tape' }, false],
    ['sheds-static', { medium: 'charcoal', glazing: 'acrylic' }, true],
    ['sheds-static', { medium: 'charcoal', glazing: 'glass' }, false],
    ['sheds-static', { medium: 'print', glazing: 'acrylic' }, false],
    ['touches-glass', { medium: 'photograph', glazing: 'glass', mats: 0 }, true],
    ['touches-glass', { medium: 'photograph', glazing: 'glass', mats: 1 }, false],
    ['touches-glass', { medium: 'photograph', glazing: 'glass', mats: 0, spacers: true }, false],
    ['thick-paint', { thickPaint: true, pressesOnFace: true }, true],
    ['thick-paint', { thickPaint: true, mount: 'dry mount' }, true],
    ['thick-paint', { thickPaint: true, mount: 'hinges' }, false],
    ['safety-glazing', { glazing: 'glass', place: 'stairs' }, true],
    ['safety-glazing', { glazing: 'glass', place: 'room' }, false],
    ['safety-glazing', { glazing: 'acrylic', place: 'stairs' }, false],
    ['wire-orientation', { hung: 'wire', outside: square(inches(12)) }, true],
    ['wire-orientation', { hung: 'wire', outside: size(inches(12), by(inches(12), 1)) }, false],
    ['value-high', { declaredValue: 100_000, shopLimit: 100_000 }, false],
    ['value-high', { declaredValue: 100_001, shopLimit: 100_000 }, true],
    ['lead-time', { promised: '2031-05-05', materialHere: '2031-05-05' }, false],
    ['lead-time', { promised: '2031-05-04', materialHere: '2031-05-05' }, true],
    ['keyed-fixed', { keyed: true, fixing: 'screwed hard' }, true],
    ['keyed-fixed', { keyed: true, fixing: 'oversized holes' }, false],
  ])('%s: %j', (code, situation, says) => expect(fires(code, situation)).toBe(says));

  it('fires nothing for facts that are unknown, but the cautions of the bench that stand always', () => {
    expect(firing({}, INCH)).toEqual([]);
    expect(firing({}, METRIC)).toEqual([]);
  });
});

describe('figures beside the cautions', () => {
  it.each([
    [-1, 'proud'],
    [0, 'tight'],
    [mm(3) - 1, 'tight'],
    [mm(3), 'fits'],
    [mm(6), 'fits'],
    [mm(6) + 1, 'loose'],
  ])('a room of %i is %s', (room, verdict) => expect(verdictOf(length(room), INCH)).toBe(verdict));

  it.each([
    [inches(12), 1],
    [by(inches(12), 1), 2],
    [inches(32), 2],
    [by(inches(32), 1), 3],
    [inches(48), 3],
    [by(inches(48), 1), 4],
  ])('a side of %i takes %i screws', (side, screws) => expect(screwsOnSide(side, INCH)).toBe(screws));

  it('a screw counts its riser: half an inch of block moves both ends by half an inch', () => {
    const wrong = (screw: Length) =>
      screwWrong(screw, inches(0, 1, 2), inches(0, 1, 2), inches(0, 3, 4), inches(0, 1, 8));
    expect([inches(1, 1, 8), inches(1, 1, 4), inches(1, 5, 8), inches(1, 3, 4)].map(wrong)).toEqual([
      'screw-short',
      undefined,
      undefined,
      'screw-through',
    ]);
  });
});
