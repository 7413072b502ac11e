/**
 * Rings, wire and the hook in the wall. The wire's rise needs a square root: it is taken on whole numbers, and
 * rounded once to the nearest unit (R2). Source: handbook, depth and hanging, "Hangers and wire"; R36, R52, R54.
 */
import type { HangingChoice } from '../design/common';
import { type HangerFixing, hangerFixing, sawtoothFixing } from '../fixings/hangers';
import type { Rail } from '../fixings/rail';
import type { Settings } from '../settings';
import { type Length, type Size, halve, length, minus, plus, times } from '../units/length';
import { add, mul, mustDecimal, rational, roundHalfUp, sub } from '../units/rational';
import { type WorkingsLog, kilograms, ofNumber } from '../working';

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
  readonly by: 'wire' | 'hooks' | 'sawtooth';
  /** What each hook or sawtooth carries at most, twice over; and how many there are. */
  readonly hooks: { readonly count: number; readonly kg: number };
  /** From the top edge down to where the hook catches, however it hangs. */
  readonly hookDrop: Length;
  /** Between two hooks in the wall; undefined where one is enough. */
  readonly apart?: Length;
  /** The screws that hold each hanger; absent where no wood is known. */
  readonly fixing?: HangerFixing;
  /** The wood is too narrow or too thin for hangers of that rating. */
  readonly noWood?: true;
}

const nearest = (value: number): Length => length(Math.floor(value + 0.5));

/** The whole part of a square root, exactly. */
function wholeRoot(of: bigint): bigint {
  let root = BigInt(Math.floor(Math.sqrt(Number(of))));
  while (root * root > of) root -= 1n;
  while ((root + 1n) * (root + 1n) <= of) root += 1n;
  return root;
}
const ONE = rational(1);
/** `(span/2)·√((1+s)² − 1)` and `span·(1+s)`, to the nearest unit, half up. Source: handbook, "Hangers and wire". */
export function wireOver(span: Length, slack: string): { rise: Length; working: Length } {
  const longer = add(ONE, mustDecimal(slack));
  const square = sub(mul(longer, longer), ONE);
  const fourfold = (BigInt(span) * BigInt(span) * square.n) / square.d;
  return {
    rise: length(Number((wholeRoot(fourfold) + 1n) / 2n)),
    working: length(Number(roundHalfUp(mul(rational(span), longer)))),
  };
}

function ringDropOf(rings: HangingChoice['rings'], height: Length, log: WorkingsLog): Length {
  if (typeof rings === 'object' && 'fraction' in rings) {
    const [part, whole] = rings.fraction;
    return log.note(
      'hanging.ringDrop',
      'rings below the top',
      'outside height × part ÷ whole',
      { 'outside height': height, part: ofNumber(part), whole: ofNumber(whole) },
      nearest((height * part) / whole),
    );
  }
  if (typeof rings === 'object')
    return log.note(
      'hanging.ringDrop',
      'rings below the top',
      'distance',
      { distance: rings.distance },
      rings.distance,
    );
  const part = rings === 'quarter' ? 4 : 3;
  return log.note(
    'hanging.ringDrop',
    'rings below the top',
    `outside height ÷ ${part}`,
    { 'outside height': height },
    nearest(height / part),
  );
}

/** One sawtooth at the centre of a narrow or light frame, else two, each rated for its share twice over. */
export const sawtooths = (width: Length, kg: number, settings: Pick<Settings, 'sawtoothOne' | 'sawtoothKg'>): number =>
  width <= settings.sawtoothOne || kg < settings.sawtoothKg ? 1 : 2;

/** Hook over the floor: the frame's middle at the eye line, the hook `drop` under its top edge. */
export const hookOver = (eyeLine: Length, height: Length, drop: Length): Length => nearest(eyeLine + height / 2 - drop);

/** Two hooks on the frame, or rings for a wire. */
export const hooksOrRings = ({ by, noWire }: Pick<Hanging, 'by' | 'noWire'>): 'hooks' | 'rings' =>
  by === 'hooks' || noWire ? 'hooks' : 'rings';

/** What hangers are fixed to. */
export interface HangsOn {
  /** How far both together stand in from the outside: as the build says, or where no wood is known. */
  readonly insets: Length;
  /** They stand there whatever the wood: on an inner wall. */
  readonly fixed?: boolean;
  /** The wood; absent where it is a channel, or not known. */
  readonly rails?: { readonly side: Rail; readonly cross: Rail } | undefined;
  /** How far in the middle of the wood lies at that height, both sides together: a frame of other than four sides. */
  readonly insetsAt?: (drop: Length, inset: Length) => Length;
}

