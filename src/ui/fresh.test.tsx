import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { afterEach, describe, expect, it } from 'vitest';
import { caresFor, lookAgain, lookOnce } from './fresh';

describe('what a view cares for', () => {
  it.each([
    [['order:7'], ['order:7'], true],
    [['order:7'], ['order:8', 'board'], false],
    [['order:7'], ['order:'], true],
    [['order'], ['order:8'], true],
    [['order:'], ['order:8'], true],
    [['order:'], ['orders'], false],
    [['customers'], ['customer:1'], false],
    [['rack', 'board'], ['board'], true],
    [[], ['board'], false],
  ] as const)('%j of %j: %s', (cares, touched, met) => expect(caresFor(cares, touched)).toBe(met));
});

describe('views on a screen', () => {
  const stops: (() => void)[] = [];
  afterEach(() => {
    for (const stop of stops.splice(0)) stop();
  });
  /** A screen with three views; how often each was asked. */
  const screen = () => {
    const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
    const asked: Record<string, number> = {};
    for (const care of ['order:7', 'board', 'rack']) {
      asked[care] = 0;
      const queryFn = () => {
        asked[care]! += 1;
        return Promise.resolve(asked[care]);
      };
      const seen = new QueryObserver(client, { queryKey: [care], meta: { cares: [care] }, queryFn, initialData: 0 });
      stops.push(seen.subscribe(() => undefined));
    }
    return { client, asked };
  };

  it('are asked again where they show what a command touched, and only there', async () => {
    const { client, asked } = screen();
    await lookAgain(client, ['order:7', 'ledger']);
    expect(asked).toEqual({ 'order:7': 1, board: 0, rack: 0 });
    await lookAgain(client);
    expect(asked).toEqual({ 'order:7': 2, board: 1, rack: 1 });
  });

  it('are asked once for a command, by its answer or over the live line, whichever comes first', async () => {
    const { client, asked } = screen();
    const [answer, told] = [lookOnce('one', client, ['board']), lookOnce('one', client, ['board'])];
    await Promise.all([answer, told]);
    await lookOnce('one', client, ['board']);
    expect(asked.board).toBe(1);
    await lookOnce('two', client, ['board']);
    await lookOnce(undefined, client, ['board']);
    expect(asked.board).toBe(3);
  });
});
