/**
 * An object behind glass in a box with lined sides. `innerDepth = rabbetDepth − glazing − mountBoard − backing −
 * fastenerRoom`. Source: handbook, builds 8; R15, R26, R58.
 */
import { DENSITY } from '../../materials';
import { type Length, type Size, grow, inches, minus, mm, plus, times } from '../../units/length';
import type { WorkingsLog } from '../../working';
import { type Layer, type Loose, build } from '../build';
import { line } from '../../instructions/line';
import { aLength, both } from '../fields';
import { packageAs, rabbeted } from '../lay-ups';
import { backingLayer, boardLayer, glazingLayer, matLayersOf, pieceLayer, sheetKg } from '../layers';
import { matted } from '../matting';

interface Depths {
  readonly rabbetDepth: Length;
  readonly glazing: Length;
  readonly mountBoard: Length;
  readonly backing: Length;
  readonly fastenerRoom: Length;
}
export function innerDepthOf(
  { rabbetDepth, glazing, mountBoard, backing, fastenerRoom }: Depths,
  log: WorkingsLog,
): Length {
  return log.note(
    'sizes.innerDepth',
    'depth inside the box',
    'rabbet depth − glazing − mount board − backing − room for fasteners',
    { 'rabbet depth': rabbetDepth, glazing, 'mount board': mountBoard, backing, 'room for fasteners': fastenerRoom },
    minus(rabbetDepth, glazing, mountBoard, backing, fastenerRoom),
  );
}
/** The rabbet that would hold object and clearance. */
export function rabbetNeeded(
  objectDepth: Length,
  clearance: Length,
  { glazing, mountBoard, backing, fastenerRoom }: Depths,
  log: WorkingsLog,
): Length {
  return log.note(
    'sizes.rabbetDepthNeeded',
    'rabbet depth needed',
    'object + clearance + glazing + mount board + backing + room for fasteners',
    { object: objectDepth, clearance, glazing, 'mount board': mountBoard, backing, 'room for fasteners': fastenerRoom },
    plus(objectDepth, clearance, glazing, mountBoard, backing, fastenerRoom),
  );
}
/** Side strips: one pair the full package, the other between them. */
export const sideStrips = (
  pack: Size,
  thickness: Length,
  full: 'upright' | 'across',
): { across: Length; upright: Length } => {
  const less = times(thickness, -2);
  return full === 'upright'
    ? { across: plus(pack.w, less), upright: pack.h }
    : { across: pack.w, upright: plus(pack.h, less) };
};

