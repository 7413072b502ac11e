/** What most builds have in common: the windowed mat, the frames round a package, the layers of a rabbet. */
import { type Issue, issue } from '../issue';
import type { Moulding } from '../materials';
import { frameSizes, legsOf, matchedFrame } from '../sizing/frame';
import { wantedOutside } from '../sizing/match';
import { lipRoom, stripsRound } from '../sizing/mats';
import { type Length, type Size, plus, size, smaller, times } from '../units/length';
import type { ResolvedPiece, LayUp, Layer, Loose, Matted } from './build';
import type { Frame } from '../sizing/frame';
import { matted, mattedIssues, NAME } from './matting';
import { backingLayer, fillerLayers, glazingLayer, matLayersOf, mountLayer, pieceLayer } from './layers';

/** A board no larger than the package it lies in. */
export const within = (extent: Size, pack: Size): Size => size(smaller(extent.w, pack.w), smaller(extent.h, pack.h));

/** The frames round a package, inner to outer; the last is the one that hangs. */
export function frames(job: ResolvedPiece, pack: Size): Frame[] {
  const { design, settings, log: log, moulding } = job;
  const list: Frame[] = [];
  let inside = pack;
  for (const [index, one] of (design.frame.inner ?? []).entries()) {
    const wood = job.inner[index]!;
    const of = frameSizes(inside, one.allowance, wood, log, `sizes.inner.${index}`);
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
  const { allowance } = design.frame;
  const wanted = wantedOutside(design.frame, moulding);
  const of = wanted
    ? matchedFrame(inside, allowance, moulding, wanted, log)
    : frameSizes(inside, allowance, moulding, log);
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
export function filletFrame({ fillet, log: log, settings }: ResolvedPiece, mat: Matted): Frame | undefined {
  if (!fillet) return undefined;
  const { opening: sight } = mat;
  const out = (side: 'w' | 'h') =>
    log.note(
      `sizes.fillet.outside.${side}`,
      `fillet long point, ${NAME[side]}`,
      'window + 2 × face width',
      { window: sight[side], 'face width': fillet.faceWidth },
      plus(sight[side], times(fillet.faceWidth, 2)),
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
  job: ResolvedPiece,
  extent: Size,
  formula: string,
  inputs: (side: 'w' | 'h') => Record<string, Length>,
): Size {
  const side = (key: 'w' | 'h') =>
    job.log.later(
      `sizes.package.${key}`,
      `package ${NAME[key]}`,
      () => ({ formula, inputs: inputs(key) }),
      extent[key],
    );
  return size(side('w'), side('h'));
}
export const packageOfPiece = (job: ResolvedPiece): Size =>
  packageAs(job, job.piece.larger, 'piece', (key) => ({ piece: job.piece.larger[key] }));

/** The filler lies before the back, so that the fasteners press on the back. */
function withFiller(job: ResolvedPiece, pack: Size, layers: readonly Layer[]): readonly Layer[] {
  const filling = fillerLayers(job, pack);
  if (filling.length === 0) return layers;
  const at = layers.findIndex((layer) => layer.part === 'backing');
  return at < 0 ? [...layers, ...filling] : [...layers.slice(0, at), ...filling, ...layers.slice(at)];
}

/** A package in a rabbeted frame, glazed or not, held by points and closed behind. */
export function rabbeted(job: ResolvedPiece, parts: Partial<LayUp> & Pick<LayUp, 'package' | 'layers'>): LayUp {
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
    layers: withFiller(job, parts.package, parts.layers),
    frames: fillet ? [fillet, ...round] : round,
    issues: [...(parts.issues ?? []), ...(mat ? mattedIssues(job, mat) : [])],
  };
}

/** The usual sandwich: glazing, mats, piece, mount board, backing; without a mat the piece fills the rabbet. */
export function layered(job: ResolvedPiece, fixed?: Parameters<typeof matted>[1]): LayUp {
  const mat = matted(job, fixed);
  const pack = mat?.package ?? fixed?.package ?? packageOfPiece(job);
  const patches = (mat?.windows ?? []).flatMap((window): Loose[] =>
    window.patch
      ? [
          {
            part: 'backing patch',
            name: window.title,
            count: 1,
            size: window.patch,
            into: true,
            ...(job.innerBoard ? { board: job.innerBoard } : {}),
          },
        ]
      : [],
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
export function hiddenByLip({ design, moulding, inner }: ResolvedPiece): Length {
  const holding: Moulding = inner[0] ?? moulding;
  return lipRoom(holding.rabbetWidth, design.frame.inner?.[0]?.allowance ?? design.frame.allowance);
}
/** The usual strip, or a narrower one where the lip hides no more (R11). */
export const usualStrip = (job: ResolvedPiece): Length => smaller(job.settings.stripWidth, hiddenByLip(job));

/** Spacer strips between glazing and piece, no wider than the lip hides. */
export function spaced(job: ResolvedPiece, laid: LayUp, wanted: Length | undefined, depth: Length): LayUp {
  const room = hiddenByLip(job);
  const stripWidth = wanted ?? usualStrip(job);
  const [glass, ...layers] = laid.layers;
  const strip: Layer = { part: 'spacer', name: 'Spacer strips', colour: '#e7e3d6', thickness: depth, kg: 0 };
  const issues: Issue[] = [];
  if (stripWidth > room || stripWidth <= 0)
    issues.push(issue('strip-shows', { strip: stripWidth, room }, 'own.stripWidth'));
  else if (2 * stripWidth >= Math.min(laid.package.w, laid.package.h))
    issues.push(issue('strip-too-wide', { strip: stripWidth }, 'own.stripWidth'));
  return {
    ...laid,
    layers: glass?.part === 'glazing' ? [glass, strip, ...layers] : laid.layers,
    loose: [...laid.loose, ...stripParts('spacer strip', 'Spacer strips', laid.package, stripWidth, depth)],
    issues: [...(laid.issues ?? []), ...issues],
  };
}
