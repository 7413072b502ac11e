// @vitest-environment happy-dom
/** Commands that wait for a connection: sent once each by their id, in their order, over a reload too, and what became of them. */
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { commands } from '@/contract/commands';
import { SECRETS, letGo, outbox, sendOrWait } from './outbox';
import { UnitProvider } from './units';
import { Waiting } from './waiting';

interface Request {
  readonly id: string;
  readonly name: string;
}
const asked: Request[] = [];
let line = true;
/** What the shop answers to a command, by its name. */
let says: Record<string, readonly [status: number, body: unknown]> = {};
beforeEach(() => {
  vi.useFakeTimers();
  sessionStorage.clear();
  asked.length = 0;
  line = true;
  says = {};
  vi.stubGlobal('fetch', (_url: string, init: RequestInit) => {
    if (!line) return Promise.reject(new TypeError('no line'));
    const command = JSON.parse(String(init.body)) as Request;
    asked.push(command);
    const [status, body] = says[command.name] ?? [200, { did: command.name }];
    return Promise.resolve(new Response(JSON.stringify(body), { status }));
  });
});
afterEach(() => {
  cleanup();
  letGo();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const show = (who = 'ada') =>
  render(
    <UnitProvider start="in">
      <Waiting who={who} />
    </UnitProvider>,
  );
const wait = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));
const ids = () => asked.map(({ id }) => id);
const kept = () => JSON.parse(sessionStorage.getItem('lopren.outbox') ?? '[]') as Request[];

describe('a command without a connection', () => {
  it('waits, is said, and is answered by itself when there is one again', async () => {
    show();
    line = false;
    const answer = sendOrWait('a', {}, '1');
    await wait(10);
    screen.getByText(/^One change waits/);
    await wait(9000);
    line = true;
    await wait(3000);
    expect(await answer).toEqual({ ok: true, value: { did: 'a' } });
    expect(ids()).toEqual(['1']);
    expect(screen.queryByRole('status')).toBeNull();
    await wait(9000);
    expect(asked).toHaveLength(1);
  });

  it('is sent at once when the browser says that it is back, and in the order in which they were given', async () => {
    show();
    line = false;
    const answers = [sendOrWait('a', {}, '1')];
    await wait(10);
    answers.push(sendOrWait('b', {}, '2'));
    await wait(10);
    line = true;
    // While one waits, another does not overtake it.
    answers.push(sendOrWait('c', {}, '3'));
    await act(async () => void window.dispatchEvent(new Event('online')));
    await wait(10);
    await Promise.all(answers);
    expect(ids()).toEqual(['1', '2', '3']);
  });

  it('gives its refusal to whoever gave it, and lets the next go on', async () => {
    show();
    line = false;
    says = { a: [409, { issues: [{ code: 'order-stale', figures: {} }] }] };
    const [first, second] = [sendOrWait('a', {}, '1'), sendOrWait('b', {}, '2')];
    await wait(10);
    line = true;
    await wait(3000);
    expect(await first).toMatchObject({ ok: false, issues: [{ code: 'order-stale' }] });
    expect((await second).ok).toBe(true);
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('can be let go of', async () => {
    show();
    line = false;
    const answer = sendOrWait('a', {}, '1');
    await wait(10);
    fireEvent.click(screen.getByRole('button', { name: 'Do not send' }));
    expect(await answer).toMatchObject({ ok: false, lost: true });
    line = true;
    await wait(9000);
    expect([asked, kept()]).toEqual([[], []]);
  });
});

describe('after the page was loaded anew', () => {
  const left = (who: string) =>
    sessionStorage.setItem('lopren.outbox', JSON.stringify([{ id: '7', name: 'a', payload: {}, who }]));

  it('goes on with what waited, and says what was refused', async () => {
    left('ada');
    says = { a: [409, { issues: [{ code: 'order-stale', figures: {} }] }] };
    show();
    await wait(10);
    expect(ids()).toEqual(['7']);
    screen.getByText('What waited was not taken:');
    fireEvent.click(screen.getByRole('button', { name: 'Seen' }));
    expect(screen.queryByRole('status')).toBeNull();
    expect(kept()).toEqual([]);
  });

  it('does not do for one person what another gave', async () => {
    left('ada');
    show('tobin');
    await wait(9000);
    expect([ids(), kept().map(({ id }) => id)]).toEqual([[], ['7']]);
    line = false;
    void sendOrWait('b', {}, '8');
    await wait(10);
    expect(kept().map(({ id }) => id)).toEqual(['7', '8']);
    cleanup();
    line = true;
    show('ada');
    await wait(10);
    expect(ids()).toContain('7');
  });

  it('knows every payload with a secret in it', () => {
    const secret = Object.entries(commands).flatMap(([name, one]) =>
      'secret' in one ? [[name, one.secret] as const] : [],
    );
    expect(secret.length).toBeGreaterThan(5);
    for (const [name, keys] of secret) expect([name, keys.some((key) => SECRETS.includes(key))]).toEqual([name, true]);
  });

  it('has written no PIN down', async () => {
    show();
    line = false;
    void sendOrWait('a', { pin: '2417', orderId: 'x' }, '1');
    void sendOrWait('b', { orderId: 'x' }, '2');
    await wait(10);
    expect(outbox().waiting.map(({ id }) => id)).toEqual(['1', '2']);
    expect(kept().map(({ id }) => id)).toEqual(['2']);
    expect(JSON.stringify({ ...sessionStorage })).not.toContain('2417');
  });
});
