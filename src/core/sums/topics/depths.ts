/** Depth, weight, hanging, joining, fitting, screws and pins, and what surrounds a job. */
import { z } from 'zod';
import { sheetKg, squareMetres } from '../../builds/layers';
import { canvasKg } from '../../builds/layers';
import { firing } from '../../cautions/cautions';
import { DENSITY } from '../../materials';
import { hangingOf, hookOver, sawtooths } from '../../parts/hanging';
import {
  KEYS,
  boxInner,
  canvasWrap,
  crossbar,
  dustCover,
  hinges,
  joining,
  pointsOnSide,
  roughLength,
  tapeRound,
} from '../../fixings/joining';
import { pinsThrough, screwFor, screwsOnSide } from '../../fixings/screws';
import { braceOn, bumperOn, holdOf } from '../../fixings/corners';
import { hangerFixing } from '../../fixings/hangers';
import { railOf } from '../../fixings/rail';
import { verdictOf } from '../../parts/stack';
import { mouldingKg, mouldingLimitKg } from '../../parts/weight';
import { type Length, type Size, grow, inches, length, minus, mm, plus, size, times } from '../../units/length';
import { div, mustDecimal, rational, toDecimal } from '../../units/rational';
import { L, type Sum, figure, sizeL, topic, unitL } from '../sum';

/** Depths are in millimetres whatever the unit (R31). */
const deep = (measure: Length) => `${measure / 320} mm`;
const kilos = (of: number, places = 3) => `${of.toFixed(places)} kg`;
const extent = size(inches(1), inches(1));

export const depth = topic({
  title: 'Depth',
  body: z.strictObject({
    unit: unitL,
    rabbetDepth: L,
    stack: z.array(z.strictObject({ part: z.string().max(60).optional(), thickness: L })).max(40),
    fastenerRoom: L,
  }),
  answer: (given, sum) => {
    const fastenerRoom = sum.len('fastenerRoom', given.fastenerRoom, sum.settings.fastenerRoom);
    const settings = { ...sum.settings, fastenerRoom };
    const total = plus(
      ...given.stack.map((layer, index) => sum.len(`stack.${index}.thickness`, layer.thickness, mm(1))),
    );
    const room = minus(sum.len('rabbetDepth', given.rabbetDepth, mm(10)), total);
    const loose = verdictOf(room, settings) === 'loose';
    return {
      stack: deep(total),
      room: deep(room),
      fires: firing({ room, stack: total }, settings, ['depth-proud', 'depth-tight', 'depth-loose']),
      ...(room < 0 ? { proud: deep(times(room, -1)) } : {}),
      ...(loose ? { fillerUpTo: deep(minus(room, fastenerRoom)) } : {}),
    };
  },
});

const weighed = z.strictObject({
  material: z.enum([
    'glass',
    'acrylic',
    'mat board',
    'foam board',
    'hardboard',
    'MDF',
    'corrugated',
    'paper',
    'canvas on bars',
    'wood moulding',
    'aluminium section',
    'object',
    'garment',
  ]),
  w: L,
  h: L,
  thickness: L,
  window: sizeL,
  outside: sizeL,
  faceWidth: L,
  height: L,
  profileArea: figure,
  density: figure,
  weighed: figure,
  count: z.int().min(1).max(1000).optional(),
});
const SHEETS = {
  glass: DENSITY.glass,
  acrylic: DENSITY.acrylic,
  'mat board': DENSITY.mat,
  'foam board': DENSITY.foam,
  hardboard: DENSITY.hardboard,
  MDF: DENSITY.mdf,
  corrugated: DENSITY.corrugated,
} as const;

