/**
 * What is cut, joined or fitted at a step, with every fixing where it goes and its figure on it. The same drawings at
 * the bench, on the ticket and on the marking map.
 */
import type { Window } from '../builds/build';
import type { Has } from '../instructions/has';
import { isMarked, labelled, markingMap } from '../instructions/marking-map';
import { type Mark, marksOf } from '../instructions/marks';
import type { FlatPart, LegPart, StripPart } from '../parts/parts';
import type { StepKey } from '../route/steps';
import { type Length, type Sides, type Size, grow, length, minus, plus, size, times, toMm } from '../units/length';
import { backScene } from './back';
import { dimensions } from './dimensions';
import { frontScene } from './front';
import { INK, type Point, type Scene, type Shape, moved, rectangle } from './scene';

const NEXT = '#0e6a5e';
const BOARD = '#f3ead9';
const WOOD = '#c9a877';
const GLASS = '#cfe3e2';
const area = (points: readonly Point[], fill: string, dashed = false): Shape => ({
  kind: 'area',
  points,
  fill,
  line: INK,
  ...(dashed ? { dashed } : {}),
});
const figure = (x: number, y: number, value: Length, tone: 'ink' | 'next' = 'ink'): Shape => ({
  kind: 'length',
  at: [x, y],
  value,
  anchor: 'middle',
  tone,
});

/** What lies between the edges of a board and what is in it, each figure in the middle of its side. */
function borderFigures(board: Size, { left, right, top, bottom }: Sides): Shape[] {
  const [w, h] = [toMm(board.w), toMm(board.h)];
  return [
    figure(toMm(left) / 2, h / 2, left),
    figure(w - toMm(right) / 2, h / 2, right),
    figure(w / 2, toMm(top) / 2, top),
    figure(w / 2, h - toMm(bottom) / 2, bottom),
  ];
}

/** Legs of each pair, the long point up, as they are cut: figures on the long and the short point. */
function legsScene(has: Has): Scene {
  const legs = has.worked.parts.filter((part): part is LegPart => part.kind === 'leg');
  const long = Math.max(...legs.map((leg) => toMm(leg.longPoint)));
  const high = long * 0.09;
  const shapes: Shape[] = [];
  [...legs]
    .sort((a, b) => b.longPoint - a.longPoint)
    .forEach((leg, index) => {
      const y = index * high * 3.2 + high * 1.1;
      const [w, short] = [toMm(leg.longPoint), toMm(leg.shortPoint)];
      const inset = Math.max(0, (w - short) / 2);
      shapes.push(
        area(
          [
            [0, y],
            [w, y],
            [w - Math.min(inset, w / 3), y + high],
            [Math.min(inset, w / 3), y + high],
          ],
          WOOD,
        ),
        figure(w / 2, y - high * 0.6, leg.cut.longPoint, 'next'),
        figure(w / 2, y + high * 1.65, leg.shortPoint),
      );
    });
  return { width: long, height: legs.length * high * 3.2 + high * 0.2, shapes, about: 'legs' };
}

const dot = (mark: Pick<Mark, 'x' | 'y'>, radius: number, fill: string): Shape => ({
  kind: 'dot',
  at: [toMm(mark.x), toMm(mark.y)],
  radius,
  fill,
});
/** The marks of a step: those that are measured with the number they have on the marking map. */
function marksAt(has: Has, step: StepKey, radius: number, fill: string): Shape[] {
  const { outside, marks } = markingMap(has);
  const numbered = labelled(marks.filter((mark) => mark.step === step)).flatMap(({ at, text }): Shape[] => {
    const inwards = at.x * 2 > outside.w ? -1 : 1;
    return [
      dot(at, radius, fill),
      {
        kind: 'text',
        at: [toMm(at.x) + inwards * radius * 1.8, toMm(at.y) + radius * 2.2],
        text,
        anchor: inwards > 0 ? 'start' : 'end',
      },
    ];
  });
  const byEye = marksOf(has).filter((mark) => mark.step === step && !isMarked(mark.item));
  return [...byEye.map((mark) => dot(mark, radius, fill)), ...numbered];
}

const half = (units: number): Length => length(Math.round(units / 2));
/** How far a sheet lies from the edges of the package that it is mounted in, as seen from behind. */
function liesAt({ worked: { sizes, resolved } }: Has, { left, top, w, h, piece }: Window): Sides {
  const { matted, package: pack } = sizes;
  const { opening } = resolved.design.window;
  // Of a part that is shown, the sheet begins where the design says; else it is in the middle of its window.
  const shown = opening && matted!.windows.length === 1 ? opening : undefined;
  const right = plus(matted!.border.left, left, shown ? length(-shown.left) : half(w - piece.w));
  const above = plus(matted!.border.top, top, shown ? length(-shown.top) : half(h - piece.h));
  return { left: minus(pack.w, right, piece.w), right, top: above, bottom: minus(pack.h, above, piece.h) };
}

