/** What most builds have in common: the windowed mat, the frames round a package, the layers of a rabbet. */
import { type Issue, issue } from '../issue';
import { DENSITY, type Moulding, type Sheet } from '../materials';
import { borderSides, fits, underLip } from '../sizing/borders';
import { frameSizes, legsOf, matchedFrame } from '../sizing/frame';
import { type MatLayer, lipRoom, matCut, standBack, stripsRound, turnedEdge, widened } from '../sizing/mats';
import { shapeIssue } from '../sizing/shapes';
import { arrange, backingPatch, narrowestBridge } from '../sizing/windows';
import {
  type Length,
  type Sides,
  type Size,
  floorTo,
  grow,
  length,
  minus,
  plus,
  size,
  smaller,
  times,
  toMm,
} from '../units/length';
import type { CutLayer, Frame, Job, Laid, Layer, Loose, Matted, Window } from './build';

const NAME = { w: 'width', h: 'height' } as const;
const NO_SHAPE = { shape: 'rectangle' } as const;
export const squareMetres = (of: Size): number => (toMm(of.w) * toMm(of.h)) / 1e6;
/** A sheet: area × thickness × density (kg per m² per mm). */
export const sheetKg = (of: Size, thickness: Length, density: number): number =>
  squareMetres(of) * toMm(thickness) * density;

/** The window of one piece, by the way its edge is shown. */
function opening({ design, piece, book }: Job): { opening: Size; edge: Matted['edge']; under?: Sides } {
  const { window } = design;
  if (window.opening) {
    const { w, h, left, top } = window.opening;
    const under = {
      left,
      right: minus(piece.smaller.w, left, w),
      top,
      bottom: minus(piece.smaller.h, top, h),
    };
    return { opening: size(w, h), edge: 'part', under };
  }
  const gap = window.floatGap;
  if (gap !== undefined) {
    const of = (side: 'w' | 'h') =>
      book.note(
        `sizes.opening.${side}`,
        `window ${NAME[side]}`,
        'piece + 2 × float gap',
        { piece: piece.larger[side], 'float gap': gap },
        plus(piece.larger[side], times(gap, 2)),
      );
    return { opening: size(of('w'), of('h')), edge: 'floated' };
  }
  const of = (side: 'w' | 'h') =>
    book.note(
      `sizes.opening.${side}`,
      `window ${NAME[side]}`,
      'piece − 2 × overlap',
      { piece: piece.smaller[side], overlap: window.overlap },
      minus(piece.smaller[side], times(window.overlap, 2)),
    );
  return { opening: size(of('w'), of('h')), edge: 'covered' };
}

function several({ design, book, settings }: Job): { box: Size; windows: Window[] } {
  const { windows: wanted, layout, bridge, columns, patch = settings.patch } = design.several!;
  const { floatGap } = design.window;
  const cut = floatGap === undefined ? times(design.window.overlap, -2) : times(floatGap, 2);
  const across =
    layout === 'row' ? wanted.length : layout === 'column' ? 1 : (columns ?? Math.ceil(Math.sqrt(wanted.length)));
  const openings = wanted.map((one) => grow(size(one.width, one.height), cut));
  const placed = arrange(
    openings,
    layout === 'free'
      ? { as: 'free', at: wanted.map((one) => one.at ?? { left: length(0), top: length(0) }) }
      : { as: 'rows', columns: across },
    bridge,
  );
  const rows = Math.ceil(wanted.length / across);
  const windows = wanted.map((one, index): Window => {
    const of = size(one.width, one.height);
    return {
      ...placed.windows[index]!,
      shape: { shape: one.shape ?? 'rectangle', corner: one.corner },
      title: one.title ?? '',
      piece: of,
      patch: layout === 'free' ? grow(of, patch) : backingPatch(of, patch, across, rows, bridge),
    };
  });
  for (const side of ['w', 'h'] as const)
    book.note(
      `sizes.opening.${side}`,
      `all windows, ${NAME[side]}`,
      'windows and bridges',
      { 'windows and bridges': placed.box[side] },
      placed.box[side],
    );
  return { box: placed.box, windows };
}