function partKg(part: z.output<typeof weighed>, path: string, sum: Sum): number {
  const { material } = part;
  const of = size(sum.len(`${path}.w`, part.w, inches(1)), sum.len(`${path}.h`, part.h, inches(1)));
  if (material === 'object' || material === 'garment') return Number(sum.number(`${path}.weighed`, part.weighed, '0'));
  if (material === 'paper') return squareMetres(of) * DENSITY.paperPerSquareMetre;
  if (material === 'canvas on bars') return canvasKg(of);
  if (material === 'wood moulding' || material === 'aluminium section') {
    const area = Number(sum.number(`${path}.profileArea`, part.profileArea, '0'));
    const density = Number(sum.number(`${path}.density`, part.density, '0'));
    return mouldingKg(sum.area(`${path}.outside`, part.outside) ?? of, {
      material: material === 'wood moulding' ? 'wood' : 'metal',
      faceWidth: sum.len(`${path}.faceWidth`, part.faceWidth, inches(1)),
      height: sum.len(`${path}.height`, part.height, inches(1)),
      ...(area > 0 ? { profileArea: area } : {}),
      ...(density > 0 ? { density } : {}),
    });
  }
  const thickness = sum.len(`${path}.thickness`, part.thickness, mm(1.4));
  const window = sum.area(`${path}.window`, part.window);
  const hole = window ? sheetKg(window, thickness, SHEETS[material]) : 0;
  return sheetKg(of, thickness, SHEETS[material]) - hole;
}

export const weight = topic({
  title: 'Weight',
  body: z.strictObject({
    unit: unitL,
    parts: z.array(weighed).max(100),
    moulding: z.strictObject({ faceWidth: L, height: L, rated: figure }).optional(),
  }),
  answer: (given, sum) => {
    const parts = given.parts.map((part, index) => (part.count ?? 1) * partKg(part, `parts.${index}`, sum));
    const total = parts.reduce((all, kg) => all + kg, 0);
    const wood = given.moulding;
    const rated = wood && Number(sum.number('moulding.rated', wood.rated, '0'));
    const limit =
      wood &&
      mouldingLimitKg({
        faceWidth: sum.len('moulding.faceWidth', wood.faceWidth, inches(1)),
        height: sum.len('moulding.height', wood.height, inches(1)),
        ...(rated ? { rated } : {}),
      });
    return {
      parts: parts.map((kg) => kilos(kg)),
      weight: kilos(total),
      shownKg: (Math.round(total * 10 + 1e-9) / 10).toFixed(1),
      ...(limit === undefined
        ? {}
        : {
            mouldingLimit: kilos(limit),
            fires: firing({ weight: total, mouldingLimit: limit }, sum.settings, ['moulding-weak']),
          }),
    };
  },
});

export const hanging = topic({
  title: 'Wire, rings and the hook',
  body: z.strictObject({
    unit: unitL,
    outside: sizeL,
    faceWidth: L,
    inset: L,
    ringDrop: z.union([z.enum(['third', 'quarter']), L]).optional(),
    slack: figure,
    tail: L,
    weight: figure,
    ratingsStocked: z.array(figure).max(40).optional(),
    wallCard: z.boolean().optional(),
    eyeLine: L,
    wireDrop: L,
    sawtooth: z.boolean().optional(),
    noWire: z.boolean().optional(),
  }),
  answer: (given, sum) => {
    const outside = sum.area('outside', given.outside) ?? extent;
    const eyeLine = sum.len('eyeLine', given.eyeLine, sum.settings.eyeLine);
    const kg = Number(sum.number('weight', given.weight, '0'));
    const drop = sum.some('wireDrop', given.wireDrop);
    if (drop !== undefined) return { hookHeight: sum.say(hookOver(eyeLine, outside.h, drop)) };
    if (given.sawtooth) {
      const count = sawtooths(outside.w, kg, sum.settings);
      const share = div(rational(2), rational(count));
      const each = mustDecimal(sum.number('weight', given.weight, '0'));
      return {
        sawtooths: count,
        ratingNeededEach: `${toDecimal({ n: each.n * share.n, d: each.d * share.d }, 3)} kg`,
      };
    }
    const insets =
      given.inset === undefined
        ? sum.len('faceWidth', given.faceWidth, inches(1))
        : times(sum.len('inset', given.inset, mm(1)), 2);
    const named = given.ringDrop === undefined || given.ringDrop === 'third' || given.ringDrop === 'quarter';
    const part = /^(\d{1,2})\/(\d{1,3}) of the height$/.exec(String(given.ringDrop ?? ''));
    const fraction = part && ([Number(part[1]), Number(part[2])] as [number, number]);
    const rings = named
      ? ((given.ringDrop ?? 'third') as 'third' | 'quarter')
      : fraction && fraction[0] > 0 && fraction[0] < fraction[1]
        ? { fraction }
        : { distance: sum.len('ringDrop', given.ringDrop as string, inches(4)) };
    const percent = mustDecimal(sum.number('slack', given.slack, '5'));
    const slack = toDecimal({ n: percent.n, d: percent.d * 100n }, 6);
    if (slack === '0') return [{ code: 'slack-wrong', path: 'slack', figures: { typed: String(given.slack) } }];
    const ratings = given.ratingsStocked?.map((each, index) =>
      Number(sum.number(`ratingsStocked.${index}`, each, '0')),
    );
    const settings = {
      ...sum.settings,
      eyeLine,
      tail: sum.len('tail', given.tail, sum.settings.tail),
      ...(ratings ? { ringRatings: ratings } : {}),
    };
    const by = given.noWire ? 'hooks' : 'wire';
    const hanging = hangingOf({ rings, slack, by }, outside, { insets }, kg, settings, sum.log)!;
    if (given.noWire) return { hooksApart: sum.say(hanging.span), hookHeight: sum.say(hanging.hookHeight) };
    const fires = firing(
      {
        outside,
        hung: 'wire',
        ringDrop: hanging.ringDrop,
        rise: hanging.rise,
        ...(given.weight === undefined ? {} : { weight: kg }),
        ...(ratings && given.weight !== undefined
          ? { ratingNeeded: hanging.ringKg, hangerFound: hanging.choose !== undefined }
          : {}),
      },
      settings,
      ['no-wire', 'hanger-weak', 'wire-shows'],
    );
    return {
      ringDrop: sum.mm2(hanging.ringDrop),
      span: sum.mm2(hanging.span),
      workingLength: sum.mm2(hanging.workingLength),
      cutLength: sum.mm2(hanging.wireCut),
      rise: sum.mm2(hanging.rise),
      wireDrop: sum.mm2(hanging.wireDrop),
      ...(given.weight === undefined ? {} : { pull: kilos(hanging.pullKg, 2), ratingNeeded: kilos(hanging.ringKg, 2) }),
      ...(ratings && given.weight !== undefined
        ? { choose: hanging.choose === undefined ? null : `${hanging.choose} kg` }
        : {}),
      fires,
      ...(given.wallCard || given.eyeLine !== undefined
        ? { hookHeight: sum.mm2(hookOver(eyeLine, outside.h, hanging.wireDrop)) }
        : {}),
    };
  },
});

