'use client';
/** Hears what changed elsewhere. The browser's own event source reconnects; after a gap everything is looked at again. */
import { useEffect, useRef } from 'react';

export interface Happening {
  readonly what: string;
  readonly touched: readonly string[];
}

/** Calls `then` when something that `cares` names was touched, and after a lost connection came back. */
export function useLive(cares: (touched: readonly string[]) => boolean, then: () => void): void {
  const latest = useRef({ cares, then });
  useEffect(() => {
    latest.current = { cares, then };
  });
  useEffect(() => {
    const source = new EventSource('/api/live');
    let broken = false;
    source.onmessage = (event: MessageEvent<string>) => {
      const { touched } = JSON.parse(event.data) as Happening;
      if (latest.current.cares(touched)) latest.current.then();
    };
    source.onerror = () => (broken = true);
    source.onopen = () => {
      if (broken) latest.current.then();
      broken = false;
    };
    return () => source.close();
  }, []);
}
