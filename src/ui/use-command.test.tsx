// @vitest-environment happy-dom
import { act, cleanup, render, screen } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useEffect } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { letGo } from './outbox';
import type { Sent } from './send';
import { type Command, useCommand } from './use-command';

interface Request {
  readonly id: string;
  readonly name: string;
  readonly payload: unknown;
}
const asked: Request[] = [];
let answers: (() => Promise<Response>)[] = [];
const json =
  (body: unknown, status = 200) =>
  () =>
    Promise.resolve(new Response(JSON.stringify(body), { status }));
const lost = () => Promise.reject(new TypeError('no line'));
const refused = (code: string) => json({ issues: [{ code, figures: {} }] }, 409);

type Release = Command<'release', Record<string, never>>;
let command: Release;
function Screen({ onCommand }: { onCommand: (command: Release) => void }) {
  const command = useCommand('release');
  useEffect(() => {
    onCommand(command);
  });
  return (
    <p>
      {command.busy ? 'busy' : 'still'} {command.issues.map((issue) => issue.code).join(' ')}{' '}
      {command.conflict ? 'conflict' : ''}
    </p>
  );
}
const client = new QueryClient();
const show = () =>
  render(
    <QueryClientProvider client={client}>
      <Screen onCommand={(now) => (command = now)} />
    </QueryClientProvider>,
  );
const payload = { jobId: 'b3f0a1de-3c53-4f0e-9d7d-3a4c0f6f2b11', revision: 1 };
const run = async (over = {}) => {
  let sent: Sent<unknown> | undefined;
  await act(async () => {
    sent = await command.run({ ...payload, ...over });
  });
  return sent!;
};
const said = () => screen.getByText(/busy|still/).textContent?.trim();

beforeEach(() => {
  asked.length = 0;
  answers = [];
  vi.stubGlobal('fetch', (_url: string, init: RequestInit) => {
    asked.push(JSON.parse(String(init.body)) as Request);
    return answers.shift()!();
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('a command', () => {
  it('is sent once while it is on its way, however often it is tapped', async () => {
    let answer: (response: Response) => void = () => undefined;
    answers = [() => new Promise((resolve) => (answer = resolve))];
    show();
    const first = command.run(payload);
    await act(async () => undefined);
    expect(said()).toContain('busy');
    const second = await command.run(payload);
    expect(second.ok).toBe(false);
    await act(async () => {
      answer(new Response('{}'));
      await first;
    });
    expect([asked.length, said()]).toEqual([1, 'still']);
  });

  it('waits for a connection, busy, and when let go of keeps its id for the same intent', async () => {
    answers = [lost, lost, json({}), json({})];
    show();
    const first = command.run(payload);
    await act(async () => undefined);
    expect(said()).toContain('busy');
    await act(async () => {
      letGo();
      await first;
    });
    expect(said()).toContain('connection-lost');
    // Another intent, which is lost as well, and the same again.
    const second = command.run({ ...payload, revision: 2 });
    await act(async () => undefined);
    await act(async () => {
      letGo();
      await second;
    });
    const again = await run({ revision: 2 });
    await run({ revision: 2 });
    expect(again.ok).toBe(true);
    const ids = asked.map(({ id }) => id);
    expect([ids[0] === ids[1], ids[1] === ids[2], ids[2] === ids[3]]).toEqual([false, true, false]);
    expect(said()).toBe('still');
  });

  it('says what it was refused for, and that somebody was first', async () => {
    answers = [refused('job-held'), refused('job-stale'), json({})];
    show();
    await run();
    expect(said()).toBe('still job-held');
    await run();
    expect(said()).toBe('still job-stale conflict');
    await run();
    expect(said()).toBe('still');
  });

  it('is busy until what is shown is as it left it', async () => {
    let fresh: () => void = () => undefined;
    const looking = new Promise<void>((resolve) => (fresh = resolve));
    const invalidate = vi.spyOn(client, 'invalidateQueries').mockReturnValue(looking);
    answers = [json({}), json({})];
    show();
    const first = command.run(payload);
    await act(async () => new Promise((resolve) => setTimeout(resolve, 20)));
    expect([asked.length, said()]).toEqual([1, 'busy']);
    expect((await command.run(payload)).ok).toBe(false);
    await act(async () => {
      fresh();
      await first;
    });
    expect([asked.length, said()]).toEqual([1, 'still']);
    invalidate.mockRestore();
  });

  it('has what is shown asked again after it, and after a conflict, but not after another refusal', async () => {
    const invalidate = vi.spyOn(client, 'invalidateQueries');
    answers = [refused('job-held'), refused('job-stale'), json({})];
    show();
    await run();
    expect(invalidate).not.toHaveBeenCalled();
    await run();
    await run();
    expect(invalidate).toHaveBeenCalledTimes(2);
  });
});
