/** The window or windows of a mat, its borders and layers, as a design asks for them. */
import type { WindowHolds } from '../design/choices';
import { type Issue, issue } from '../issue';
import { borderSides, fits, underLip } from '../sizing/borders';
import { type MatLayer, matCut, standBack, turnedEdge, widened } from '../sizing/mats';
import { shapeIssue } from '../sizing/shapes';
import { arrange, backingPatches, narrowestBridge } from '../sizing/windows';
import { type Length, type Sides, type Size, floorTo, grow, length, minus, plus, size, times } from '../units/length';
import type { CutLayer, ResolvedPiece, Matted, Window } from './build';

export const NAME = { w: 'width', h: 'height' } as const;
export const NO_SHAPE = { shape: 'rectangle' } as const;
/** A size as cut for the rabbet: down to the cutting step. */
export const cutInto = (extent: Size, step: Length): Size => size(floorTo(extent.w, step), floorTo(extent.h, step));

/** The window of one piece, by the way its edge is shown. */
export function opening({ design, piece, log: log }: ResolvedPiece): {
  opening: Size;
  edge: Matted['edge'];
  under?: Sides;
} {
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
      log.note(
        `sizes.opening.${side}`,
        `window ${NAME[side]}`,
        'piece + 2 × float gap',
        { piece: piece.larger[side], 'float gap': gap },
        plus(piece.larger[side], times(gap, 2)),
      );
    return { opening: size(of('w'), of('h')), edge: 'floated' };
  }
  const of = (side: 'w' | 'h') =>
    log.note(
      `sizes.opening.${side}`,
      `window ${NAME[side]}`,
      'piece − 2 × overlap',
      { piece: piece.smaller[side], overlap: window.overlap },
      minus(piece.smaller[side], times(window.overlap, 2)),
    );
  return { opening: size(of('w'), of('h')), edge: 'covered' };
}

/** Whether a piece of paper lies in a window, and not a plate or cloth. */
export const isHinged = ({ holds }: { readonly holds?: WindowHolds | undefined }): boolean =>
  holds !== 'plate' && holds !== 'cloth';

function several({ design, log: log, settings }: ResolvedPiece): { box: Size; windows: Window[] } {
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
  const patches = backingPatches(placed.windows, cut, patch);
  const windows = wanted.map((one, index): Window => {
    const extent = size(one.width, one.height);
    return {
      ...placed.windows[index]!,
      shape: { shape: one.shape ?? 'rectangle', corner: one.corner },
      title: one.title ?? '',
      ...(one.holds ? { holds: one.holds } : {}),
      ...(one.text ? { text: one.text } : {}),
      piece: extent,
      // A plate is screwed or stuck on, cloth fills its window: neither is hinged to a patch.
      ...(isHinged(one) ? { patch: patches[index]! } : {}),
    };
  });
  for (const side of ['w', 'h'] as const)
    log.note(
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
  job: ResolvedPiece,
  fixed?: { package: Size; how: 'centred' | 'bottom-heavy' },
): (Matted & { package: Size }) | undefined {
  const { design, log: log, settings, fillet } = job;
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
  const across = (side: 'w' | 'h') => {
    const [one, other] = ends[side];
    const said = () => ({
      formula: `window + border ${one} + border ${other}`,
      inputs: { window: open[side], [`border ${one}`]: border[one], [`border ${other}`]: border[other] },
    });
    return log.later(
      `sizes.package.${side}`,
      `package ${NAME[side]}`,
      said,
      plus(open[side], border[one], border[other]),
    );
  };
  const pack = size(across('w'), across('h'));
  const cutPackage = cutInto(pack, settings.cuttingStep);
  const reveals = design.mats.map((mat, index) => (index === 0 ? length(0) : mat.reveal));
  const grown = fillet ? design.fillet!.lip : length(0);
  const innermost: MatLayer = { opening: open, border };
  const layer = (back: Length, turned: boolean, path: string, name: string): CutLayer => {
    const matLayer = widened(innermost, back);
    if (back > 0)
      for (const key of ['w', 'h'] as const)
        log.later(
          `${path}.${key}`,
          `${name}, ${NAME[key]}`,
          () => ({ formula: 'window + 2 × stands back', inputs: { window: open[key], 'stands back': back } }),
          matLayer.opening[key],
        );
    return {
      ...matLayer,
      back,
      cut: matCut(matLayer, cutPackage, settings.cuttingStep),
      ...(turned ? { turned: turnedEdge(matLayer.opening, matLayer.border, settings.tab, settings) } : {}),
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
export function mattedIssues({ design }: ResolvedPiece, mat: Matted): Issue[] {
  const issues: Issue[] = [];
  const { opening: open, border, layers } = mat;
  if (open.w <= 0 || open.h <= 0 || mat.windows.some((window) => window.w <= 0 || window.h <= 0)) {
    const shorter = design.several
      ? Math.min(...design.several.windows.flatMap((window) => [window.width, window.height]))
      : Math.min(design.piece.width, design.piece.height);
    issues.push(issue('overlap-takes-all', { overlap: design.window.overlap, shorter }, 'window.overlap'));
    return issues;
  }
  for (const [index, window] of mat.windows.entries()) {
    const wrong = shapeIssue(window.shape, window, design.several ? `several.windows.${index}.shape` : 'window.shape');
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
  else if (
    layers.some((layer) => Math.min(layer.border.left, layer.border.right, layer.border.top, layer.border.bottom) <= 0)
  )
    issues.push(issue('reveals-take-border', {}, `mats.${layers.length - 1}.reveal`));
  if (design.spacer && design.spacer.setBack >= least)
    issues.push(issue('set-back-takes-border', { setBack: design.spacer.setBack, border: least }, 'spacer.setBack'));
  if (layers.some((layer) => layer.turned && layer.turned.tab <= 0)) issues.push(issue('tab-none', {}, 'mats.0.style'));
  return issues;
}
