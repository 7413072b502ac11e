/**
 * Frames of three to twelve equal sides, and what a saw that is a little off does to them. Tangents are exact to
 * thirty places and the one rounding is at the end. Source: handbook, sizes, "Polygons" and "A saw that is a little
 * off"; rulings R12, R22, R23.
 */
import { type Issue, type Outcome, bad, good, issue } from '../issue';
import { type Length, length, minus, plus, times, toMm } from '../units/length';
import type { WorkingsLog } from '../working';

const SCALE = 10n ** 30n;
/** tan(180°/n), times 10^30. */
const TANGENT: Readonly<Record<number, bigint>> = {
  3: 1732050807568877293527446341506n,
  4: SCALE,
  5: 726542528005360885895466757481n,
  6: 577350269189625764509148780502n,
  7: 481574618807528644332162353057n,
  8: 414213562373095048801688724210n,
  9: 363970234266202361351047882777n,
  10: 324919696232906326155871412215n,
  11: 293626492938366714018789360781n,
  12: 267949192431122706472553658494n,
};
export const SIDES = { least: 3, most: 12 } as const;

/** `value × tan(180°/n)`, to the nearest unit, half up. */
export const timesTangent = (value: Length, sides: number): Length =>
  length(Number((2n * BigInt(value) * TANGENT[sides]! + SCALE) / (2n * SCALE)));

export interface Polygon {
  readonly sides: number;
  /** Blade setting from square, in degrees. */
  readonly blade: number;
  /** Along the rabbet. */
  readonly side: Length;
  readonly longPoint: Length;
  readonly shortPoint: Length;
  readonly lengthCharged: Length;
}
export interface PolygonGiven {
  readonly sides: number;
  readonly side?: Length;
  /** Across the flats of the rabbet; for an odd number of sides the diameter of the inscribed circle. */
  readonly acrossFlats?: Length;
  readonly faceWidth: Length;
  readonly rabbetWidth: Length;
}

/** Legs of a regular polygon, or why there is none. */
export function polygon(given: PolygonGiven, log: WorkingsLog): Outcome<Polygon> {
  const { sides, faceWidth, rabbetWidth } = given;
  if (!Number.isInteger(sides) || sides < SIDES.least || sides > SIDES.most)
    return bad(issue('polygon-sides', { sides }, 'sides'));
  if (given.side === undefined && given.acrossFlats === undefined) return bad(issue('polygon-size', {}, 'side'));
  const tangent = { kind: 'number', value: String(Number(TANGENT[sides]!) / 1e30) } as const;
  const side =
    given.side ??
    log.note(
      'polygon.side',
      'side along the rabbet',
      'across the flats × tangent',
      { 'across the flats': given.acrossFlats!, tangent },
      timesTangent(given.acrossFlats!, sides),
    );
  const longPoint = log.note(
    'polygon.longPoint',
    'long point',
    'side + 2 × (face width − rabbet width) × tangent',
    { side, 'face width': faceWidth, 'rabbet width': rabbetWidth, tangent },
    plus(side, timesTangent(times(minus(faceWidth, rabbetWidth), 2), sides)),
  );
  const shortPoint = log.note(
    'polygon.shortPoint',
    'short point',
    'side − 2 × rabbet width × tangent',
    { side, 'rabbet width': rabbetWidth, tangent },
    minus(side, timesTangent(times(rabbetWidth, 2), sides)),
  );
  const issues: Issue[] = [];
  if (rabbetWidth >= faceWidth) issues.push(issue('rabbet-wider-than-face', { rabbet: rabbetWidth, face: faceWidth }));
  if (shortPoint <= 0) issues.push(issue('frame-closes', { rabbet: rabbetWidth }, 'side'));
  if (issues.length > 0) return bad(...issues);
  const lengthCharged = log.note(
    'polygon.lengthCharged',
    'moulding charged',
    'sides × (side + 2 × face width × tangent)',
    { sides: { kind: 'number', value: String(sides) }, side, 'face width': faceWidth, tangent },
    plus(times(side, sides), timesTangent(times(faceWidth, 2 * sides), sides)),
  );
  return good({ sides, blade: 180 / sides, side, longPoint, shortPoint, lengthCharged });
}

/** The corners of a regular polygon that stands on one of its sides, round the middle, y downwards; `inner` is the radius of its inscribed circle. */
export function polygonPoints(sides: number, inner: number): [x: number, y: number][] {
  const outer = inner / Math.cos(Math.PI / sides);
  return Array.from({ length: sides }, (_, index): [number, number] => {
    const angle = Math.PI / 2 + (Math.PI / sides) * (2 * index + 1);
    return [outer * Math.cos(angle), outer * Math.sin(angle)];
  });
}

export interface SawError {
  /** Degrees the last corner is out when every cut errs the same way. */
  readonly closes: number;
  readonly mitreFaceLengthMm: number;
  /** Gap at the last corner, in millimetres. */
  readonly gapMm: number;
  /** Degrees a cut may be off for the allowed gap. */
  readonly errorAllowed: number;
}

/** The worst case: errors of one sign, all left to the last corner. Angles in degrees, the gap in millimetres. */
export function sawError(sides: number, faceWidth: Length, error: number, gapAllowedMm: number): SawError {
  const mitreFaceLengthMm = toMm(faceWidth) / Math.cos(Math.PI / sides);
  const closes = 2 * sides * error;
  const radians = Math.PI / 180;
  return {
    closes,
    mitreFaceLengthMm,
    gapMm: mitreFaceLengthMm * closes * radians,
    errorAllowed: gapAllowedMm / mitreFaceLengthMm / radians / (2 * sides),
  };
}
