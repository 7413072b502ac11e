'use client';
/**
 * What the server shows, kept fresh: a view is asked again when something it shows was changed, here or elsewhere.
 * TanStack Query holds it, keyed by where it comes from, with what its changes are called.
 */
import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useCallback, useEffect, useState } from 'react';
import type { Issue } from '@/core/issue';
import { ask } from './send';

class NotAnswered extends Error {
  constructor(readonly issues: readonly Issue[]) {
    super(issues.map((issue) => issue.code).join(', '));
    this.name = 'NotAnswered';
  }
}

const newClient = () =>
  new QueryClient({
    defaultOptions: {
      queries: { staleTime: Infinity, gcTime: 0, retry: 1, refetchOnWindowFocus: false, refetchOnReconnect: true },
    },
  });

export function ServerState({ children }: { children: ReactNode }) {
  const [client] = useState(newClient);
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
}

export interface View<T> {
  readonly view: T;
  readonly refresh: () => Promise<T | undefined>;
}

/**
 * A view as the server has it. `first` came with the page, and is one value for as long as the page is the same; `cares` are beginnings of what changes are called, as in
 * `order:`, `rack`.
 */
export function useView<T>(url: string, first: T, cares: readonly string[]): View<T> {
  const client = useQueryClient();
  const { data } = useQuery<T>({
    queryKey: [url],
    meta: { cares },
    initialData: first,
    queryFn: async ({ signal }) => {
      const answer = await ask<T>(url, { signal });
      if (!answer.ok) throw new NotAnswered(answer.issues);
      return answer.value;
    },
  });
  // A page that was gone to again brings a newer one along.
  useEffect(() => {
    client.setQueryData([url], first);
  }, [client, url, first]);
  const refresh = useCallback(async () => {
    await client.refetchQueries({ queryKey: [url] });
    return client.getQueryData<T>([url]);
  }, [client, url]);
  return { view: data ?? first, refresh };
}
