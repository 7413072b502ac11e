/** Exact cases of the handbook, promise, for one person and one job. */
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { type Calendar, addDays, hoursOn } from './calendar';
import { earliest, endOf } from './earliest';

const WEEK: Calendar = {
  open: Object.fromEntries(['mon', 'tue', 'wed', 'thu', 'fri'].map((day) => [day, ['09:00', '17:00']] as const)),
  closed: [],
};
const [MONDAY, TUESDAY, FRIDAY, NEXT_MONDAY] = ['2026-12-07', '2026-12-08', '2026-12-11', '2026-12-14'];
const step = (minutes: number, waitHours = 0) => ({ minutes, wait: waitHours * 60 });

describe('when a piece can be ready', () => {
  it('works while the shop is open, waits by the clock', () => {
    expect(endOf(WEEK, `${MONDAY}T09:00`, [step(60, 12), step(60)])).toBe(`${TUESDAY}T10:00`);
    expect(endOf(WEEK, `${MONDAY}T16:30`, [step(90)])).toBe(`${TUESDAY}T10:00`);
    expect(endOf(WEEK, `${FRIDAY}T16:00`, [step(30, 24), step(30)])).toBe(`${NEXT_MONDAY}T09:30`);
    expect(endOf(WEEK, `${MONDAY}T16:00`, [step(60)])).toBe(`${MONDAY}T17:00`);
    expect(endOf(WEEK, `${MONDAY}T20:00`, [step(0)])).toBe(`${TUESDAY}T09:00`);
  });

  it('is not before what is away comes back, nor on a day that is closed', () => {
    const steps = [step(60)];
    expect(earliest(WEEK, `${MONDAY}T09:00`, [{ steps, away: 21 }])).toEqual({
      moment: '2026-12-28T09:00',
      day: '2026-12-28',
      binds: 'away',
    });
    expect(earliest({ ...WEEK, closed: ['2026-12-28'] }, `${MONDAY}T09:00`, [{ steps, away: 21 }])?.day).toBe(
      '2026-12-29',
    );
    // The longest of several is what counts.
    const two = [
      { steps: [step(480)], away: 0 },
      { steps: [step(60, 48), step(30)], away: 1 },
    ];
    expect(earliest(WEEK, `${MONDAY}T09:00`, two)).toEqual({
      moment: '2026-12-09T10:30',
      day: '2026-12-09',
      binds: 'work',
    });
    expect(earliest({ open: {}, closed: [] }, `${MONDAY}T09:00`, [{ steps, away: 0 }])).toBeUndefined();
    expect(earliest(WEEK, `${MONDAY}T09:00`, [])).toBeUndefined();
  });

  it('never ends outside the hours, and more work never ends sooner', () => {
    const steps = fc.array(fc.record({ minutes: fc.nat(900), wait: fc.nat(5000) }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(steps, fc.nat(20), fc.nat(1439), fc.nat(400), (list, day, minute, more) => {
        const now = `${addDays(MONDAY!, day)}T${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
        const end = endOf(WEEK, now, list)!;
        const hours = hoursOn(WEEK, end.slice(0, 10))!;
        expect(end.slice(11) >= hours[0] && end.slice(11) <= hours[1]).toBe(true);
        const [first, ...rest] = list;
        expect(endOf(WEEK, now, [{ ...first!, minutes: first!.minutes + more }, ...rest])! >= end).toBe(true);
      }),
      { seed: 29, numRuns: 300 },
    );
  });
});