/** The windows and borders of a mat, and the package they make. Undefined when the design has no mat. */
export function matted(
  job: Job,
  fixed?: { package: Size; how: 'centred' | 'bottom-heavy' },
): (Matted & { package: Size }) | undefined {
  const { design, book, settings, fillet } = job;
  if (design.mats.length === 0) return undefined;
  const single = design.several ? undefined : opening(job);
  const group = design.several ? several(job) : undefined;
  const open = single?.opening ?? group!.box;
  const first = design.frame.inner?.[0];
  const holding = job.inner[0] ?? job.moulding;
  const allowance = first?.allowance ?? design.frame.allowance;
  const lip = underLip(holding.rabbetWidth, allowance);
  const choice =
    fixed && design.border.mode !== 'fit'
      ? ({ mode: 'fit', package: fixed.package, how: fixed.how } as const)
      : fixed && design.border.mode === 'fit'
        ? { ...design.border, package: fixed.package }
        : design.border;
  const border = borderSides(choice, open, lip);
  const ends = { w: ['left', 'right'], h: ['top', 'bottom'] } as const;
  const across = (of: 'w' | 'h') => {
    const [one, other] = ends[of];
    const said = () => ({
      formula: `window + border ${one} + border ${other}`,
      inputs: { window: open[of], [`border ${one}`]: border[one], [`border ${other}`]: border[other] },
    });
    return book.later(`sizes.package.${of}`, `package ${NAME[of]}`, said, plus(open[of], border[one], border[other]));
  };
  const pack = size(across('w'), across('h'));
  const cutPackage = cutInto(pack, settings.cuttingStep);
  const reveals = design.mats.map((mat, index) => (index === 0 ? length(0) : mat.reveal));
  const grown = fillet ? design.fillet!.lip : length(0);
  const innermost: MatLayer = { opening: open, border };
  const layer = (back: Length, turned: boolean, path: string, name: string): CutLayer => {
    const of = widened(innermost, back);
    if (back > 0)
      for (const key of ['w', 'h'] as const)
        book.later(
          `${path}.${key}`,
          `${name}, ${NAME[key]}`,
          () => ({ formula: 'window + 2 × stands back', inputs: { window: open[key], 'stands back': back } }),
          of.opening[key],
        );
    return {
      ...of,
      back,
      cut: matCut(of, cutPackage, settings.cuttingStep),
      ...(turned ? { turned: turnedEdge(of.opening, of.border, settings.tab, settings) } : {}),
    };
  };
  const layers = standBack(reveals).map((back, index) =>
    layer(
      plus(back, grown),
      design.mats[index]!.style === 'turned',
      `sizes.layers.${index}.opening`,
      `window of layer ${index + 1}`,
    ),
  );
  const shape = { shape: design.window.shape ?? NO_SHAPE.shape, corner: design.window.corner };
  const windows: Window[] = group?.windows ?? [
    { left: length(0), top: length(0), ...open, shape, title: '', piece: job.piece.larger },
  ];
  const bridge = group && narrowestBridge(group.windows, layers[0]!.back);
  return {
    edge: single?.edge ?? (design.window.floatGap === undefined ? 'covered' : 'floated'),
    opening: open,
    windows,
    border,
    layers,
    package: pack,
    ...(design.spacer
      ? { spacer: layer(design.spacer.setBack, false, 'sizes.hiddenSpacer', 'window of the hidden spacer') }
      : {}),
    ...(single?.under ? { sheetUnder: single.under } : {}),
    ...(bridge === undefined ? {} : { bridge }),
  };
}

/** What cannot be cut of a mat: an issue beside the field. */
export function mattedIssues({ design }: Job, mat: Matted): Issue[] {
  const issues: Issue[] = [];
  const { opening: open, border, layers } = mat;
  if (open.w <= 0 || open.h <= 0 || mat.windows.some((one) => one.w <= 0 || one.h <= 0)) {
    const shorter = design.several
      ? Math.min(...design.several.windows.flatMap((one) => [one.width, one.height]))
      : Math.min(design.piece.width, design.piece.height);
    issues.push(issue('overlap-takes-all', { overlap: design.window.overlap, shorter }, 'window.overlap'));
    return issues;
  }
  for (const [index, one] of mat.windows.entries()) {
    const wrong = shapeIssue(one.shape, one, design.several ? `several.windows.${index}.shape` : 'window.shape');
    if (wrong) issues.push(wrong);
  }
  const least = Math.min(border.left, border.right, border.top, border.bottom);
  if (design.border.mode === 'fit' && !fits(border, design.border.how))
    issues.push(
      issue(
        'fit-no-border',
        { w: open.w, h: open.h, packW: design.border.package.w, packH: design.border.package.h },
        'border.package',
      ),
    );
  else if (least <= 0) issues.push(issue('border-none', {}, 'border'));
  else if (layers.some((one) => Math.min(one.border.left, one.border.right, one.border.top, one.border.bottom) <= 0))
    issues.push(issue('reveals-take-border', {}, `mats.${layers.length - 1}.reveal`));
  if (design.spacer && design.spacer.setBack >= least)
    issues.push(issue('set-back-takes-border', { setBack: design.spacer.setBack, border: least }, 'spacer.setBack'));
  if (layers.some((one) => one.turned && one.turned.tab <= 0)) issues.push(issue('tab-none', {}, 'mats.0.style'));
  return issues;
}

