/**
 * One sum by itself: a body of texts in, the same words and number formats out. A topic reads what it is given, asks
 * the core's own functions, and says the answer; it holds no formula. What was noted on the way can be shown.
 */
import { z } from 'zod';
import { exactText } from '../units/format-length';
import { type Issue, type Outcome, bad, good } from '../issue';
import {
  type Complaint,
  LengthReader,
  type LengthText,
  lengthField,
  sidesField,
  sizeField,
} from '../public-api/reader';
import { type Settings, defaultSettings } from '../settings';
import type { Seat } from '../sizing/match';
import { type Length, type Sides, type Size, type Unit, UNITS_PER_MM, size } from '../units/length';
import { withinLimit } from '../units/money';
import { DECIMAL } from '../units/rational';
import { WorkingsLog, type Workings } from '../working';

export const L = lengthField.optional();
export const sizeL = sizeField.optional();
export const sidesL = sidesField.optional();
export const unitL = z.enum(['in', 'mm']).optional();
/** A number with its sign or unit: `5 %`, `0.25°`, `2.6 kg`. */
export const figure = z.union([z.string().max(60), z.number()]).optional();
type FigureText = z.output<typeof figure>;
type SizeText = { w: LengthText; h: LengthText };
type SidesText = { left: LengthText; right: LengthText; top: LengthText; bottom: LengthText };

/** As exact as it is: inches where they are whole in 1/64, else millimetres to the last unit. */

/** What a topic asks of its body and how it says its answer. */
export class Sum extends LengthReader {
  readonly settings: Settings;
  constructor(
    unit: Unit,
    readonly log: WorkingsLog,
  ) {
    super(unit);
    this.settings = defaultSettings(unit);
  }

  len(path: string, value: LengthText | undefined, otherwise: Length): Length {
    return this.read(path, value, otherwise, true);
  }
  some(path: string, value: LengthText | undefined): Length | undefined {
    return this.maybe(path, value, true);
  }
  area(path: string, value: SizeText | undefined): Size | undefined {
    return value && size(this.len(`${path}.w`, value.w, 1 as Length), this.len(`${path}.h`, value.h, 1 as Length));
  }
  edges(path: string, value: SidesText | undefined): Sides | undefined {
    if (!value) return undefined;
    const of = (key: keyof Sides) => this.len(`${path}.${key}`, value[key], 1 as Length);
    return { left: of('left'), right: of('right'), top: of('top'), bottom: of('bottom') };
  }
  /** A seat measured inside at both ends; an end that was not measured is as long as the other. */
  seat(given: { [K in keyof Seat]?: LengthText | undefined }): Seat {
    const of = (key: keyof Seat, other: keyof Seat) => this.len(`seat.${key}`, given[key] ?? given[other], 1 as Length);
    return {
      top: of('top', 'bottom'),
      bottom: of('bottom', 'top'),
      left: of('left', 'right'),
      right: of('right', 'left'),
    };
  }
  /** A decimal text without its unit, or a complaint. */
  number(path: string, value: FigureText, otherwise: string): string {
    if (value === undefined) return otherwise;
    const text = String(value)
      .trim()
      .replace(/\s*(%|°|kg\/m3|kg|mm2|mm²)$/, '');
    if (DECIMAL.test(text)) return text;
    this.complain(path, 'number-wrong', { typed: String(value) });
    return otherwise;
  }

  say = (measure: Length): string => exactText(measure, this.unit);
  saySize = (size: Size) => ({ w: this.say(size.w), h: this.say(size.h) });
  saySides = (sides: Sides) => ({
    left: this.say(sides.left),
    right: this.say(sides.right),
    top: this.say(sides.top),
    bottom: this.say(sides.bottom),
  });
  /** Millimetres to a hundredth, for figures that are not whole in any unit. */
  mm2 = (of: number): string => `${(of / UNITS_PER_MM).toFixed(2)} mm`;
}

export type SumFigures = Readonly<Record<string, unknown>>;
export interface Topic {
  readonly title: string;
  readonly body: z.ZodType;
  readonly answer: (given: never, sum: Sum) => SumFigures | Issue[];
}
/** Lets a topic be checked against its own body. */
export const topic = <B extends z.ZodType>(of: {
  title: string;
  body: B;
  answer: (given: z.output<B>, sum: Sum) => SumFigures | Issue[];
}): Topic => of as unknown as Topic;

export interface Summed {
  readonly answer: SumFigures;
  readonly workings: Workings;
}

/** Works one topic out; the body's shape has been checked by `topic.body`. */
export function sumUp(topic: Topic, body: { unit?: Unit }, home: Unit): Outcome<Summed> {
  const log = new WorkingsLog();
  const sum = new Sum(body.unit ?? home, log);
  const answered = withinLimit(() => topic.answer(body as never, sum));
  if (!answered.ok) return answered;
  const result = answered.value;
  if (sum.complaints.length > 0) return bad(...sum.complaints.map((complaint: Complaint): Issue => ({ ...complaint })));
  if (Array.isArray(result)) return bad(...(result as Issue[]));
  return good({ answer: result as SumFigures, workings: log.workings });
}
