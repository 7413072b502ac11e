/** Opening hours as people write them: `9-17`, `9:00–17:30`, `closed`. */
import { type Hours, WEEKDAYS, type Weekday } from '@/core/schedule/calendar';
import { type Issue, issue } from '@/core/issue';

type Week = Readonly<Record<Weekday, Hours | null>>;
export type TypedWeek = Record<Weekday, string>;

const SPAN = /^(\d{1,2})(?:[:.](\d{2}))?\s*(?:-|–|—|to|until)\s*(\d{1,2})(?:[:.](\d{2}))?$/i;
const two = (text: string) => text.padStart(2, '0');

/** The hours that were typed; null for a closed day, undefined when it cannot be read. */
export function readHours(text: string): Hours | null | undefined {
  const plain = text.trim();
  if (plain === '' || /^closed$/i.test(plain)) return null;
  const [, from, fromMinutes = '00', to, toMinutes = '00'] = SPAN.exec(plain) ?? [];
  if (from === undefined || to === undefined) return undefined;
  if (Number(from) > 23 || Number(to) > 23 || Number(fromMinutes) > 59 || Number(toMinutes) > 59) return undefined;
  return [`${two(from)}:${fromMinutes}`, `${two(to)}:${toMinutes}`];
}

const short = (time: string) => time.replace(/^0/, '');
export const hoursText = (hours: Hours | null): string => (hours ? `${short(hours[0])}–${short(hours[1])}` : 'closed');
export const typedWeek = (week: Week): TypedWeek =>
  Object.fromEntries(WEEKDAYS.map((day) => [day, hoursText(week[day])])) as TypedWeek;

/** The week that was typed, or what is wrong beside each day. */
export function readWeek(typed: TypedWeek): { readonly week: Week } | { readonly wrong: readonly Issue[] } {
  const read = WEEKDAYS.map((day) => [day, readHours(typed[day])] as const);
  const wrong = read.flatMap(([day, hours]) => {
    if (hours === undefined) return [issue('time-wrong', { read: typed[day] }, day)];
    return hours && hours[0] >= hours[1] ? [issue('hours-backwards', {}, day)] : [];
  });
  if (wrong.length > 0) return { wrong };
  if (read.every(([, hours]) => hours === null)) return { wrong: [issue('never-open', {}, 'mon')] };
  return { week: Object.fromEntries(read) as Record<Weekday, Hours | null> };
}