export const joiningTopic = topic({
  title: 'Joining',
  body: z.strictObject({
    unit: unitL,
    height: L,
    faceWidth: L,
    outside: sizeL,
    weight: figure,
    panes: z.int().min(0).max(4).optional(),
  }),
  answer: (given, sum) => {
    const joint = joining(
      sum.len('height', given.height, mm(20)),
      sum.len('faceWidth', given.faceWidth, mm(25)),
      sum.area('outside', given.outside) ?? extent,
      Number(sum.number('weight', given.weight, '0')),
      given.panes ?? 1,
      sum.settings,
    );
    return {
      wedge: joint.wedge === undefined ? null : deep(joint.wedge),
      ...(joint.stacked === 2 ? { stacked: 2 } : {}),
      placesPerCorner: joint.placesPerCorner,
      braces: joint.braces,
    };
  },
});

export const fitting = topic({
  title: 'Fitting',
  body: z.strictObject({ unit: unitL, package: sizeL, outside: sizeL }),
  answer: (given, sum) => {
    const pack = sum.area('package', given.package) ?? extent;
    const outside = sum.area('outside', given.outside);
    const [w, h] = [pointsOnSide(pack.w, sum.settings), pointsOnSide(pack.h, sum.settings)];
    return {
      pointsPerSide: { w, h },
      points: 2 * (w + h),
      tape: sum.say(tapeRound(pack)),
      ...(outside ? { dustCover: sum.saySize(dustCover(outside, sum.settings)) } : {}),
    };
  },
});

