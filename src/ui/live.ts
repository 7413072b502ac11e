'use client';
/**
 * Hears what changed elsewhere. Whatever happened while no line was open (while the page was on its way, in the
 * background, or cut off) is not told again, so everything is looked at anew when one opens. A page in the background
 * keeps no line: a browser opens only a few to one shop, and many tabs would leave none for anything else.
 */
import { useEffect, useRef } from 'react';

export interface ChangeEvent {
  readonly what: string;
  readonly touched: readonly string[];
}

/** Calls `then` when something that `cares` names was touched, and whenever a line to the shop has opened. */
export function useLive(cares: (touched: readonly string[]) => boolean, then: () => void): void {
  const latest = useRef({ cares, then });
  useEffect(() => {
    latest.current = { cares, then };
  });
  useEffect(() => {
    let source: EventSource | undefined;
    const follow = () => {
      source?.close();
      source = undefined;
      if (document.hidden) return;
      // It connects again by itself when the line breaks.
      source = new EventSource('/api/live');
      source.onopen = () => latest.current.then();
      source.onmessage = (event: MessageEvent<string>) => {
        const { touched } = JSON.parse(event.data) as ChangeEvent;
        if (latest.current.cares(touched)) latest.current.then();
      };
    };
    follow();
    document.addEventListener('visibilitychange', follow);
    return () => {
      document.removeEventListener('visibilitychange', follow);
      source?.close();
    };
  }, []);
}
