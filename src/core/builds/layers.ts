/** What lies in a rabbet, layer by layer, with its weight. */
import type { AnyDesign, PanelMaterial } from '../design/common';
import { type Backing, type SheetMaterial, DENSITY } from '../materials';
import { type Length, type Size, grow, mm, times, toMm } from '../units/length';
import type { ResolvedPiece, Layer, Matted } from './build';

export const squareMetres = (size: Size): number => (toMm(size.w) * toMm(size.h)) / 1e6;
/** A sheet: area × thickness × density (kg per m² per mm). */
export const sheetKg = (size: Size, thickness: Length, density: number): number =>
  squareMetres(size) * toMm(thickness) * density;

const BEVEL_BOARD = '#fdfcf8';
const PANEL_DENSITY: Readonly<Record<PanelMaterial, number>> = {
  ply: DENSITY.ply,
  mdf: DENSITY.mdf,
  'solid wood': DENSITY['solid wood'],
  hardboard: DENSITY['hardboard panel'],
  aluminium: DENSITY.aluminium,
  'aluminium composite': DENSITY['aluminium composite'],
};
/** What a solid piece is made of; undefined for everything that is no panel. */
export const madeOf = ({ kind, made }: AnyDesign['piece']): PanelMaterial | undefined =>
  kind === 'panel' ? (made ?? 'ply') : kind === 'metal-print' ? (made ?? 'aluminium') : undefined;

/** What the piece weighs where nobody weighed it: by its kind; a panel by its thickness and what it is made of (R69). */
export function pieceKg({ design, piece }: ResolvedPiece, thickness: Length): number {
  if (design.piece.kg !== undefined) return design.piece.kg;
  const { larger: size } = piece;
  if (design.piece.kind === 'canvas') return canvasKg(size);
  const made = madeOf(design.piece);
  if (made) return sheetKg(size, thickness, PANEL_DENSITY[made]);
  // An object or a garment weighs what was weighed; until then nothing is guessed.
  if (design.piece.kind === 'object' || design.piece.kind === 'garment') return 0;
  return squareMetres(size) * DENSITY.paperPerSquareMetre;
}
/** Cloth and paint by area, bars by perimeter. */
export const canvasKg = (size: Size): number =>
  squareMetres(size) * 0.5 + (2 * (toMm(size.w) + toMm(size.h)) * 0.35) / 1000;

const sheetLayer = (
  part: Layer['part'],
  sheet: SheetMaterial,
  size: Size,
  density: number,
  group: Layer['group'],
): Layer => ({
  part,
  name: sheet.name,
  colour: sheet.colour,
  thickness: sheet.thickness,
  size: size,
  sheet,
  ...(group ? { group } : {}),
  kg: sheetKg(size, sheet.thickness, density),
});

export const glazingLayer = ({ glazing }: ResolvedPiece, pack: Size): Layer[] =>
  glazing.type === 'none' ? [] : [sheetLayer('glazing', glazing, pack, DENSITY[glazing.type], 'glazing')];
export const backingLayer = ({ backing }: ResolvedPiece, pack: Size): Layer =>
  sheetLayer('backing', backing, pack, DENSITY[backing.type], 'backing');
/** A board of the backing boards is priced with them, any other with the mats. */
export const isBackingBoard = (board: SheetMaterial | Backing): board is Backing =>
  'type' in board && board.type !== undefined && (board.type as string) !== 'mat';
export const boardDensity = (board: SheetMaterial | Backing): number =>
  isBackingBoard(board) ? DENSITY[board.type] : DENSITY.mat;
/** Which rates a board is charged by. */
export const groupOf = (board: SheetMaterial | Backing): 'mat' | 'backing' =>
  isBackingBoard(board) && !board.asMat ? 'backing' : 'mat';
export const boardLayer = (part: Layer['part'], board: SheetMaterial | Backing, size: Size): Layer =>
  sheetLayer(part, board, size, boardDensity(board), groupOf(board));
export const mountLayer = ({ mountBoard }: ResolvedPiece, size: Size): Layer[] =>
  mountBoard ? [boardLayer('mount board', mountBoard, size)] : [];
const INSIDE = mm(5);
/** How thick a board inside is: as said, else as its board is, else 5 mm. */
export const insideThickness = ({ innerBoard }: ResolvedPiece, said: Length | undefined): Length =>
  said ?? innerBoard?.thickness ?? INSIDE;
/** A board that the build puts inside; `size` is absent where it is cut beside the stack. */
export function insideLayer(
  job: ResolvedPiece,
  part: 'lift board' | 'insert',
  fallback: string,
  { of, thickness, beside = false }: { readonly of: Size; readonly thickness: Length; readonly beside?: boolean },
): Layer {
  const { innerBoard: board } = job;
  return {
    part,
    name: board?.name ?? fallback,
    colour: board?.colour ?? BEVEL_BOARD,
    thickness,
    kg: sheetKg(of, thickness, board ? boardDensity(board) : DENSITY.foam),
    ...(beside ? {} : { size: of, ...(board ? { sheet: board, group: groupOf(board) } : {}) }),
  };
}
export const fillerLayers = ({ filler, design: { fillerCount = 1 } }: ResolvedPiece, pack: Size): Layer[] =>
  filler
    ? Array.from({ length: fillerCount }, () => sheetLayer('filler', filler, pack, DENSITY[filler.type], 'backing'))
    : [];
export const pieceLayer = (job: ResolvedPiece, thickness = job.design.piece.thickness): Layer => ({
  part: 'piece',
  name: '',
  colour: '#d9cfae',
  thickness,
  kg: pieceKg(job, thickness),
});

/** Mats from the glass inward, each net of its windows (R33); a turned edge lies double. */
export function matLayersOf({ mats, design, settings }: ResolvedPiece, mat: Matted, pack: Size): Layer[] {
  const net = (back: Length) =>
    mat.windows.reduce((area, window) => area + squareMetres(grow(window, times(back, 2))), 0);
  const layers = mats.map((board, index): Layer => {
    const { back } = mat.layers[index]!;
    const double = design.mats[index]!.style === 'turned';
    return {
      part: 'mat',
      name: board.name,
      colour: board.colour,
      thickness: double ? times(board.thickness, 2) : board.thickness,
      size: pack,
      sheet: board,
      group: 'mat',
      kg: (squareMetres(pack) - net(back)) * toMm(board.thickness) * DENSITY.mat,
      mat: index,
    };
  });
  if (!mat.spacer) return layers;
  const hidden: Layer = {
    part: 'hidden spacer',
    name: `Hidden spacer, ${mats.at(-1)!.name}`,
    colour: BEVEL_BOARD,
    thickness: settings.spacerMat,
    size: pack,
    sheet: { ...mats.at(-1)!, thickness: settings.spacerMat },
    group: 'mat',
    kg: (squareMetres(pack) - net(mat.spacer.back)) * toMm(settings.spacerMat) * DENSITY.mat,
  };
  return [...layers, hidden];
}
