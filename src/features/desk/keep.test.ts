// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { begin } from '@/core/design/edit';
import { shopView } from '../../../tests/shop';
import { newDraft } from './draft';
import { type Kept, forget, keep, keeper, kept } from './keep';

const fresh = newDraft(shopView, '2031-05-05');
const draft = (version: number): Kept => ({ history: begin(fresh), active: 0, base: null, version });
const sent: { url: string; body: { version: number; draft: unknown }; keepalive: boolean }[] = [];

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  sent.length = 0;
  vi.stubGlobal('fetch', (url: string, init: RequestInit) => {
    sent.push({ url, body: JSON.parse(String(init.body)), keepalive: init.keepalive === true });
    return Promise.resolve(new Response('{}'));
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('what is typed', () => {
  it('is kept here at once, and in the shop a second later, the last of it only', () => {
    const hands = keeper('new', 'ada');
    hands.put(draft(1));
    hands.put(draft(2));
    vi.advanceTimersByTime(149);
    expect(kept('new', 'ada')).toBeUndefined();
    vi.advanceTimersByTime(1);
    expect(kept('new', 'ada')?.version).toBe(2);
    expect(sent).toEqual([]);
    vi.advanceTimersByTime(849);
    expect(sent).toEqual([]);
    vi.advanceTimersByTime(1);
    expect(sent.map(({ url, body }) => [url, body.version])).toEqual([['/api/drafts/new', 2]]);
    hands.stop();
    expect(sent).toHaveLength(1);
  });

  it('is kept when the page goes away, by a request that outlives it', () => {
    const hands = keeper('new', 'ada');
    hands.put(draft(7));
    window.dispatchEvent(new Event('pagehide'));
    expect(kept('new', 'ada')?.version).toBe(7);
    expect(sent.map(({ body, keepalive }) => [body.version, keepalive])).toEqual([[7, true]]);
    hands.stop();
  });

  it('is forgotten here and there', () => {
    const hands = keeper('new', 'ada');
    hands.put(draft(3));
    vi.advanceTimersByTime(200);
    hands.forget(3);
    vi.advanceTimersByTime(2000);
    expect(kept('new', 'ada')).toBeUndefined();
    expect(sent.map(({ body }) => body.draft)).toEqual([null]);
    hands.stop();
  });
});

describe('what this browser has', () => {
  it('is read as 0.3.0 kept it, and not when it is no draft', () => {
    localStorage.setItem(
      'lopren.desk.new',
      JSON.stringify({ version: 1, history: begin(fresh), active: 0, base: null }),
    );
    expect(kept('new', 'ada')?.version).toBe(1);
    localStorage.setItem('lopren.desk.new', '{"history":{"now":{}}}');
    expect(kept('new', 'ada')).toBeUndefined();
    localStorage.setItem('lopren.desk.new', 'not json');
    expect(kept('new', 'ada')).toBeUndefined();
  });

  it('holds the last sixty steps of undo', () => {
    const past = Array.from({ length: 80 }, (_, index) => [{ path: ['promised'], from: index, to: index + 1 }]);
    keep('x', 'ada', { ...draft(1), history: { now: fresh, past, future: past } as never });
    const { history } = kept('x', 'ada')!;
    expect([history.past.length, history.future.length]).toEqual([60, 60]);
    forget('x', 'ada');
    expect(kept('x', 'ada')).toBeUndefined();
  });
});
