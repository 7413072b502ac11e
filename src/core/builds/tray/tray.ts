/**
 * A flat base with a raised lip; the piece is fixed on the base from behind with a border of it seen.
 * It weighs its base of four strips and its lip. Source: handbook, builds 7; R12, R53, R69.
 */
import { DENSITY, type Moulding } from '../../materials';
import { screwFor } from '../../fixings/screws';
import { legsOf, walledFrame } from '../../sizing/frame';
import { type Length, type Size, inches, length, minus, mm, plus, size, times, toMm } from '../../units/length';
import type { WorkingsLog } from '../../working';
import { build } from '../build';
import { line } from '../../instructions/line';
import { screwLines } from '../../instructions/screws';
import { aLength, both } from '../fields';
import { packageOfPiece } from '../lay-ups';
import { pieceLayer, squareMetres } from '../layers';

export interface TraySizes {
  readonly inside: Size;
  readonly baseWidth: Length;
}
/** `inside = A + 2·showBorder`; the base is as wide as what shows and what lies under the piece. */
export function traySizes(piece: Size, showBorder: Length, under: Length, log: WorkingsLog): TraySizes {
  const inside = log.size('sizes.inside', 'inside', 'piece + 2 × border of base seen', (key) => [
    plus(piece[key], times(showBorder, 2)),
    { piece: piece[key], 'border of base seen': showBorder },
  ]);
  const baseWidth = log.note(
    'sizes.baseWidth',
    'base width',
    'border of base seen + under the piece',
    { 'border of base seen': showBorder, 'under the piece': under },
    plus(showBorder, under),
  );
  return { inside, baseWidth };
}

const BASES = ['mdf', 'ply', 'solid wood'] as const;
/** The base is a ring of four strips, not a sheet; the lip is a strip standing round it. In kilograms. */
export function trayKg(
  inside: Size,
  hole: Size,
  outside: Size,
  {
    thickness,
    material,
    lip,
    height,
  }: { thickness: Length; material: (typeof BASES)[number]; lip: Length; height: Length },
  density: number = DENSITY.woodPerCubicMetre,
) {
  const ring = squareMetres(inside) - squareMetres(hole);
  const perimeterMm = 2 * (toMm(outside.w) + toMm(outside.h));
  return [
    { part: 'base', kg: ring * toMm(thickness) * DENSITY[material] },
    { part: 'lip', kg: (perimeterMm * toMm(lip) * toMm(height) * density) / 1e9 },
  ];
}

/** How high the lip stands: as the moulding it is cut from. */
const lipHeight = ({ height }: Moulding): Length => height;

export const tray = build({
  publicName: 'tray',
  usualPiece: { kind: 'panel', thickness: both(inches(0, 3, 4), mm(18)) },
  pressesOnFace: true,
  walled: true,
  groundOfMoulding: true,
  standInFace: (own) => (own.lip as Length | undefined) ?? mm(10),
  fields: {
    showBorder: aLength({ usual: both(inches(2), mm(50)) }),
    toOuterFace: aLength({}),
    lip: aLength({ usual: both(inches(0, 3, 8), mm(10)) }),
    under: aLength({ usual: both(inches(0, 1, 2), mm(12)) }),
    pieceDepth: aLength({}),
    baseThickness: aLength({ usual: both(mm(12), mm(12)) }),
    baseMaterial: { kind: 'choice', of: BASES },
  },
  uses: ['moulding'],
  allowance: (settings) => settings.allowance,
  work: { 'cut-legs': 10, mount: 12 },
  says: ({ own, figures, hardware }) => ({
    'cut-legs': [
      line('base-and-lip', {
        lip: own.lip,
        base: figures.baseWidth ?? 0,
        thickness: own.baseThickness,
        material: own.baseMaterial,
      }),
    ],
    mount: [
      line('tray-border', { border: figures.showBorder ?? 0, under: own.under, depth: own.pieceDepth ?? 0 }),
      ...screwLines({
        count: hardware.find(({ item }) => item === 'screw')?.count ?? 0,
        length: hardware.find(({ item }) => item === 'screw')?.length,
        floor: own.baseThickness,
      }),
    ],
  }),
  layUp: (job, own) => {
    const { moulding, settings, log: log, piece, design } = job;
    const showBorder = own.toOuterFace ? minus(own.toOuterFace, own.lip) : own.showBorder;
    const { inside, baseWidth } = traySizes(piece.larger, showBorder, own.under, log);
    const of = walledFrame(inside, own.lip, plus(own.lip, baseWidth), log);
    const shortBase = size(minus(piece.larger.w, times(own.under, 2)), minus(piece.larger.h, times(own.under, 2)));
    const step = settings.cuttingStep;
    const pieceDepth = own.pieceDepth ?? design.piece.thickness;
    const screw = screwFor(own.baseThickness, length(0), pieceDepth, settings);
    return {
      package: packageOfPiece(job),
      matted: undefined,
      frames: [
        {
          of: 'frame',
          moulding,
          package: piece.larger,
          rabbet: undefined,
          inside,
          ...of,
          legs: [
            ...legsOf('base', 'Base', inside, undefined, shortBase, step),
            ...legsOf('lip', 'Lip', of.outside, undefined, inside, step),
          ],
        },
      ],
      layers: [pieceLayer(job, pieceDepth)],
      loose: [],
      hardware: [{ item: 'screw', count: 4, ...(screw.recommend ? { length: screw.recommend } : {}) }],
      figures: { baseWidth, showBorder },
      counts: {},
      depth: undefined,
      held: 'nothing',
      joints: [
        { of: 'base', height: own.baseThickness, solid: baseWidth, face: baseWidth },
        { of: 'lip', height: lipHeight(moulding), solid: own.lip, face: own.lip },
      ],
      // Lip and base are glued: rings go into the base, near its outside.
      rail: { solid: plus(own.lip, baseWidth), face: plus(own.lip, baseWidth), depth: own.baseThickness },
      screw: { atLeast: screw.atLeast, atMost: screw.atMost, found: screw.recommend !== undefined },
      frameKg: trayKg(
        inside,
        shortBase,
        of.outside,
        { thickness: own.baseThickness, material: own.baseMaterial, lip: own.lip, height: lipHeight(moulding) },
        moulding.density,
      ),
    };
  },
});
