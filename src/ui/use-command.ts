'use client';
/**
 * One command from a screen: busy while it is on its way or waits for a connection, what it was refused for, and the
 * same id again when it was let go of, so that a second try does nothing twice. It is over when what is shown is as the
 * command left it: views that care for what it touched are asked again, once, before anything more can be done.
 */
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useRef, useState } from 'react';
import type { Asked, CommandName } from '@/contract/commands';
import type { Issue } from '@/core/issue';
import { fetchOutbox } from './fetch-outbox';
import { lookOnce } from './fresh';
import { type Sent, send } from './send';

export interface Command<N extends CommandName, R> {
  readonly run: (payload: Asked<N>) => Promise<Sent<R>>;
  readonly busy: boolean;
  readonly issues: readonly Issue[];
  readonly setIssues: (issues: readonly Issue[]) => void;
  /** Somebody else changed it first; what is shown is asked again meanwhile. */
  readonly conflict: boolean;
}

const isConflict = (issues: readonly Issue[]) =>
  issues.some(({ code }) => code.endsWith('-stale') || code.endsWith('-changed'));

/** What is shown may take its time; a screen waits this long for it, in ms. */
const PATIENCE = 4000;

export function useCommand<N extends CommandName, R = Record<string, never>>(name: N): Command<N, R> {
  const client = useQueryClient();
  const [busy, setBusy] = useState(false);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  /** The attempt whose answer never came. */
  const lost = useRef<{ readonly text: string; readonly id: string } | undefined>(undefined);
  const running = useRef(false);
  const run = useCallback(
    async (payload: Asked<N>): Promise<Sent<R>> => {
      if (running.current) return { ok: false, issues: [] };
      running.current = true;
      setBusy(true);
      const text = JSON.stringify(payload);
      const id = lost.current?.text === text ? lost.current.id : crypto.randomUUID();
      // Loaded since the first touch; without it a command does not wait.
      const { sendOrWait } = await fetchOutbox().catch(() => ({ sendOrWait: send }));
      const answer = await sendOrWait<R>(name, payload, id);
      lost.current = !answer.ok && answer.lost ? { text, id } : undefined;
      setIssues(answer.ok ? [] : answer.issues);
      if (answer.ok || isConflict(answer.issues))
        await Promise.race([
          lookOnce(answer.ok ? id : '', client, answer.ok ? answer.touched : undefined),
          new Promise((resolve) => setTimeout(resolve, PATIENCE)),
        ]);
      running.current = false;
      setBusy(false);
      return answer;
    },
    [client, name],
  );
  return { run, busy, issues, setIssues, conflict: isConflict(issues) };
}
