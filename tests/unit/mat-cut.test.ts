import { describe, expect, it } from 'vitest';
import { type Design, newDesign } from '@/core/design/design';
import { matFile, writeDxf, writeSvg } from '@/core/mat-cut/paths';
import { readDxf } from '@/core/mat-cut/read-dxf';
import { defaultSettings } from '@/core/settings';
import { inches, length, mm } from '@/core/units/length';
import { workOut } from '@/core/work-out';
import { simulatedMatCutter } from '@/standins/mat-cutter/mat-cutter';
import { shop } from '../shop';

const plain = newDesign(
  defaultSettings('in'),
  { mat: 'SHELL', moulding: 'GAN-31', glazing: 'GL', backing: 'FOAM' },
  inches(12),
  inches(16),
);
const within = shop();
const first = <T>(map: ReadonlyMap<string, T>) => [...map.keys()][0]!;
const design = (over: Partial<Design> = {}): Design => ({
  ...plain,
  frame: { ...plain.frame, moulding: { code: first(within.catalogue.mouldings) } },
  glazing: { code: first(within.catalogue.glazings) },
  backing: { code: first(within.catalogue.backings) },
  mats: [
    { board: { code: first(within.catalogue.mats) }, reveal: length(0) },
    { board: { code: first(within.catalogue.mats) }, reveal: mm(6) },
  ],
  ...over,
});
function filesOf(of: Design) {
  const worked = workOut(of, within);
  if (!worked.ok) throw new Error(worked.issues.map((one) => one.code).join());
  return worked.value.parts.flatMap((part) => (part.kind === 'flat' ? (matFile(part, 'test') ?? []) : []));
}
const cutter = simulatedMatCutter();
const codes = (answer: { ok: boolean; issues?: readonly { code: string }[] }) =>
  answer.ok ? 'ok' : answer.issues!.map((one) => one.code).join();
const pairs = (...list: (string | number)[]) =>
  Array.from({ length: list.length / 2 }, (_, at) => `${list[at * 2]}\n${list[at * 2 + 1]}\n`).join('');
const dxf = (entities: string) => `${pairs(0, 'SECTION', 2, 'ENTITIES')}${entities}${pairs(0, 'ENDSEC', 0, 'EOF')}`;
const line = (layer: string, x: number, y: number, toX: number, toY: number) =>
  pairs(0, 'LINE', 8, layer, 10, x, 20, y, 11, toX, 21, toY);
const box = (layer: string, x: number, y: number, w: number, h: number) =>
  line(layer, x, y, x + w, y) +
  line(layer, x + w, y + h, x + w, y) +
  line(layer, x + w, y + h, x, y + h) +
  line(layer, x, y + h, x, y);

