import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Calendar, addDays, addMinutes, firstOpenDay, hoursOn, nextOpen, weekdayOf } from './calendar';

const WEEK: Calendar = {
  open: {
    mon: ['09:00', '17:00'],
    tue: ['09:00', '17:00'],
    wed: ['09:00', '17:00'],
    thu: ['09:00', '17:00'],
    fri: ['09:00', '15:30'],
    sat: null,
  },
  closed: ['2026-12-25', '2026-12-28'],
};

describe('the calendar of the shop', () => {
  it('knows the weekday of a day, over leap days and years', () => {
    expect(['2026-12-07', '2028-02-29', '2027-01-01', '2026-11-29'].map(weekdayOf)).toEqual([
      'mon',
      'tue',
      'fri',
      'sun',
    ]);
    expect([addDays('2028-02-28', 2), addDays('2026-12-31', 1), addDays('2027-01-01', -1)]).toEqual([
      '2028-03-01',
      '2027-01-01',
      '2026-12-31',
    ]);
  });

  it('is closed on weekdays that are not named, on those that are null, and on closures', () => {
    expect(hoursOn(WEEK, '2026-12-07')).toEqual(['09:00', '17:00']);
    expect(['2026-12-12', '2026-12-13', '2026-12-25'].map((day) => hoursOn(WEEK, day))).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });

  it.each([
    ['before opening', '2026-12-07T08:59', '2026-12-07T09:00'],
    ['at opening', '2026-12-07T09:00', '2026-12-07T09:00'],
    ['while open', '2026-12-07T12:34', '2026-12-07T12:34'],
    ['a minute before closing', '2026-12-07T16:59', '2026-12-07T16:59'],
    ['at closing', '2026-12-07T17:00', '2026-12-08T09:00'],
    ['on a Friday that closes sooner', '2026-12-11T15:30', '2026-12-14T09:00'],
    ['over a closure, a weekend and another closure', '2026-12-24T22:00', '2026-12-29T09:00'],
  ])('opens next %s', (_when, moment, open) => {
    expect(nextOpen(WEEK, moment)).toBe(open);
  });

  it('never opens when no weekday is named, and says so instead of looking for ever', () => {
    const never: Calendar = { open: {}, closed: [] };
    expect([firstOpenDay(never, '2026-12-07'), nextOpen(never, '2026-12-07T09:00')]).toEqual([undefined, undefined]);
  });

  it('gives moments that are open, never before what was asked, and the same again when asked at them', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 900_000 }), (minutes) => {
        const moment = addMinutes('2026-01-01T00:00', minutes);
        const open = nextOpen(WEEK, moment)!;
        const [from, to] = hoursOn(WEEK, open.slice(0, 10))!;
        expect(open >= moment && open.slice(11) >= from && open.slice(11) < to).toBe(true);
        expect(nextOpen(WEEK, open)).toBe(open);
      }),
      { seed: 16, numRuns: 300 },
    );
  });
});
