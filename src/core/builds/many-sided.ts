/**
 * A frame of three to twelve equal sides round a package that is as wide as high, standing on one of its sides. Boards
 * and glass are cut square first, then to the shape. Source: handbook, sizes, "Polygons"; R12, R22.
 */
import { issue } from '../issue';
import type { Leg } from '../sizing/frame';
import { type Polygon, polygon, polygonPoints } from '../sizing/polygon';
import { type Length, type Size, ceilTo, minus, mm, plus, size, times, toMm } from '../units/length';
import type { LayUp, ResolvedPiece } from './build';

export const FOUR = 4;

/** As large as what stands on one side: wider or higher than across its flats where it has corners there. */
function boxRound(acrossFlats: Length, sides: number): Size {
  const points = polygonPoints(sides, toMm(acrossFlats) / 2);
  const span = (of: readonly number[]) => mm(Math.round((Math.max(...of) - Math.min(...of)) * 320) / 320);
  return size(span(points.map(([x]) => x)), span(points.map(([, y]) => y)));
}

function legOf(name: string, { sides, side, longPoint, shortPoint }: Polygon, step: Length): Leg {
  return {
    of: 'frame',
    name,
    count: sides,
    side: 'all round',
    longPoint,
    rabbetLength: side,
    shortPoint,
    cut: { longPoint: ceilTo(longPoint, step), rabbetLength: ceilTo(side, step) },
  };
}

/** The lay-up with its frame of so many sides, or why it cannot have one. */
export function inManySides(laid: LayUp, job: ResolvedPiece, sides: number): LayUp {
  const outer = laid.frames.at(-1);
  const path = 'frame.sides';
  const wrong = (code: 'sides-not-here' | 'sides-not-square') => ({
    ...laid,
    issues: [...(laid.issues ?? []), issue(code, { sides }, path)],
  });
  if (!outer?.rabbet || laid.pairs || laid.readyMade || outer.package !== laid.package) return wrong('sides-not-here');
  if (laid.package.w !== laid.package.h) return wrong('sides-not-square');
  const { moulding, log, design, settings } = job;
  const acrossFlats = plus(laid.package.w, design.frame.allowance);
  const { faceWidth, rabbetWidth } = moulding;
  const outcome = polygon({ sides, acrossFlats, faceWidth, rabbetWidth }, log);
  if (!outcome.ok)
    return { ...laid, issues: [...(laid.issues ?? []), ...outcome.issues.map((one) => ({ ...one, path }))] };
  const round = outcome.value;
  const sight = minus(acrossFlats, times(rabbetWidth, 2));
  return {
    ...laid,
    frames: [
      ...laid.frames.slice(0, -1),
      {
        ...outer,
        rabbet: size(acrossFlats, acrossFlats),
        sight: size(sight, sight),
        outside: boxRound(plus(acrossFlats, times(minus(faceWidth, rabbetWidth), 2)), sides),
        lengthCharged: round.lengthCharged,
        legs: [legOf(moulding.name, round, settings.cuttingStep)],
      },
    ],
    sides,
  };
}

/** Half of what is turned at each corner: the blade's setting from square, in degrees to a hundredth. */
export const bladeFor = (sides: number): number => Math.round(18_000 / sides) / 100;
