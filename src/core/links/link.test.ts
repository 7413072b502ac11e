import { describe, expect, it } from 'vitest';
import { LINK_TOKEN, linkState, newToken, triesAt } from './link';

describe('a link', () => {
  it('is open, over after its days, and withdrawn whatever the day', () => {
    const expires = new Date('2031-06-04T10:00:00Z');
    expect(linkState({ expires, withdrawn: null, over: false }, new Date('2031-06-04T09:59:59Z'))).toBe('open');
    expect(linkState({ expires, withdrawn: null, over: false }, expires)).toBe('over');
    // Somebody came too late, and the clock was put back.
    expect(linkState({ expires, withdrawn: null, over: true }, new Date(1))).toBe('over');
    expect(linkState({ expires, withdrawn: new Date(0), over: false }, new Date(1))).toBe('withdrawn');
  });

  it('holds 128 random bits as signs that stand in an address, and no two are alike', () => {
    const many = new Set(Array.from({ length: 200 }, newToken));
    expect(many.size).toBe(200);
    for (const token of many) expect(token).toMatch(LINK_TOKEN);
  });

  it('counts tries of the last minute only', () => {
    expect(triesAt([0, 59_999, 60_000, 100_000], 120_000)).toEqual([100_000]);
    expect(triesAt([60_001], 120_000)).toEqual([60_001]);
  });
});
