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

async function answered<T>(url: string, signal: AbortSignal): Promise<T> {
  const answer = await ask<T>(url, { signal });
  if (!answer.ok) throw new NotAnswered(answer.issues);
  return answer.value;
}

export interface View<T> {
  readonly view: T;
  readonly refresh: () => Promise<T | undefined>;
}

/** A view that did not come with the page: undefined until it is there. */
export function useLateView<T>(url: string, cares: readonly string[]): T | undefined {
  return useQuery<T>({ queryKey: [url], meta: { cares }, queryFn: ({ signal }) => answered<T>(url, signal) }).data;
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
    queryFn: ({ signal }) => answered<T>(url, signal),
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
