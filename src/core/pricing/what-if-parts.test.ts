import { describe, expect, it } from 'vitest';
import { money } from '../units/money';
import { CHANGES, type WhatIf, stepOf, together } from './what-if-parts';

describe('the distribution', () => {
  // Bounds belong to the step that begins with them; what stays as it is begins at 0.
  it.each([
    [10_000, 7_499, 0],
    [10_000, 7_500, 1],
    [10_000, 9_499, 4],
    [10_000, 9_500, 5],
    [10_000, 9_999, 5],
    [10_000, 10_000, 6],
    [10_000, 10_499, 6],
    [10_000, 10_500, 7],
    [10_000, 12_499, 10],
    [10_000, 12_500, 11],
    [10_000, 90_000, 11],
    [0, 0, 6],
    [0, 1, 11],
  ])('puts %i that become %i into step %i', (before, after, step) =>
    expect(stepOf({ before: money(before), after: money(after) })).toBe(step),
  );
});

it('adds the parts of a question, and keeps the twenty that change most of both', () => {
  const part = (first: number, off: number): WhatIf => ({
    orders: 15,
    left: 1,
    before: money(1000),
    after: money(1100),
    most: Array.from({ length: 15 }, (_, index) => ({
      number: first + index,
      customer: '',
      before: money(100),
      after: money(100 + off + index),
    })),
    spread: Array.from({ length: CHANGES.length + 1 }, (_, index) => index),
  });
  const whole = together(part(2000, 10), part(1000, 20));
  expect([whole.orders, whole.left, whole.before, whole.after]).toEqual([30, 2, 2000, 2200]);
  expect(whole.most).toHaveLength(20);
  expect(whole.most[0]!.after).toBe(134);
  // The same change twice: the smaller number first.
  expect(whole.most.filter(({ after }) => after === 124).map(({ number }) => number)).toEqual([1004, 2014]);
  expect(whole.spread).toEqual(Array.from({ length: 12 }, (_, index) => 2 * index));
});
