/**
 * The day before which a piece cannot be ready, however the shop is staffed: one person works on it whenever the shop
 * is open, waits run by the clock, work done elsewhere keeps it away. No promise before it can be kept; whether a
 * later one will be is another question. Source: handbook, promise, "The rules of the plan".
 */
import { type Calendar, addDays, addMinutes, dayOfMoment, firstOpenDay, hoursOn, momentAt, nextOpen } from './calendar';

/** What is still to be done: minutes of work, then minutes of waiting. */
export interface Remaining {
  readonly minutes: number;
  readonly wait: number;
}
export interface Earliest {
  /** When the last step ends. */
  readonly moment: string;
  readonly day: string;
  /** What makes it so late: the days it is away, or the steps with their waits. */
  readonly binds: 'away' | 'work';
}

/** `minutes` of work begun at `from`, as long as the shop is open, and on the next day where it closes. Undefined when it never opens. */
function worked(calendar: Calendar, from: string, minutes: number): string | undefined {
  let left = minutes;
  for (let at = nextOpen(calendar, from); at !== undefined; at = nextOpen(calendar, at)) {
    const closes = momentAt(dayOfMoment(at), hoursOn(calendar, dayOfMoment(at))![1]);
    const there = (Date.parse(`${closes}Z`) - Date.parse(`${at}Z`)) / 60_000;
    if (left <= there) return addMinutes(at, left);
    left -= there;
    at = closes;
  }
  return undefined;
}

/** When the steps of one piece are over, one after another; undefined when the shop never opens again. */
export function endOf(calendar: Calendar, now: string, steps: readonly Remaining[]): string | undefined {
  let at: string | undefined = now;
  let ended: string | undefined = now;
  for (const { minutes, wait } of steps) {
    if (at === undefined) return undefined;
    ended = worked(calendar, at, minutes);
    at = ended && addMinutes(ended, wait);
  }
  return ended;
}

/** The latest of several pieces, each with the days it is away for. Undefined when there is nothing to do, or never a day to do it. */
export function earliest(
  calendar: Calendar,
  now: string,
  pieces: readonly { readonly steps: readonly Remaining[]; readonly away: number }[],
): Earliest | undefined {
  let last: Earliest | undefined;
  for (const { steps, away } of pieces) {
    const moment = endOf(calendar, now, steps);
    const back = firstOpenDay(calendar, addDays(dayOfMoment(now), away));
    if (moment === undefined || back === undefined) continue;
    const day = dayOfMoment(moment);
    const one: Earliest =
      away > 0 && back > day
        ? { moment: momentAt(back, hoursOn(calendar, back)![0]), day: back, binds: 'away' }
        : { moment, day, binds: 'work' };
    if (!last || one.moment > last.moment) last = one;
  }
  return last;
}