/** Millimetres to a hundredth, half up, of `parts` of a length. */
const hundredths = (measure: Length, parts = 1): number => Math.floor((measure * 100) / (320 * parts) + 0.5) / 100;
export const fixings = topic({
  title: 'What may go into a rail',
  body: z.strictObject({
    unit: unitL,
    faceWidth: L,
    rabbetWidth: L,
    widened: L,
    height: L,
    rating: figure,
  }),
  answer: (given, sum) => {
    const rail = railOf(
      {
        faceWidth: sum.len('faceWidth', given.faceWidth, inches(1)),
        rabbetWidth: sum.len('rabbetWidth', given.rabbetWidth, inches(0, 1, 4)),
        height: sum.len('height', given.height, inches(1)),
      },
      sum.len('widened', given.widened, length(0)),
    );
    const hanger = hangerFixing(rail, Number(sum.number('rating', given.rating, '10')), sum.unit);
    const { hole } = hanger ?? {};
    const brace = braceOn(rail);
    const bumper = bumperOn(rail);
    return {
      solid: hundredths(rail.solid),
      inset: hanger ? hundredths(hanger.insets, 2) : null,
      gauge: hanger?.gauge ?? null,
      screws: hanger && hole ? hanger.screws : null,
      length: hole ? sum.say(hole.length) : null,
      stop: hole ? hundredths(hole.stop) : null,
      brace: brace ? { width: hundredths(brace.width), inset: hundredths(brace.free, 2) } : null,
      bumper: bumper === undefined ? null : hundredths(bumper),
      hold: holdOf(rail),
    };
  },
});

export const screwsAndPins = topic({
  title: 'Screws and pins',
  body: z.strictObject({
    unit: unitL,
    floor: L,
    riser: L,
    bar: L,
    screw: L,
    side: L,
    strip: L,
    faceWidth: L,
    rabbetWidth: L,
    stripLength: L,
  }),
  answer: (given, sum) => {
    const { settings } = sum;
    const [floor, bar] = [sum.some('floor', given.floor), sum.some('bar', given.bar)];
    const riser = sum.len('riser', given.riser, length(0));
    const screw = sum.some('screw', given.screw);
    const side = sum.some('side', given.side);
    const strip = sum.some('strip', given.strip);
    const wall = minus(sum.len('faceWidth', given.faceWidth, mm(20)), sum.len('rabbetWidth', given.rabbetWidth, mm(5)));
    const range = floor !== undefined && bar !== undefined ? screwFor(floor, riser, bar, settings) : undefined;
    const pins =
      strip === undefined
        ? undefined
        : pinsThrough(strip, wall, sum.len('stripLength', given.stripLength, mm(300)), settings);
    return {
      ...(range
        ? {
            atLeast: sum.say(range.atLeast),
            atMost: sum.say(range.atMost),
            recommend: range.recommend === undefined ? null : sum.say(range.recommend),
          }
        : {}),
      ...(range && screw !== undefined
        ? { fires: firing({ screw, floor: floor!, riser, bar: bar! }, settings, ['screw-through', 'screw-short']) }
        : {}),
      ...(side === undefined ? {} : { screwsOnSide: screwsOnSide(side, settings) }),
      ...(pins ? { pinAtLeast: sum.say(pins.atLeast), pinAtMost: sum.say(pins.atMost), pinsPerStrip: pins.count } : {}),
    };
  },
});

export const jobs = topic({
  title: 'Hinges, boxes, canvas',
  body: z.strictObject({
    unit: unitL,
    pieceWidth: L,
    outside: sizeL,
    padding: L,
    box: z.boolean().optional(),
    piece: sizeL,
    barDepth: L,
    longPoints: z.array(L).max(24).optional(),
    roughAllowance: L,
  }),
  answer: (given, sum) => {
    const { settings } = sum;
    const width = sum.some('pieceWidth', given.pieceWidth);
    const outside = sum.area('outside', given.outside);
    const piece: Size | undefined = sum.area('piece', given.piece);
    const bar = sum.some('barDepth', given.barDepth);
    const wrap = bar === undefined ? undefined : canvasWrap(bar, settings);
    const more = sum.len('roughAllowance', given.roughAllowance, settings.roughAllowance);
    return {
      ...(width === undefined ? {} : { hinges: hinges(width, settings) }),
      ...(outside
        ? { boxInner: sum.saySize(boxInner(outside, sum.len('padding', given.padding, settings.padding))) }
        : {}),
      ...(wrap === undefined ? {} : { wrap: sum.say(wrap) }),
      ...(piece && wrap !== undefined
        ? { canvasCut: sum.saySize(grow(piece, times(wrap, 2))), keys: KEYS, crossbar: crossbar(piece, settings) }
        : {}),
      ...(given.longPoints
        ? {
            roughLengths: given.longPoints.map((each, index) =>
              sum.say(roughLength(sum.len(`longPoints.${index}`, each, mm(1)), more)),
            ),
          }
        : {}),
    };
  },
});