/**
 * The package from behind with what lies in it: each window with its own piece, left and right changed. One alone has
 * how far it lies from each edge, several have the numbers of their lines.
 */
function mounted(has: Has): Shape[] {
  const { matted, package: pack, piece } = has.worked.sizes;
  const w = toMm(pack.w);
  const sheet = ({ left, top }: Sides, of: Size) =>
    area(rectangle(toMm(left), toMm(top), toMm(of.w), toMm(of.h)), '#fbf8f0', true);
  const round = (at: Sides) => (Math.min(at.left, at.right, at.top, at.bottom) > 0 ? borderFigures(pack, at) : []);
  if (!matted) {
    const [across, down] = [half(pack.w - piece.larger.w), half(pack.h - piece.larger.h)];
    const at = { left: across, right: across, top: down, bottom: down };
    return [sheet(at, piece.larger), ...round(at)];
  }
  const alone = matted.windows.length === 1;
  return matted.windows.flatMap((window, index): Shape[] => {
    const at = liesAt(has, window);
    const [wide, high] = [toMm(window.w), toMm(window.h)];
    const x = w - toMm(plus(matted.border.left, window.left)) - wide;
    const y = toMm(plus(matted.border.top, window.top));
    const open: Shape = { kind: 'area', points: rectangle(x, y, wide, high), fill: 'none', line: INK };
    const number: Shape = { kind: 'text', at: [x + wide / 2, y + high / 2], text: `${index + 1}`, anchor: 'middle' };
    return [sheet(at, window.piece), open, ...(alone ? round(at) : [number])];
  });
}

/** The frame, or the package, from behind, with the marks of a step. */
function fromBehind(has: Has, step: StepKey): Scene {
  const { sizes } = has.worked;
  const { outside, outline } = markingMap(has);
  const [w, h] = [toMm(outside.w), toMm(outside.h)];
  const pack: Size = sizes.package;
  const [left, top] = [(w - toMm(pack.w)) / 2, (h - toMm(pack.h)) / 2];
  const shapes: Shape[] = [
    ...(has.inFrame ? [area(outline ?? rectangle(0, 0, w, h), WOOD)] : []),
    ...(outline ? [] : [area(rectangle(left, top, toMm(pack.w), toMm(pack.h)), BOARD)]),
    ...(step === 'mount' ? mounted(has).map((shape) => moved(shape, [left, top])) : []),
    ...marksAt(has, step, Math.max(w, h) * 0.011, NEXT),
    ...dimensions(outside, Math.max(w, h) * 0.08),
  ];
  return { width: w, height: h, shapes, about: step };
}

/** One mat as it lies on the cutter: its own windows, each with its figures, and its own borders. */
function matShapes({ layer, windows = [], cut }: FlatPart, colour: string): Shape[] {
  const [w, h] = [toMm(cut.w), toMm(cut.h)];
  const { border, window: only } = layer!.cut;
  const alone = windows.length === 1;
  const sides = alone ? borderFigures(cut, border) : [];
  const holes = windows.flatMap((window): Shape[] => {
    const open = alone ? only : grow(size(window.w, window.h), times(layer!.back, 2));
    const at: Point = [
      toMm(alone ? border.left : plus(layer!.border.left, window.left)),
      toMm(alone ? border.top : plus(layer!.border.top, window.top)),
    ];
    const [ww, wh] = [toMm(open.w), toMm(open.h)];
    const folded = layer!.turned;
    const tab = folded ? toMm(folded.tab) : 0;
    // Of a turned edge the cut-out comes first: its figures stand largest, within its own box.
    const shown = folded ? folded.cutOut : open;
    return [
      area(rectangle(...at, ww, wh), folded ? colour : '#ffffff', folded !== undefined),
      ...(folded ? [area(rectangle(at[0] + tab, at[1] + tab, ww - 2 * tab, wh - 2 * tab), '#ffffff')] : []),
      figure(at[0] + ww / 2, at[1] + wh * 0.38, shown.w, 'next'),
      figure(at[0] + ww / 2, at[1] + wh * 0.62, shown.h, 'next'),
      ...(folded && alone
        ? [figure(at[0] + ww / 2, at[1] + tab / 2, open.w), figure(at[0] + tab / 2, at[1] + wh / 2, open.h)]
        : []),
    ];
  });
  return [area(rectangle(0, 0, w, h), colour), ...holes, ...sides];
}

