/** Time as the shop lives it. Passed in, so that the demo and the tests can say when it is. */
export interface Clock {
  now(): Date;
}
export const systemClock: Clock = { now: () => new Date() };

/** The minute of the shop's own clock, as `2026-12-03T14:05`. */
export function momentOf(at: Date): string {
  const two = (value: number) => String(value).padStart(2, '0');
  return `${dayOf(at)}T${two(at.getHours())}:${two(at.getMinutes())}`;
}

/** The calendar day in the shop's own time zone, as `2026-12-03`. */
export function dayOf(at: Date): string {
  const two = (value: number) => String(value).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/** A calendar day so many days after another. */
export const daysLater = (day: string, days: number): string => dayOf(daysAfter(new Date(`${day}T12:00:00`), days));

export function daysAfter(at: Date, days: number): Date {
  const then = new Date(at);
  then.setDate(then.getDate() + days);
  return then;
}