/** A size as cut for the rabbet: down to the cutting step. */
export const cutInto = (of: Size, step: Length): Size => size(floorTo(of.w, step), floorTo(of.h, step));

/** A board no larger than the package it lies in. */
export const within = (of: Size, pack: Size): Size => size(smaller(of.w, pack.w), smaller(of.h, pack.h));

/** The frames round a package, inner to outer; the last is the one that hangs. */
export function frames(job: Job, pack: Size): Frame[] {
  const { design, settings, book, moulding } = job;
  const list: Frame[] = [];
  let inside = pack;
  for (const [index, one] of (design.frame.inner ?? []).entries()) {
    const wood = job.inner[index]!;
    const of = frameSizes(inside, one.allowance, wood, book, `sizes.inner.${index}`);
    list.push({
      of: 'liner',
      moulding: wood,
      package: inside,
      inside: undefined,
      ...of,
      legs: legsOf('liner', wood.name, of.outside, of.rabbet, of.sight, settings.cuttingStep),
    });
    inside = of.outside;
  }
  const { outside: wanted, allowance } = design.frame;
  const of = wanted
    ? matchedFrame(inside, allowance, moulding, wanted, book)
    : frameSizes(inside, allowance, moulding, book);
  list.push({
    of: 'frame',
    moulding,
    package: inside,
    inside: undefined,
    ...of,
    legs: legsOf('frame', moulding.name, of.outside, of.rabbet, of.sight, settings.cuttingStep),
  });
  return list;
}

/** The fillet's legs: sight at the innermost window, long point two faces further out (R13). */
export function filletFrame({ fillet, book, settings }: Job, mat: Matted): Frame | undefined {
  if (!fillet) return undefined;
  const { opening: sight } = mat;
  const out = (of: 'w' | 'h') =>
    book.note(
      `sizes.fillet.outside.${of}`,
      `fillet long point, ${NAME[of]}`,
      'window + 2 × face width',
      { window: sight[of], 'face width': fillet.faceWidth },
      plus(sight[of], times(fillet.faceWidth, 2)),
    );
  const outside = size(out('w'), out('h'));
  return {
    of: 'fillet',
    moulding: fillet,
    package: sight,
    rabbet: undefined,
    inside: undefined,
    sight,
    outside,
    lengthCharged: plus(times(plus(sight.w, sight.h), 2), times(fillet.faceWidth, 8)),
    legs: legsOf('fillet', fillet.name, outside, undefined, sight, settings.cuttingStep),
  };
}

const BEVEL_BOARD = '#fdfcf8';
/** What the piece weighs where nobody weighed it: by its kind. */
export function pieceKg({ design, piece }: Job): number {
  if (design.piece.kg !== undefined) return design.piece.kg;
  const { larger: of } = piece;
  if (design.piece.kind === 'canvas') return canvasKg(of);
  // An object or a garment weighs what was weighed; until then nothing is guessed.
  if (design.piece.kind === 'object' || design.piece.kind === 'garment') return 0;
  return squareMetres(of) * DENSITY.paperPerSquareMetre;
}
/** Cloth and paint by area, bars by perimeter. */
export const canvasKg = (of: Size): number => squareMetres(of) * 0.5 + (2 * (toMm(of.w) + toMm(of.h)) * 0.35) / 1000;

const sheetLayer = (part: Layer['part'], sheet: Sheet, of: Size, density: number, group: Layer['group']): Layer => ({
  part,
  name: sheet.name,
  colour: sheet.colour,
  thickness: sheet.thickness,
  size: of,
  sheet,
  ...(group ? { group } : {}),
  kg: sheetKg(of, sheet.thickness, density),
});

export const glazingLayer = ({ glazing }: Job, pack: Size): Layer[] =>
  glazing.type === 'none' ? [] : [sheetLayer('glazing', glazing, pack, DENSITY[glazing.type], 'glazing')];
export const backingLayer = ({ backing }: Job, pack: Size): Layer =>
  sheetLayer('backing', backing, pack, DENSITY[backing.type], 'backing');
export const mountLayer = ({ mountBoard }: Job, of: Size): Layer[] =>
  mountBoard ? [sheetLayer('mount board', mountBoard, of, DENSITY.mat, 'mat')] : [];
export const pieceLayer = (job: Job, thickness = job.design.piece.thickness): Layer => ({
  part: 'piece',
  name: '',
  colour: '#d9cfae',
  thickness,
  kg: pieceKg(job),
});