export const shadowBox = build({
  publicName: 'shadow box',
  usualPiece: { kind: 'object', thickness: both(inches(1), mm(25)) },
  ground: '#e6dcc4',
  brings: 'box board',
  putsInside: () => true,
  linesSides: true,
  startsWithoutMat: true,
  floatsInWindow: true,
  fields: {
    objectDepth: aLength({}),
    clearance: aLength({ usual: both(inches(0, 1, 4), mm(6)), zero: true }),
    margin: aLength({ usual: both(inches(1), mm(25)), zero: true }),
    stripThickness: aLength({ usual: both(mm(6.4), mm(6.4)) }),
    full: { kind: 'choice', of: ['upright', 'across'] },
    package: { kind: 'size' },
  },
  uses: ['window', 'mats', 'moulding', 'glazing', 'backing', 'mountBoard', 'sideBoard', 'mount'],
  allowance: (settings) => settings.allowance,
  work: { mount: 35 },
  says: ({ own, figures, design }) => ({
    'cut-strips': [line('which-strips-full', { full: own.full, thickness: own.stripThickness }, { of: ['strips'] })],
    mount: [
      line('object-held', { mount: design.mount ?? 'wired', depth: own.objectDepth ?? design.piece.thickness }),
      line('box-inside', { inner: figures.innerDepth ?? 0, margin: own.margin }),
      line('object-clear', { clearance: own.clearance }, { of: ['glass'] }),
    ],
    fit: [line('sides-lined', {}, { of: ['strips'] })],
  }),
  layUp: (job, own) => {
    const { design, settings, log: log, piece } = job;
    const { margin, stripThickness } = own;
    const floor = grow(piece.larger, times(margin, 2));
    const mat = matted({ ...job, design: { ...design, window: { ...design.window, floatGap: margin } } });
    const pack =
      mat?.package ??
      (own.package &&
        packageAs(job, own.package, 'package as given', (key) => ({ 'package as given': own.package![key] }))) ??
      packageAs(job, grow(floor, times(stripThickness, 2)), 'object + 2 × margin + 2 × strip thickness', (key) => ({
        object: piece.larger[key],
        margin,
        'strip thickness': stripThickness,
      }));
    const holding = job.inner[0] ?? job.moulding;
    const mats = mat ? matLayersOf(job, mat, pack) : [];
    const glass = plus(
      job.glazing.type === 'none' ? times(margin, 0) : job.glazing.thickness,
      ...mats.map((mat) => mat.thickness),
    );
    const mountBoard = job.mountBoard?.thickness ?? mm(5);
    const depths = {
      rabbetDepth: holding.rabbetDepth,
      glazing: glass,
      mountBoard,
      backing: job.backing.thickness,
      fastenerRoom: settings.fastenerRoom,
    };
    const objectDepth = own.objectDepth ?? design.piece.thickness;
    const innerDepth = innerDepthOf(depths, log);
    const strips = sideStrips(pack, stripThickness, own.full);
    const strip = {
      part: 'side strip',
      name: `Side strip, ${job.sideBoard?.name ?? 'mat'} on ${job.innerBoard?.name ?? 'foam board'}`,
      count: 2,
      width: stripThickness,
      height: innerDepth,
      into: true,
      ...(job.sideBoard ? { covered: job.sideBoard } : {}),
      ...(job.innerBoard ? { board: job.innerBoard } : {}),
    };
    // A box without depth is cautioned, with what would help; there is no strip of it to cut.
    const loose: Loose[] =
      innerDepth > 0
        ? [
            { ...strip, length: strips.upright },
            { ...strip, length: strips.across },
          ]
        : [];
    const board: Layer = job.mountBoard
      ? boardLayer('mount board', job.mountBoard, pack)
      : {
          part: 'mount board',
          name: 'Foam board 5 mm',
          colour: '#fdfcf8',
          thickness: mountBoard,
          size: pack,
          // Cut from the same sheets as a back of that board.
          ...(job.backing.type === 'foam' && job.backing.thickness === mountBoard ? { sheet: job.backing } : {}),
          kg: sheetKg(pack, mountBoard, DENSITY.foam),
        };
    const sides: Layer = {
      part: 'side strips',
      name: 'Side strips',
      colour: job.sideBoard?.colour ?? '#efe6d2',
      thickness: innerDepth > 0 ? innerDepth : objectDepth,
      kg: 0,
    };
    return rabbeted(job, {
      package: pack,
      matted: mat,
      layers: [...glazingLayer(job, pack), ...mats, sides, board, backingLayer(job, pack)],
      loose,
      figures: {
        innerDepth,
        rabbetDepthNeeded: rabbetNeeded(objectDepth, own.clearance, depths, log),
        visibleFloor: log.size('sizes.visibleFloor', 'floor seen,', 'package − 2 × strip thickness', (key) => [
          minus(pack[key], times(stripThickness, 2)),
          { package: pack[key], 'strip thickness': stripThickness },
        ]),
        floorWanted: floor,
        object: objectDepth,
      },
      counts: { clearanceKept: plus(objectDepth, own.clearance) <= innerDepth },
      box: { objectDepth, clearance: own.clearance, innerDepth },
      weighedBeside: pieceLayer(job).kg,
    });
  },
});