describe('a mat for the cutting machine', () => {
  it('is one file a layer, the windows where the ticket has them, and comes back from the file unchanged', () => {
    const files = filesOf(design());
    expect(files).toHaveLength(2);
    for (const [at, file] of files.entries()) {
      const worked = workOut(design(), within);
      const layer = worked.ok ? worked.value.sizes.matted!.layers[at]! : undefined;
      const bevel = file.paths.find((path) => path.layer === 'BEVEL')!;
      const [xs, ys] = [bevel.points.map(([x]) => x), bevel.points.map(([, y]) => y)];
      expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(layer!.cut.window.w / 320, 3);
      expect(Math.min(...xs)).toBeCloseTo(layer!.cut.border.left / 320, 3);
      // The machine's y runs up: the border below the window is the lower one.
      expect(Math.min(...ys)).toBeCloseTo(layer!.cut.border.bottom / 320, 3);
      const read = readDxf(writeDxf(file));
      expect(read.ok && read.value).toEqual(file.paths);
      expect(writeSvg(file)).toContain(`viewBox="0 0 ${file.w} ${file.h}"`);
    }
  });

  it.each(['oval', 'arch', 'chamfer', 'step'] as const)('cuts a window of every shape: %s', (shape) => {
    const [file] = filesOf(design({ window: { ...plain.window, shape } as never }));
    const play = cutter.take(writeDxf(file!));
    expect(play.ok && play.value.cuts.map((cut) => cut.layer)).toEqual(['BEVEL', 'OUTLINE']);
  });

  it('scores a turned edge, slits its corners and then goes straight through its cut-out', () => {
    const one = design();
    const [file] = filesOf({ ...one, mats: [{ ...one.mats[0]!, style: 'turned' }] });
    const slit = { layer: 'OUTLINE', closed: false };
    expect(file!.paths.map(({ layer, closed }) => ({ layer, closed }))).toEqual([
      { layer: 'OUTLINE', closed: true },
      { layer: 'SCORE', closed: true },
      { layer: 'OUTLINE', closed: true },
      ...[slit, slit, slit, slit],
    ]);
    const [, fold, cutOut, ...slits] = file!.paths;
    // Each from a corner of the cut-out to one of the fold, and every corner once.
    for (const [from, to] of slits.map(({ points }) => points)) {
      expect(cutOut!.points).toContainEqual(from);
      expect(fold!.points).toContainEqual(to);
    }
    expect(new Set(slits.map(({ points }) => points.join())).size).toBe(4);
    const play = cutter.take(writeDxf(file!));
    expect(play.ok && play.value.cuts.map(({ layer, length }) => `${layer} ${length > 100}`)).toEqual([
      'SCORE true',
      ...Array<string>(4).fill('OUTLINE false'),
      'OUTLINE true',
      'OUTLINE true',
    ]);
  });
});

describe('the cutter', () => {
  const board = box('OUTLINE', 0, 0, 400, 300);
  it('takes single lines, arcs and circles, scores first, the board last, and counts time and way', () => {
    const round = pairs(0, 'CIRCLE', 8, 'BEVEL', 10, 200, 20, 150, 40, 80);
    const half = pairs(0, 'ARC', 8, 'SCORE', 10, 200, 20, 150, 40, 100, 50, 0, 51, 90);
    const play = cutter.take(dxf(board + round + half));
    expect(play.ok && play.value.cuts.map((cut) => cut.layer)).toEqual(['SCORE', 'BEVEL', 'OUTLINE']);
    if (!play.ok) return;
    expect(play.value.cuts[1]!.length).toBeCloseTo(2 * Math.PI * 80, 0);
    expect(play.value.cuts[2]!.length).toBeCloseTo(1400, 6);
    expect(play.value.seconds).toBe(play.value.cuts.at(-1)!.ends);
    for (const [at, cut] of play.value.cuts.entries())
      expect(cut.starts).toBeGreaterThanOrEqual(play.value.cuts[at - 1]?.ends ?? 0);
  });

  it.each([
    ['', 'machine-not-dxf'],
    ['hello\nworld\n', 'machine-not-dxf'],
    ['\u0000\u0001\u0002', 'machine-not-dxf'],
    [dxf(''), 'machine-empty'],
    [dxf(board + pairs(0, 'SPLINE', 8, 'BEVEL')), 'machine-entity'],
    [dxf(board + box('GLITTER', 50, 50, 20, 20)), 'machine-layer'],
    [dxf(board + line('BEVEL', 50, 50, 90, 50)), 'machine-open'],
    [dxf(board + box('BEVEL', 350, 50, 90, 50)), 'machine-outside'],
    [dxf(box('BEVEL', 50, 50, 90, 50)), 'machine-no-outline'],
    [dxf(box('OUTLINE', 0, 0, 4000, 300)), 'machine-bed'],
    [dxf(box('OUTLINE', -20, 0, 400, 300)), 'machine-bed'],
    [dxf(board + pairs(0, 'LINE', 8, 'BEVEL', 10, 'NaN', 20, 1, 11, 2, 21, 2)), 'machine-number'],
  ])('refuses what it could not cut, with the reason', (text, code) => {
    expect(codes(cutter.take(text))).toBe(code);
  });
});