/** What the drawing of a step has beside its lines: about two parts across to three down. */
const ROOM = { across: 2, down: 3 } as const;
/** The mats below or beside one another, whichever shows them larger, the top one first, each numbered as its lines are. */
function matsScene({ worked }: Has): Scene {
  const mats = worked.parts.filter((part): part is FlatPart => part.kind === 'flat' && part.layer !== undefined);
  const { cutPackage } = worked.sizes;
  const [w, h] = [toMm(cutPackage.w), toMm(cutPackage.h)];
  const gap = Math.max(w, h) * 0.1;
  const many = Math.max(1, mats.length);
  const all = (side: number) => many * side + (many - 1) * gap;
  // As small as it must be drawn either way.
  const below = Math.max(all(h) / ROOM.down, w / ROOM.across) <= Math.max(h / ROOM.down, all(w) / ROOM.across);
  const shapes = mats.flatMap((mat, index): Shape[] => {
    const colour = mat.part === 'hidden spacer' ? BOARD : (worked.resolved.mats[index]?.colour ?? BOARD);
    const by: Point = below ? [0, index * (h + gap)] : [index * (w + gap), 0];
    const number: Shape[] =
      mats.length > 1 ? [{ kind: 'text', at: [w * 0.04, h * 0.05], text: `${index + 1}`, anchor: 'middle' }] : [];
    return [...matShapes(mat, colour), ...number].map((shape) => moved(shape, by));
  });
  const height = below ? all(h) : h;
  return {
    width: below ? w : all(w),
    height,
    shapes: [
      ...shapes,
      ...dimensions(cutPackage, Math.max(w, h) * 0.14).map((shape) => moved(shape, [0, below ? height - h : 0])),
    ],
    about: 'mats',
  };
}

/** Sheets of one kind, the largest behind, each with its figures. */
function sheetsScene(parts: readonly FlatPart[], fill: string): Scene {
  const sizes = parts.map((part) => part.first ?? part.cut);
  const largest = sizes.reduce((most, one) => (one.w * one.h > most.w * most.h ? one : most));
  const [w, h] = [toMm(largest.w), toMm(largest.h)];
  const shapes = [
    area(rectangle(0, 0, w, h), fill),
    ...dimensions(largest, Math.max(w, h) * 0.08),
    ...sizes
      .filter((one) => one.w !== largest.w || one.h !== largest.h)
      .map((one) => area(rectangle(0, 0, toMm(one.w), toMm(one.h)), fill, true)),
  ];
  return { width: w, height: h, shapes, about: 'sheet' };
}

/** Strips under one another, each as long as it is. */
function stripsScene(has: Has): Scene | undefined {
  const strips = has.worked.parts.filter(
    (part): part is StripPart => part.kind === 'strip' && part.part !== 'section' && part.cutLength !== undefined,
  );
  if (strips.length === 0) return undefined;
  const long = Math.max(...strips.map((strip) => toMm(strip.cutLength!)));
  const high = long * 0.05;
  const shapes = strips.flatMap((strip, index): Shape[] => {
    const y = index * high * 2.4;
    const w = toMm(strip.cutLength!);
    return [area(rectangle(0, y, w, high), BOARD), figure(w / 2, y + high * 1.5, strip.cutLength!, 'next')];
  });
  return { width: long, height: strips.length * high * 2.4, shapes, about: 'strips' };
}

/** The drawing of a step; undefined where there is nothing to draw that helps. */
export function stepScene(has: Has, step: StepKey, photos: readonly string[] = []): Scene | undefined {
  const { worked } = has;
  const flat = (...names: string[]) =>
    worked.parts.filter((part): part is FlatPart => part.kind === 'flat' && names.includes(part.part));
  const sheets = (fill: string, ...names: string[]) => {
    const parts = flat(...names);
    return parts.length > 0 ? sheetsScene(parts, fill) : undefined;
  };
  switch (step) {
    case 'cut-legs':
      return worked.parts.some((part) => part.kind === 'leg') ? legsScene(has) : undefined;
    case 'cut-mats':
      return matsScene(has);
    case 'cut-glazing':
      return sheets(GLASS, 'glazing', 'pane', 'mirror');
    case 'cut-backing':
      return sheets(BOARD, 'backing', 'mount board', 'filler');
    case 'cut-strips':
      return stripsScene(has) ?? sheets(BOARD, 'insert board', 'insert', 'lift board', 'cloth', 'backing patch');
    case 'back-and-hang':
      return withMarks(has);
    case 'join':
    case 'mount':
    case 'fit':
      return fromBehind(has, step);
    default:
      return frontScene(worked, false, photos);
  }
}

/** The back with its hangers, and braces and bumpers where they go. */
function withMarks(has: Has): Scene {
  const scene = backScene(has.worked);
  const radius = Math.max(scene.width, scene.height) * 0.009;
  const marks = marksOf(has).filter(({ item }) => item === 'bumper' || item === 'corner brace');
  const { hanging } = has;
  const figures: Shape[] =
    hanging && has.worked.sizes.outside
      ? [figure(scene.width / 2, toMm(hanging.hookDrop) + scene.height * 0.06, hanging.hookDrop, 'next')]
      : [];
  return { ...scene, shapes: [...scene.shapes, ...marks.map((mark) => dot(mark, radius, INK)), ...figures] };
}
