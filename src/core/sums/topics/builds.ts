/** One build by itself: laid up by the same function as a whole design. */
import { z } from 'zod';
import { BUILDS, BUILD_CODES, type BuildCode, codeNamed } from '../../builds';
import { type FigureKey, figuresOf } from '../../builds/figures';
import type { ResolvedPiece, LayUp } from '../../builds/build';
import { ownOf } from '../../builds/fields';
import { clipsOnSide, pairFrom } from '../../builds/sections';
import { firing } from '../../cautions/cautions';
import { type Design, newDesign } from '../../design/design';
import { type Length, type Size, inches, length, mm, size } from '../../units/length';
import { type SumFigures, L, type Sum, figure, sidesL, sizeL, topic, unitL } from '../sum';
import { aJob, aMoulding, someBacking, someGlass } from '../stand-ins';

const names = [...BUILD_CODES.map((code) => BUILDS[code].publicName), ...BUILD_CODES] as [string, ...string[]];

/** Lengths of the chain of sizes, beside those that the builds ask for. */
const SHARED =
  'overlap floatGap reveal faceWidth rabbetWidth rabbetDepth allowance glazing mountBoard backingThickness fastenerRoom paneThickness';
const LENGTHS = [
  ...new Set([
    ...SHARED.split(' '),
    ...BUILD_CODES.flatMap((code) =>
      Object.entries(BUILDS[code].fields).flatMap(([key, field]) => (field.kind === 'length' ? [key] : [])),
    ),
  ]),
];
const body = z.strictObject({
  unit: unitL,
  build: z.enum(names),
  piece: sizeL,
  package: sizeL,
  backing: z.union([z.strictObject({ w: L, h: L }), L]).optional(),
  border: sidesL,
  seat: sidesL,
  layers: z.int().min(1).max(3).optional(),
  raised: z.boolean().optional(),
  keyed: z.boolean().optional(),
  held: z.string().max(40).optional(),
  heldEdges: z.array(L).max(20).optional(),
  laid: z.enum(['wrapped', 'loosely', 'laced']).optional(),
  full: z.enum(['upright', 'across']).optional(),
  wayUp: z.boolean().optional(),
  weight: figure,
  ...Object.fromEntries(LENGTHS.map((key) => [key, L])),
});
type Given = z.output<typeof body> & Readonly<Record<string, unknown>>;

/** Reads the lengths that were given, by their keys. */
function lengthsOf(given: Given, sum: Sum): Record<string, Length> {
  const found: Record<string, Length> = {};
  for (const key of LENGTHS) {
    const value = sum.some(key, given[key] as string | undefined);
    if (value !== undefined) found[key] = value;
  }
  return found;
}

function laidUp(
  code: BuildCode,
  given: Given,
  of: Record<string, Length>,
  sum: Sum,
): { laid: LayUp; job: ResolvedPiece } {
  const { settings } = sum;
  const build = BUILDS[code];
  const cloth = typeof given.backing === 'object' ? sum.area('backing', given.backing as never) : undefined;
  const thick =
    typeof given.backing === 'string' || typeof given.backing === 'number'
      ? sum.some('backing', given.backing)
      : undefined;
  const pack = sum.area('package', given.package);
  const piece: Size =
    sum.area('piece', given.piece) ?? cloth ?? pack ?? size(of.flatWidth ?? inches(10), of.visibleHeight ?? inches(10));
  const start = newDesign(settings, { mat: '', moulding: '', glazing: '', backing: '' }, piece.w, piece.h);
  const border = sum.edges('border', given.border);
  const matted = build.needsMat || border !== undefined || of.floatGap !== undefined || given.layers !== undefined;
  const reveal = of.reveal ?? settings.reveal;
  const own: Record<string, unknown> = { ...of };
  if (given.heldEdges)
    own.heldEdges = given.heldEdges.map((heldEdge, index) => sum.len(`heldEdges.${index}`, heldEdge, length(1)));
  if (given.seat) own.seat = sum.edges('seat', given.seat);
  if ('package' in build.fields && pack) own.package = pack;
  for (const key of ['raised', 'laid', 'full', 'wayUp'] as const) if (given[key] !== undefined) own[key] = given[key];
  const design: Design = {
    ...start,
    build: code,
    mats: matted
      ? Array.from({ length: given.layers ?? 1 }, (_, k) => ({
          board: { code: '' },
          reveal: k === 0 ? length(0) : reveal,
        }))
      : [],
    window: {
      overlap: of.overlap ?? settings.overlap,
      ...(of.floatGap === undefined ? {} : { floatGap: of.floatGap }),
    },
    border: border ? { mode: 'four', ...border } : start.border,
    frame: { ...start.frame, allowance: of.allowance ?? build.allowance(settings) },
  };
  const moulding = aMoulding({
    faceWidth: of.faceWidth ?? of.wall ?? of.lip ?? inches(1),
    rabbetWidth: of.rabbetWidth ?? length(Math.floor((of.faceWidth ?? inches(1)) / 4)),
    rabbetDepth: of.rabbetDepth ?? of.innerDepth ?? mm(20),
  });
  const job = aJob(sum, moulding, design, {
    glazing: someGlass(of.glazing ?? of.paneThickness),
    backing: someBacking(thick ?? of.backingThickness),
    mountBoard: of.mountBoard === undefined ? undefined : { ...someBacking(of.mountBoard) },
    settings: { ...settings, fastenerRoom: of.fastenerRoom ?? settings.fastenerRoom },
  });
  return { laid: build.layUp(job, ownOf(build.fields, own, sum.unit)), job };
}

