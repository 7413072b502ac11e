'use client';
/**
 * Hears what changed elsewhere, over one line for the whole page. Whatever happened while no line was open (while the
 * page was on its way, in the background, or cut off) is not told again, so everything is looked at anew when one
 * opens. A page in the background keeps no line: a browser opens only a few to one shop.
 */
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { lookAgain, lookOnce } from './fresh';

export interface ChangeEvent {
  readonly what: string;
  readonly touched: readonly string[];
  readonly id?: string;
}
type Hear = (event: ChangeEvent | 'opened') => void;
const hearers = new Set<Hear>();

/** Opens the line, and has every view asked again whose data was touched. Stands once, round all places. */
export function LiveLine() {
  const client = useQueryClient();
  useEffect(() => {
    const fresh: Hear = (event) => {
      if (event === 'opened') void lookAgain(client);
      else void lookOnce(event.id, client, event.touched);
    };
    hearers.add(fresh);
    let source: EventSource | undefined;
    const tell = (event: ChangeEvent | 'opened') => {
      for (const hear of hearers) hear(event);
    };
    const follow = () => {
      source?.close();
      source = undefined;
      if (document.hidden) return;
      // It connects again by itself when the line breaks.
      source = new EventSource('/api/live');
      source.onopen = () => tell('opened');
      source.onmessage = (message: MessageEvent<string>) => tell(JSON.parse(message.data) as ChangeEvent);
    };
    follow();
    document.addEventListener('visibilitychange', follow);
    return () => {
      hearers.delete(fresh);
      document.removeEventListener('visibilitychange', follow);
      source?.close();
    };
  }, [client]);
  return null;
}

/** Calls `then` when something that `cares` names was touched, and whenever the line to the shop has opened. */
export function useLive(cares: (touched: readonly string[]) => boolean, then: () => void): void {
  const latest = useRef({ cares, then });
  useEffect(() => {
    latest.current = { cares, then };
  });
  useEffect(() => {
    const hear: Hear = (event) => {
      if (event === 'opened' || latest.current.cares(event.touched)) latest.current.then();
    };
    hearers.add(hear);
    return () => void hearers.delete(hear);
  }, []);
}