/** How the hangers are fixed where they are known to go; `insets` where they would stand. */
function standing(
  { insets, fixed = false, rails, insetsAt }: HangsOn,
  choice: HangingChoice,
  rating: number,
  drop: Length,
  { homeUnit, sawtoothDrop, sawtoothPlate }: Settings,
): { readonly insets: Length; readonly fixing?: HangerFixing; readonly noWood?: true } {
  if (!rails) return { insets };
  if (choice.by === 'sawtooth') {
    const fixing = sawtoothFixing(
      rails.cross,
      { drop: sawtoothDrop, plate: choice.plate ?? sawtoothPlate },
      rating,
      homeUnit,
    );
    return fixing ? { insets, fixing } : { insets, noWood: true };
  }
  const fixing = hangerFixing(rails.side, rating, homeUnit, choice.fitting === 'screw eye');
  const wanted = fixed ? insets : (fixing?.insets ?? rails.side.solid);
  return {
    insets: insetsAt ? insetsAt(drop, halve(wanted)[0]) : wanted,
    ...(fixing?.hole ? { fixing } : { noWood: true }),
  };
}

/** Undefined when the design asks for no hanging. */
export function hangingOf(
  choice: HangingChoice,
  outside: Size,
  on: HangsOn,
  kg: number,
  settings: Settings,
  log: WorkingsLog,
): Hanging | undefined {
  if (choice.rings === 'none') return undefined;
  const by = choice.by ?? 'wire';
  const noWire =
    by === 'wire' && (kg > settings.noWireKg || (outside.w > settings.noWireWide.width && kg > settings.noWireWide.kg));
  const count = by === 'sawtooth' ? sawtooths(outside.w, kg, settings) : 2;
  const slack = Number(choice.slack);
  const ringDrop = ringDropOf(choice.rings, outside.h, log);
  const lever = Math.sqrt((1 + slack) ** 2 - 1);
  const pullKg = (kg * (1 + slack)) / (2 * lever);
  const ringKg = settings.safety * pullKg;
  const needed = by === 'wire' ? ringKg : (settings.safety * kg) / count;
  const choose = settings.ringRatings.find((rating) => rating >= needed);
  const { insets, ...fixed } = standing(on, choice, choose ?? needed, ringDrop, settings);
  const span = log.note(
    'hanging.span',
    'between the rings',
    'outside width − insets of both rings',
    { 'outside width': outside.w, 'insets of both rings': insets },
    minus(outside.w, insets),
  );
  const wire = wireOver(span, choice.slack);
  const inputs = { 'between the rings': span, slack: ofNumber(choice.slack) };
  const rise = log.note(
    'hanging.rise',
    'rise of the wire',
    'between the rings ÷ 2 × square root of ((1 + slack) × (1 + slack) − 1)',
    inputs,
    wire.rise,
  );
  const workingLength = log.note(
    'hanging.workingLength',
    'wire between the rings',
    'between the rings × (1 + slack)',
    inputs,
    wire.working,
  );
  const pulled = { weight: kilograms(kg), slack: ofNumber(choice.slack) };
  log.number(
    'hanging.pullKg',
    'pull at each ring',
    () => ({
      formula: 'weight × (1 + slack) ÷ (2 × square root of ((1 + slack) × (1 + slack) − 1))',
      inputs: pulled,
    }),
    kilograms(pullKg),
  );
  log.number(
    'hanging.ringKg',
    'each ring rated for',
    () => ({
      formula: 'safety × pull',
      inputs: { safety: ofNumber(settings.safety), pull: kilograms(pullKg) },
    }),
    kilograms(ringKg),
  );
  const wireDrop = log.note(
    'hanging.wireDrop',
    'hook below the top',
    'rings below the top − rise of the wire',
    { 'rings below the top': ringDrop, 'rise of the wire': rise },
    minus(ringDrop, rise),
  );
  const hookDrop =
    by === 'sawtooth'
      ? log.note(
          'hanging.sawtoothDrop',
          'plate below the top',
          'sawtooth drop',
          { 'sawtooth drop': settings.sawtoothDrop },
          settings.sawtoothDrop,
        )
      : by === 'wire' && !noWire
        ? wireDrop
        : ringDrop;
  // Two plates stand a quarter in from each side; two hooks where the rings are.
  const apart =
    by === 'sawtooth' ? (count === 2 ? halve(outside.w)[0] : undefined) : by === 'hooks' || noWire ? span : undefined;
  return {
    ringDrop,
    span,
    workingLength,
    wireCut: log.note(
      'hanging.wireCut',
      'wire to cut',
      'wire between the rings + 2 × tail',
      { 'wire between the rings': workingLength, tail: settings.tail },
      plus(workingLength, times(settings.tail, 2)),
    ),
    rise,
    wireDrop,
    hookHeight: log.note(
      'hanging.hookHeight',
      'hook over the floor',
      'eye line + outside height ÷ 2 − hook below the top',
      { 'eye line': settings.eyeLine, 'outside height': outside.h, 'hook below the top': hookDrop },
      hookOver(settings.eyeLine, outside.h, hookDrop),
    ),
    pullKg,
    ringKg,
    ...(choose === undefined ? {} : { choose }),
    ...fixed,
    wireShows: by === 'wire' && rise >= ringDrop - settings.wireHidden,
    noWire,
    by,
    hooks: { count, kg: (settings.safety * kg) / count },
    hookDrop,
    ...(apart === undefined ? {} : { apart }),
  };
}
