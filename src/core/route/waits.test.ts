import { describe, expect, it } from 'vitest';
import type { Calendar } from '../schedule/calendar';
import { nextStep } from './state';
import type { StepKey, Wait } from './steps';
import { type DoneStep, waitingFor } from './waits';

const NINE_TO_FIVE = ['09:00', '17:00'] as const;
const calendar: Calendar = {
  open: { mon: NINE_TO_FIVE, tue: NINE_TO_FIVE, wed: NINE_TO_FIVE, thu: NINE_TO_FIVE, fri: NINE_TO_FIVE },
  closed: [],
};
const minutes = { 'glue cure': 720, dry: 1440, press: 60 } as const;
const done = (step: StepKey, doneAt: string, waits: Wait | null = null): DoneStep => ({
  step,
  state: 'done',
  waits,
  doneAt,
});
const todo = (step: StepKey): DoneStep => ({ step, state: 'todo', waits: null, doneAt: null });
const JOINED = (at: string): DoneStep[] => [
  done('materials-here', '2026-12-04T09:00'),
  done('cut-legs', '2026-12-04T10:00'),
  done('join', at, 'glue cure'),
  todo('cut-mats'),
  todo('mount'),
  todo('fit'),
];

describe('waits by the clock', () => {
  it('run through the night, and the step is free when the shop opens', () => {
    expect(waitingFor('fit', JOINED('2026-12-07T16:00'), '2026-12-07T16:01', minutes, calendar)).toEqual({
      after: 'join',
      for: 'glue cure',
      until: '2026-12-08T04:00',
      free: '2026-12-08T09:00',
    });
  });

  it('run through the weekend: glued on Friday, free on Monday', () => {
    const waiting = waitingFor('fit', JOINED('2026-12-04T16:00'), '2026-12-04T16:30', minutes, calendar);
    expect([waiting?.until, waiting?.free]).toEqual(['2026-12-05T04:00', '2026-12-07T09:00']);
  });

  it.each([
    ['a minute before it is over', '2026-12-08T03:59', true],
    ['when it is over', '2026-12-08T04:00', false],
    ['a minute after', '2026-12-08T04:01', false],
  ])('keep a step waiting %s: %s', (_when, now, waits) => {
    expect(waitingFor('fit', JOINED('2026-12-07T16:00'), now, minutes, calendar) !== undefined).toBe(waits);
  });

  it('keep nothing waiting that does not rest on them, and nothing that is open for another reason', () => {
    const steps = JOINED('2026-12-07T16:00');
    for (const step of ['cut-mats', 'mount', 'join'] as const)
      expect(waitingFor(step, steps, '2026-12-07T16:01', minutes, calendar)).toBeUndefined();
  });

  it('of two waits say the one that ends last', () => {
    const steps = [done('finish', '2026-12-07T09:00', 'dry'), done('mount', '2026-12-07T15:30', 'press'), todo('fit')];
    expect(waitingFor('fit', steps, '2026-12-07T16:00', minutes, calendar)?.after).toBe('finish');
    const other = [done('finish', '2026-12-06T15:31', 'dry'), done('mount', '2026-12-07T15:30', 'press'), todo('fit')];
    expect(waitingFor('fit', other, '2026-12-07T15:31', minutes, calendar)?.after).toBe('mount');
  });

  it('let what does not wait go first', () => {
    const steps: DoneStep[] = [
      done('materials-here', '2026-12-07T09:00'),
      done('cut-legs', '2026-12-07T10:00'),
      done('join', '2026-12-07T11:00', 'glue cure'),
      todo('finish'),
      todo('cut-mats'),
    ];
    const waiting = (step: StepKey) => waitingFor(step, steps, '2026-12-07T12:00', minutes, calendar) !== undefined;
    expect([nextStep(steps), nextStep(steps, waiting)]).toEqual(['finish', 'cut-mats']);
    expect(nextStep(steps.slice(0, 4), waiting)).toBe('finish');
  });
});
