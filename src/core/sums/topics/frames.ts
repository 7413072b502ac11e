/** The size chain, legs, matching frames, frames in frames, polygons and the saw. */
import { z } from 'zod';
import { layered } from '../../builds/lay-ups';
import { mattedIssues } from '../../builds/matting';
import { firing } from '../../cautions/cautions';
import { newDesign } from '../../design/design';
import { borderSides, fitted, fits, underLip } from '../../sizing/borders';
import { frameSizes, legsOf } from '../../sizing/frame';
import { widened } from '../../sizing/mats';
import { packageOfSeat, widening } from '../../sizing/match';
import { polygon, sawError } from '../../sizing/polygon';
import {
  type Length,
  type Sides,
  type Size,
  grow,
  halve,
  inches,
  larger,
  length,
  minus,
  mm,
  plus,
  size,
  times,
} from '../../units/length';
import { mul, rational, roundHalfUp } from '../../units/rational';
import { L, type Sum, figure, sidesL, sizeL, topic, unitL } from '../sum';
import { aJob, aMoulding } from '../stand-ins';

const SIDES = ['left', 'right', 'top', 'bottom'] as const;

export const sizeChain = topic({
  title: 'Size chain',
  body: z.strictObject({
    unit: unitL,
    piece: z.union([z.strictObject({ w: L, h: L }), z.strictObject({ top: L, bottom: L, left: L, right: L })]),
    edge: z.enum(['covered', 'floated', 'part', 'no mat']).optional(),
    overlap: L,
    floatGap: L,
    opening: sizeL,
    place: z.strictObject({ left: L, top: L }).optional(),
    border: sidesL,
    allowance: L,
    faceWidth: L,
    rabbetWidth: L,
  }),
  answer: (given, sum) => {
    const { settings } = sum;
    const edge = given.edge ?? 'covered';
    const of = given.piece as Record<string, string>;
    const measured = (key: string, text: string) => sum.len(`piece.${key}`, of[key] ?? of[text], inches(1));
    const [top, bottom] = [measured('w', 'top'), measured('bottom', 'w')];
    const [left, right] = [measured('h', 'left'), measured('right', 'h')];
    const border = sum.edges('border', given.border);
    const opening = sum.area('opening', given.opening);
    const wood = {
      faceWidth: sum.len('faceWidth', given.faceWidth, inches(1)),
      rabbetWidth: sum.len('rabbetWidth', given.rabbetWidth, inches(0, 1, 4)),
    };
    const overlap = sum.len('overlap', given.overlap, settings.overlap);
    const gap = sum.len('floatGap', given.floatGap, settings.floatGap);
    const place = {
      left: sum.len('place.left', given.place?.left, length(0)),
      top: sum.len('place.top', given.place?.top, length(0)),
    };
    const start = newDesign(settings, { mat: '', moulding: '', glazing: '', backing: '' }, top, left);
    const job = aJob(sum, aMoulding(wood), {
      ...start,
      piece: { ...start.piece, width2: bottom, height2: right },
      mats: edge === 'no mat' ? [] : [{ board: { code: '' }, reveal: length(0) }],
      window: {
        overlap,
        ...(edge === 'floated' ? { floatGap: gap } : {}),
        ...(edge === 'part' && opening ? { opening: { ...opening, ...place } } : {}),
      },
      border: border ? { mode: 'four', ...border } : start.border,
      frame: { ...start.frame, allowance: sum.len('allowance', given.allowance, settings.allowance) },
    });
    const laid = layered(job);
    const wrong = laid.matted ? mattedIssues(job, laid.matted) : [];
    if (wrong.length > 0) return wrong;
    const frame = laid.frames[0]!;
    const difference = larger(length(Math.abs(top - bottom)), length(Math.abs(left - right)));
    // The smaller half of an odd allowance lies left and at the top (R10).
    const [less, more] = halve(job.design.frame.allowance);
    const half = (side: (typeof SIDES)[number]) => (side === 'left' || side === 'top' ? less : more);
    const mat = laid.matted;
    const under = mat?.sheetUnder;
    return {
      ...(mat ? { opening: sum.saySize(mat.opening) } : {}),
      ...(under ? { sheetUnder: sum.saySides(under), accepted: SIDES.every((side) => under[side] >= overlap) } : {}),
      package: sum.saySize(laid.package),
      rabbet: sum.saySize(frame.rabbet!),
      sight: sum.saySize(frame.sight),
      outside: sum.saySize(frame.outside),
      ...(mat
        ? {
            visibleBorder: sum.saySides(
              Object.fromEntries(
                SIDES.map((side) => [side, minus(mat.border[side], minus(wood.rabbetWidth, half(side)))]),
              ) as unknown as Sides,
            ),
          }
        : {}),
      unitedSize: sum.say(plus(laid.package.w, laid.package.h)),
      ...(difference > settings.squareTolerance
        ? { differenceSaid: true }
        : 'top' in of
          ? { differenceSaid: false }
          : {}),
    };
  },
});

