/**
 * When the shop is open. Days are texts `2026-12-07`, moments `2026-12-07T09:00`, both by the shop's own clock and
 * without a zone, so that they compare as texts. Source: handbook, promise, "What it is made from".
 */
export const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;
export type Weekday = (typeof WEEKDAYS)[number];
/** From and to, `09:00`. */
export type Hours = readonly [from: string, to: string];

export interface Calendar {
  /** A weekday that is not named is closed. */
  readonly open: Readonly<Partial<Record<Weekday, Hours | null | undefined>>>;
  /** Days closed, whatever their weekday. */
  readonly closed: readonly string[];
}

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
const msOf = (moment: string): number => Date.parse(`${moment}Z`);
const momentOfMs = (ms: number): string => new Date(ms).toISOString().slice(0, 16);

export const dayOfMoment = (moment: string): string => moment.slice(0, 10);
export const momentAt = (day: string, time: string): string => `${day}T${time}`;
export const addDays = (day: string, days: number): string =>
  new Date(Date.parse(day) + days * DAY_MS).toISOString().slice(0, 10);
export const addMinutes = (moment: string, minutes: number): string => momentOfMs(msOf(moment) + minutes * MINUTE_MS);
export const weekdayOf = (day: string): Weekday => WEEKDAYS[(new Date(Date.parse(day)).getUTCDay() + 6) % 7]!;

/** When the shop opens and closes on a day; undefined when it stays closed. */
export const hoursOn = ({ open, closed }: Calendar, day: string): Hours | undefined =>
  closed.includes(day) ? undefined : (open[weekdayOf(day)] ?? undefined);

/** As far as anything looks ahead for an open day. */
const FURTHEST_DAYS = 400;

/** The first open day from `day` on; undefined when there is none for more than a year. */
export function firstOpenDay(calendar: Calendar, day: string): string | undefined {
  for (let ahead = 0; ahead <= FURTHEST_DAYS; ahead++) {
    const next = addDays(day, ahead);
    if (hoursOn(calendar, next)) return next;
  }
  return undefined;
}

/** The first moment from `moment` on at which the shop is open; closing time itself is not. Undefined when never. */
export function nextOpen(calendar: Calendar, moment: string): string | undefined {
  const today = dayOfMoment(moment);
  const hours = hoursOn(calendar, today);
  if (hours && moment < momentAt(today, hours[1]))
    return moment > momentAt(today, hours[0]) ? moment : momentAt(today, hours[0]);
  const day = firstOpenDay(calendar, addDays(today, 1));
  return day && momentAt(day, hoursOn(calendar, day)![0]);
}