/** What is said of a build beyond the chain of sizes, by its code. */
const OWN: Partial<Record<BuildCode, (laid: LayUp, of: Record<string, Length>, given: Given, sum: Sum) => SumFigures>> =
  {
    floater: (laid, of, given, sum) => {
      const { counts, figures, frames } = laid;
      const riser = of.innerDepth !== undefined && of.pieceDepth !== undefined;
      const keyed = given.keyed ?? false;
      return {
        legs: frames[0]!.legs.map((leg) => ({
          count: leg.count,
          shortPoint: sum.say(leg.shortPoint),
          longPoint: sum.say(leg.longPoint),
        })),
        ...(riser
          ? {
              riser: sum.say(figures.riser!),
              proud: sum.say(figures.proud!),
              riserNeeded: counts.riserNeeded,
              riserBlocks: counts.riserBlocks,
            }
          : {}),
        ...(counts.shimsASide === undefined ? {} : { shimsASide: counts.shimsASide }),
        fires: firing({ gap: laid.gap!, keyed, ...(given.held ? { fixing: given.held } : {}) }, sum.settings, [
          'canvas-no-gap',
          'keyed-fixed',
          'keys-blocked',
        ]),
      };
    },
    'shadow-box': (laid, _of, given, sum) => ({
      innerDepth: sum.say(laid.figures.innerDepth!),
      clearanceKept: laid.counts.clearanceKept,
      fires: firing({ ...laid.box }, sum.settings, ['object-touches-glass', 'object-near-glass']),
      rabbetDepthNeeded: sum.say(laid.figures.rabbetDepthNeeded!),
      ...(given.package || given.piece
        ? {
            strips: laid.loose.map((loose) => ({
              count: loose.count,
              length: sum.say(loose.length!),
              height: sum.say(loose.height!),
            })),
            visibleFloor: sum.saySize(laid.figures.visibleFloor!),
          }
        : {}),
    }),
    garment: (laid, _of, given, sum) => {
      const pins = String(laid.counts.pinsPerEdge).split(' ').filter(Boolean).map(Number);
      return {
        insert: sum.saySize(laid.figures.insert!),
        ...(given.heldEdges ? { pinsPerEdge: pins, pins: laid.counts.pins } : {}),
      };
    },
    'metal-sections': (laid, _of, _given, sum) => {
      const { package: pack } = laid;
      return {
        pairs: [pack.w, pack.h].map((side) => ({ length: sum.say(side), from: pairFrom(side, sum.settings) })),
        cornerSets: 4,
        springClips: 2 * (clipsOnSide(pack.w, sum.settings) + clipsOnSide(pack.h, sum.settings)),
      };
    },
    'glass-sandwich': (laid, _of, _given, sum) => {
      const panes = laid.layers.filter((layer) => layer.part === 'glazing' || layer.part === 'pane');
      return {
        panes: { count: panes.length, ...sum.saySize(laid.package) },
        strips: laid.loose
          .filter((loose) => loose.part === 'outer spacer')
          .map((loose) => ({ count: loose.count, length: sum.say(loose.length!) })),
        weightOfPanes: `${panes.reduce((kg, pane) => kg + pane.kg, 0).toFixed(3)} kg`,
      };
    },
    bare: (laid, _of, _given, sum) => ({
      strips: laid.loose.map((loose) => ({ count: loose.count, length: sum.say(loose.length!) })),
    }),
    'open-canvas': (laid, _of, _given, sum) => ({
      proud: sum.say(laid.figures.proud!),
      clips: laid.counts.clips,
    }),
    'customer-frame': (laid) => ({ fits: laid.counts.fits }),
  };
/** Figures that are said by their own names. */
const SAID: readonly FigureKey[] = [
  'board',
  'liftBoard',
  'boardFirst',
  'boardTrimmed',
  'cut',
  'baseWidth',
  'offTheRoll',
];
const UNFRAMED: readonly BuildCode[] = [
  'glass-sandwich',
  'shadow-box',
  'garment',
  'fabric',
  'dry-mount',
  'customer-frame',
];

export const builds = topic({
  title: 'Builds',
  body: body as z.ZodType<Given>,
  answer: (given, sum) => {
    const code = codeNamed(given.build)!;
    const of = lengthsOf(given, sum);
    const { laid } = laidUp(code, given, of, sum);
    if (laid.issues && laid.issues.length > 0) return [...laid.issues];
    const outer = laid.frames.at(-1);
    const walled = outer?.inside !== undefined;
    const framed = of.faceWidth !== undefined && of.rabbetWidth !== undefined;
    const said = figuresOf(laid.figures)
      .filter(({ key }) => SAID.includes(key))
      .map((figure) => [figure.key, figure.unit === 'length' ? sum.say(figure.value) : sum.saySize(figure.value)]);
    return {
      ...(laid.matted ? { opening: sum.saySize(laid.matted.opening) } : {}),
      ...(walled
        ? { inside: sum.saySize(outer.inside!), outside: sum.saySize(outer.outside) }
        : { package: sum.saySize(laid.package) }),
      ...(outer?.rabbet && (framed || !UNFRAMED.includes(code)) ? { rabbet: sum.saySize(outer.rabbet) } : {}),
      ...(outer?.rabbet && framed ? { sight: sum.saySize(outer.sight), outside: sum.saySize(outer.outside) } : {}),
      ...(laid.matted && laid.matted.layers.length > 1
        ? { layersTopToBottom: laid.matted.layers.map((layer) => sum.saySize(layer.opening)) }
        : {}),
      ...Object.fromEntries(said),
      ...OWN[code]?.(laid, of, given, sum),
    };
  },
});