const sayLegs = (sum: Sum, legs: ReturnType<typeof legsOf>) =>
  legs.map(({ count, longPoint, rabbetLength, shortPoint }) => ({
    count,
    longPoint: sum.say(longPoint),
    ...(rabbetLength === undefined ? {} : { rabbetLength: sum.say(rabbetLength) }),
    shortPoint: sum.say(shortPoint),
  }));

/** `7 1/4 ft` or `2.7 m`. */
function sold(charged: Length, step: Length, sum: Sum): string {
  const per = sum.unit === 'in' ? 'ft' : 'm';
  const unitLength = per === 'ft' ? inches(12) : mm(1000);
  const steps = Math.ceil(charged / step);
  if (per === 'm')
    return `${Number(roundHalfUp(mul(rational(steps * step, unitLength), rational(10_000)))) / 10_000} m`;
  const whole = length(steps * step);
  const feet = Math.floor(whole / unitLength);
  const rest = rational(whole - feet * unitLength, unitLength);
  const fraction = rest.n === 0n ? '' : `${rest.n}/${rest.d}`;
  return `${[feet === 0 ? '' : String(feet), fraction].filter(Boolean).join(' ') || '0'} ft`;
}

export const legsAndLengthCharged = topic({
  title: 'Legs and length charged',
  body: z.strictObject({ unit: unitL, rabbet: sizeL, faceWidth: L, rabbetWidth: L, sellingStep: L }),
  answer: (given, sum) => {
    const rabbet = sum.area('rabbet', given.rabbet) ?? size(inches(10), inches(10));
    const wood = {
      faceWidth: sum.len('faceWidth', given.faceWidth, inches(1)),
      rabbetWidth: sum.len('rabbetWidth', given.rabbetWidth, inches(0, 1, 4)),
    };
    const of = frameSizes(rabbet, length(0), wood, sum.log);
    const step = sum.len('sellingStep', given.sellingStep, sum.unit === 'in' ? inches(3) : mm(100));
    return {
      legs: sayLegs(sum, legsOf('frame', '', of.outside, of.rabbet, of.sight, sum.settings.cuttingStep)),
      lengthCharged: sum.say(of.lengthCharged),
      lengthChargedRounded: sold(of.lengthCharged, length(Math.max(1, step)), sum),
    };
  },
});

