import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { patient } from './patient';

describe('a part of a page that is fetched late', () => {
  let online = true;
  beforeEach(() => {
    vi.useFakeTimers();
    online = true;
    vi.spyOn(navigator, 'onLine', 'get').mockImplementation(() => online);
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.restoreAllMocks();
  });
  const fails = () => Promise.reject(new Error('nothing came'));

  it('waits for the connection, however long it is gone, and comes then', async () => {
    online = false;
    const fetch = vi.fn<() => Promise<string>>().mockImplementationOnce(fails).mockResolvedValue('the part');
    const part = patient(fetch);
    await vi.advanceTimersByTimeAsync(3_600_000);
    expect(fetch).toHaveBeenCalledTimes(1);
    online = true;
    window.dispatchEvent(new Event('online'));
    expect(await part).toBe('the part');
    expect(fetch).toHaveBeenCalledTimes(2);
  });

  it('is asked for again where the line broke for a moment', async () => {
    const fetch = vi.fn<() => Promise<string>>().mockImplementationOnce(fails).mockResolvedValue('the part');
    const part = patient(fetch);
    await vi.advanceTimersByTimeAsync(2000);
    expect(await part).toBe('the part');
  });

  it('is given up when the shop is there and has none', async () => {
    const fetch = vi.fn<() => Promise<string>>().mockImplementation(fails);
    const part = expect(patient(fetch)).rejects.toThrow('nothing came');
    await vi.advanceTimersByTimeAsync(60_000);
    await part;
    expect(fetch).toHaveBeenCalledTimes(4);
  });
});