/** Mats from the glass inward, each net of its windows (R33); a turned edge lies double. */
export function matLayersOf({ mats, design, settings }: Job, mat: Matted, pack: Size): Layer[] {
  const net = (back: Length) => mat.windows.reduce((area, one) => area + squareMetres(grow(one, times(back, 2))), 0);
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
    name: mats.at(-1)!.name,
    colour: BEVEL_BOARD,
    thickness: settings.spacerMat,
    size: pack,
    sheet: { ...mats.at(-1)!, thickness: settings.spacerMat },
    group: 'mat',
    kg: (squareMetres(pack) - net(mat.spacer.back)) * toMm(settings.spacerMat) * DENSITY.mat,
  };
  return [...layers, hidden];
}

/** Spacer strips round a package, top and bottom full (R26). */
export function stripParts(part: string, name: string, pack: Size, stripWidth: Length, height?: Length): Loose[] {
  const [across, upright] = stripsRound(pack, stripWidth);
  const of = { part, name, count: 2, width: stripWidth, into: true, ...(height === undefined ? {} : { height }) };
  return [
    { ...of, length: across },
    { ...of, length: upright },
  ];
}

/** A package that is one size with what is given, noted as such. */
export function packageAs(
  job: Job,
  of: Size,
  formula: string,
  inputs: (side: 'w' | 'h') => Record<string, Length>,
): Size {
  const side = (key: 'w' | 'h') =>
    job.book.later(`sizes.package.${key}`, `package ${NAME[key]}`, () => ({ formula, inputs: inputs(key) }), of[key]);
  return size(side('w'), side('h'));
}
export const packageOfPiece = (job: Job): Size =>
  packageAs(job, job.piece.larger, 'piece', (key) => ({ piece: job.piece.larger[key] }));

/** A package in a rabbeted frame, glazed or not, held by points and closed behind. */
export function rabbeted(job: Job, parts: Partial<Laid> & Pick<Laid, 'package' | 'layers'>): Laid {
  const mat = parts.matted;
  const fillet = mat && filletFrame(job, mat);
  const round = frames(job, parts.package);
  const holding = round[0]!.moulding;
  return {
    matted: undefined,
    loose: [],
    hardware: [],
    figures: {},
    counts: {},
    depth: holding.rabbetDepth,
    held: 'points',
    ...parts,
    frames: fillet ? [fillet, ...round] : round,
    issues: [...(parts.issues ?? []), ...(mat ? mattedIssues(job, mat) : [])],
  };
}

/** The usual sandwich: glazing, mats, piece, mount board, backing; without a mat the piece fills the rabbet. */
export function layered(job: Job, fixed?: Parameters<typeof matted>[1]): Laid {
  const mat = matted(job, fixed);
  const pack = mat?.package ?? fixed?.package ?? packageOfPiece(job);
  const patches = (mat?.windows ?? []).flatMap((one): Loose[] =>
    one.patch ? [{ part: 'backing patch', name: one.title, count: 1, size: one.patch, into: true }] : [],
  );
  return rabbeted(job, {
    package: pack,
    matted: mat,
    layers: [
      ...glazingLayer(job, pack),
      ...(mat ? matLayersOf(job, mat, pack) : []),
      pieceLayer(job),
      ...mountLayer(job, pack),
      backingLayer(job, pack),
    ],
    loose: patches,
  });
}

/** What the lip of the frame that holds the package hides. */
function hiddenByLip({ design, moulding, inner }: Job): Length {
  const holding: Moulding = inner[0] ?? moulding;
  return lipRoom(holding.rabbetWidth, design.frame.inner?.[0]?.allowance ?? design.frame.allowance);
}
/** The usual strip, or a narrower one where the lip hides no more (R11). */
export const usualStrip = (job: Job): Length => smaller(job.settings.stripWidth, hiddenByLip(job));

/** Spacer strips between glazing and piece, no wider than the lip hides. */
export function spaced(job: Job, laid: Laid, wanted: Length | undefined, depth: Length): Laid {
  const room = hiddenByLip(job);
  const stripWidth = wanted ?? usualStrip(job);
  const [glass, ...rest] = laid.layers;
  const strip: Layer = { part: 'spacer', name: 'Spacer strips', colour: '#e7e3d6', thickness: depth, kg: 0 };
  const issues: Issue[] = [];
  if (stripWidth > room || stripWidth <= 0)
    issues.push(issue('strip-shows', { strip: stripWidth, room }, 'own.stripWidth'));
  else if (2 * stripWidth >= Math.min(laid.package.w, laid.package.h))
    issues.push(issue('strip-too-wide', { strip: stripWidth }, 'own.stripWidth'));
  return {
    ...laid,
    layers: glass?.part === 'glazing' ? [glass, strip, ...rest] : laid.layers,
    loose: [...laid.loose, ...stripParts('spacer strip', 'Spacer strips', laid.package, stripWidth, depth)],
    issues: [...(laid.issues ?? []), ...issues],
  };
}