export const frameInFrameAndFillet = topic({
  title: 'Frame in frame, fillet',
  body: z.strictObject({
    unit: unitL,
    package: sizeL,
    frames: z
      .array(z.strictObject({ faceWidth: L, rabbetWidth: L, allowance: L }))
      .max(6)
      .optional(),
    opening: sizeL,
    filletLip: L,
    filletFaceWidth: L,
    border: sidesL,
  }),
  answer: (given, sum) => {
    const pack = sum.area('package', given.package);
    let inside = pack ?? size(inches(1), inches(1));
    const frames = (given.frames ?? []).map((frame, index) => {
      const path = `frames.${index}`;
      const of = frameSizes(
        inside,
        sum.len(`${path}.allowance`, frame.allowance, sum.settings.allowance),
        {
          faceWidth: sum.len(`${path}.faceWidth`, frame.faceWidth, inches(1)),
          rabbetWidth: sum.len(`${path}.rabbetWidth`, frame.rabbetWidth, inches(0, 1, 4)),
        },
        sum.log,
        `sizes.frames.${index}`,
      );
      const said = {
        package: sum.saySize(inside),
        rabbet: sum.saySize(of.rabbet),
        sight: sum.saySize(of.sight),
        outside: sum.saySize(of.outside),
      };
      inside = of.outside;
      return said;
    });
    const opening = sum.area('opening', given.opening);
    const border = sum.edges('border', given.border);
    const lip = sum.some('filletLip', given.filletLip);
    const face = sum.some('filletFaceWidth', given.filletFaceWidth);
    const layer = opening && lip !== undefined ? widened({ opening, border: border ?? ZERO }, lip) : undefined;
    return {
      ...(pack && frames.length > 0 ? { framesInnerToOuter: frames } : {}),
      ...(layer ? { matWindow: sum.saySize(layer.opening), filletSight: sum.saySize(opening!) } : {}),
      ...(opening && face !== undefined ? { filletLongPoint: sum.saySize(grow(opening, times(face, 2))) } : {}),
      ...(opening && border
        ? {
            package: sum.saySize(
              size(plus(opening.w, border.left, border.right), plus(opening.h, border.top, border.bottom)),
            ),
          }
        : {}),
      ...(layer && border ? { matBorder: sum.saySides(layer.border) } : {}),
    };
  },
});
const ZERO: Sides = { left: length(0), right: length(0), top: length(0), bottom: length(0) };

export const sameOutsideSize = topic({
  title: 'Same outside size',
  body: z.strictObject({ unit: unitL, outside: sizeL, faceWidth: L, rabbetWidth: L, package: sizeL, allowance: L }),
  answer: (given, sum) => {
    const outside = sum.area('outside', given.outside) ?? size(inches(1), inches(1));
    const pack = sum.area('package', given.package) ?? size(inches(1), inches(1));
    const allowance = sum.len('allowance', given.allowance, sum.settings.allowance);
    const wood = {
      faceWidth: sum.len('faceWidth', given.faceWidth, inches(1)),
      rabbetWidth: sum.len('rabbetWidth', given.rabbetWidth, inches(0, 1, 4)),
    };
    const of = (key: 'w' | 'h') => widening(outside[key], { package: pack[key], allowance }, wood);
    const found = { w: of('w'), h: of('h') };
    const say = (widening: ReturnType<typeof of>) => ({
      rabbetHave: sum.say(widening.rabbetHave),
      does: widening.does,
      ...(widening.does === 'widen' ? { x: sum.say(widening.x), wood: sum.say(widening.wood) } : {}),
      ...(widening.does === 'make up' ? { makeUp: sum.say(widening.makeUp) } : {}),
    });
    return {
      w: say(found.w),
      h: say(found.h),
      fires: firing({ widening: found }, sum.settings, ['rabbet-widen-no', 'rabbet-widen-weak']),
    };
  },
});

export const customersFrame = topic({
  title: 'A frame the customer brings',
  body: z.strictObject({
    unit: unitL,
    seat: z.strictObject({ top: L, bottom: L, left: L, right: L }),
    allowance: L,
    opening: sizeL,
    fitted: z.enum(['centred', 'bottom-heavy', 'optical']).optional(),
    ratio: z.tuple([z.int().positive(), z.int().positive()]).optional(),
    piece: sizeL,
    irreplaceable: z.boolean().optional(),
  }),
  answer: (given, sum) => {
    const seat = sum.seat(given.seat);
    const pack = packageOfSeat(seat, sum.len('allowance', given.allowance, sum.settings.allowance));
    const opening = sum.area('opening', given.opening);
    const piece = sum.area('piece', given.piece);
    const how = given.fitted ?? 'centred';
    const border = opening && fitted(pack, opening, how, given.ratio);
    return {
      package: sum.saySize(pack),
      ...(border ? (fits(border, how) ? { border: sum.saySides(border) } : { refused: true }) : {}),
      ...(piece
        ? {
            fits: piece.w <= pack.w && piece.h <= pack.h,
            fires: firing({ irreplaceable: given.irreplaceable ?? false, piece, packageMost: pack }, sum.settings, [
              'trim-original',
            ]),
          }
        : {}),
    };
  },
});

