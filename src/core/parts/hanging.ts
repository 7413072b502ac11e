/**
 * Rings, wire and the hook in the wall. The wire's rise needs a square root: it is taken in floating point and the
 * result rounded once to the nearest unit (R2). Source: handbook, depth and hanging, "Hangers and wire"; R36, R54.
 */
import type { Design } from '../design/design';
import type { Settings } from '../settings';
import { type Length, type Size, length, minus, plus, times } from '../units/length';
import type { Notebook } from '../working';

export interface Hanging {
  readonly ringDrop: Length;
  readonly span: Length;
  readonly workingLength: Length;
  readonly wireCut: Length;
  readonly rise: Length;
  /** From the top edge down to the wire's peak, when it hangs on one hook. */
  readonly wireDrop: Length;
  /** Hook over the floor, with the middle of the frame at the eye line. */
  readonly hookHeight: Length;
  readonly pullKg: number;
  /** What each ring must be rated for. */
  readonly ringKg: number;
  /** The lightest stocked ring that is strong enough; undefined when none is. */
  readonly choose?: number;
  readonly wireShows: boolean;
  /** Too heavy, or too wide for its weight: two hooks or a cleat instead of a wire. */
  readonly noWire: boolean;
}

const nearest = (value: number): Length => length(Math.floor(value + 0.5));

function ringDropOf(rings: Design['hanging']['rings'], height: Length, book: Notebook): Length {
  if (typeof rings === 'object')
    return book.note(
      'hanging.ringDrop',
      'rings below the top',
      'distance',
      { distance: rings.distance },
      rings.distance,
    );
  const part = rings === 'quarter' ? 4 : 3;
  return book.note(
    'hanging.ringDrop',
    'rings below the top',
    `outside height ÷ ${part}`,
    { 'outside height': height },
    nearest(height / part),
  );
}

/** Undefined when the design asks for no hanging. `inset` of the rings is half the face width. */
export function hangingOf(
  choice: Design['hanging'],
  outside: Size,
  faceWidth: Length,
  kg: number,
  settings: Settings,
  book: Notebook,
): Hanging | undefined {
  if (choice.rings === 'none') return undefined;
  const slack = Number(choice.slack);
  const ringDrop = ringDropOf(choice.rings, outside.h, book);
  const span = book.note(
    'hanging.span',
    'between the rings',
    'outside width − face width',
    { 'outside width': outside.w, 'face width': faceWidth },
    minus(outside.w, faceWidth),
  );
  const lever = Math.sqrt((1 + slack) ** 2 - 1);
  const rise = nearest((span / 2) * lever);
  const workingLength = nearest(span * (1 + slack));
  const pullKg = (kg * (1 + slack)) / (2 * lever);
  const ringKg = settings.safety * pullKg;
  const wireDrop = book.note(
    'hanging.wireDrop',
    'hook below the top',
    'rings below the top − rise of the wire',
    { 'rings below the top': ringDrop, 'rise of the wire': rise },
    minus(ringDrop, rise),
  );
  return {
    ringDrop,
    span,
    workingLength,
    wireCut: book.note(
      'hanging.wireCut',
      'wire to cut',
      'wire between the rings + 2 × tail',
      { 'wire between the rings': workingLength, tail: settings.tail },
      plus(workingLength, times(settings.tail, 2)),
    ),
    rise,
    wireDrop,
    hookHeight: nearest(settings.eyeLine + outside.h / 2 - wireDrop),
    pullKg,
    ringKg,
    choose: settings.ringRatings.find((rating) => rating >= ringKg),
    wireShows: rise >= ringDrop - settings.wireHidden,
    noWire: kg > settings.noWireKg || (outside.w > settings.noWireWide.width && kg > settings.noWireWide.kg),
  };
}