export const polygons = topic({
  title: 'Polygons',
  body: z.strictObject({
    unit: unitL,
    sides: z.int(),
    side: L,
    acrossFlats: L,
    inscribedRadius: L,
    faceWidth: L,
    rabbetWidth: L,
  }),
  answer: (given, sum) => {
    const side = sum.some('side', given.side);
    const radius = sum.some('inscribedRadius', given.inscribedRadius);
    const across = sum.some('acrossFlats', given.acrossFlats) ?? (radius === undefined ? undefined : times(radius, 2));
    const outcome = polygon(
      {
        sides: given.sides,
        ...(side ? { side } : {}),
        ...(across ? { acrossFlats: across } : {}),
        faceWidth: sum.len('faceWidth', given.faceWidth, inches(1)),
        rabbetWidth: sum.len('rabbetWidth', given.rabbetWidth, inches(0, 1, 4)),
      },
      sum.log,
    );
    if (!outcome.ok) return outcome.issues;
    return {
      ...(side ? {} : { side: sum.mm2(outcome.value.side) }),
      blade: `${Number(outcome.value.blade.toFixed(4))}°`,
      longPoint: sum.mm2(outcome.value.longPoint),
      shortPoint: sum.mm2(outcome.value.shortPoint),
      lengthCharged: sum.mm2(outcome.value.lengthCharged),
    };
  },
});

export const sawErrors = topic({
  title: 'A saw that is a little off',
  body: z.strictObject({ unit: unitL, sides: z.int().min(3).max(12), error: figure, gapAllowed: L, faceWidth: L }),
  answer: (given, sum) => {
    const allowed = sum.len('gapAllowed', given.gapAllowed, mm(0.1));
    const face = sum.len('faceWidth', given.faceWidth, inches(1));
    const of = sawError(given.sides, face, Number(sum.number('error', given.error, '0')), allowed / 320);
    return {
      ...(given.error === undefined
        ? {}
        : {
            closes: `${Number(of.closes.toFixed(4))}°`,
            gap: `${of.gapMm.toFixed(2)} mm`,
            eachCornerOpens: `${Number((2 * Number(sum.number('error', given.error, '0'))).toFixed(4))}°`,
          }),
      mitreFaceLength: `${of.mitreFaceLengthMm.toFixed(2)} mm`,
      errorAllowed: `${of.errorAllowed.toFixed(4)}°`,
    };
  },
});

export const borders = topic({
  title: 'Borders',
  body: z.strictObject({
    unit: unitL,
    opening: sizeL,
    package: sizeL,
    fitted: z.enum(['centred', 'bottom-heavy', 'optical']).optional(),
    ratio: z.tuple([z.int().positive(), z.int().positive()]).optional(),
    top: L,
    sides: L,
    bottom: L,
    extra: L,
    all: L,
    visibleBorder: L,
    rabbetWidth: L,
    allowance: L,
  }),
  answer: (given, sum) => {
    const { settings } = sum;
    const seen = sum.some('visibleBorder', given.visibleBorder);
    if (seen !== undefined) {
      const lip = underLip(
        sum.len('rabbetWidth', given.rabbetWidth, inches(0, 1, 4)),
        sum.len('allowance', given.allowance, settings.allowance),
      );
      return { border: sum.say(plus(seen, lip)) };
    }
    const opening: Size = sum.area('opening', given.opening) ?? size(inches(1), inches(1));
    const pack = sum.area('package', given.package);
    if (pack) {
      const how = given.fitted ?? 'centred';
      const border = fitted(pack, opening, how, given.ratio);
      return fits(border, how) ? { border: sum.saySides(border) } : { refused: true };
    }
    const all = sum.len('top', given.top ?? given.all, settings.border);
    const sides = sum.len('sides', given.sides, all);
    const extra =
      given.bottom === undefined
        ? sum.len('extra', given.extra, given.all === undefined ? settings.bottomExtra : length(0))
        : undefined;
    const bottom = extra === undefined ? sum.len('bottom', given.bottom, all) : plus(all, extra);
    const border = borderSides({ mode: 'four', left: sides, right: sides, top: all, bottom }, opening, length(0));
    return {
      border: sum.saySides(border),
      package: sum.saySize(
        size(plus(opening.w, border.left, border.right), plus(opening.h, border.top, border.bottom)),
      ),
    };
  },
});
