'use client';
/**
 * The record of a piece as it is being written: every change is kept on the server a moment later, one after the other.
 * What somebody else changed meanwhile is said; what was typed here stays until it is decided.
 */
import { useCallback, useEffect, useRef, useState } from 'react';
import type { PieceView } from '@/contract/views';
import type { PieceRecord } from '@/core/custody/record';
import type { Issue } from '@/core/issue';
import { useView } from '@/ui/query';
import { useCommand } from '@/ui/use-command';

const SOON_MS = 700;

export interface RecordHands {
  readonly view: PieceView;
  readonly record: PieceRecord;
  readonly change: (make: (record: PieceRecord) => PieceRecord) => void;
  readonly dirty: boolean;
  readonly issues: readonly Issue[];
  /** Somebody else changed it first. */
  readonly conflict: boolean;
  readonly settle: (whose: 'mine' | 'theirs') => void;
  /** Keeps what is not kept yet, now; answers whether all is. */
  readonly flush: () => Promise<boolean>;
}

export function useRecord(first: PieceView): RecordHands {
  const { view, refresh } = useView(`/api/pieces/${first.id}`, first, [`piece:${first.id}`]);
  const [record, setRecord] = useState(first.record);
  const [saved, setSaved] = useState({ record: first.record, revision: first.revision });
  const { run, issues, conflict, setIssues } = useCommand<'take-in', { revision: number }>('take-in');
  const now = useRef(record);
  const running = useRef<Promise<boolean> | undefined>(undefined);
  const dirty = record !== saved.record;

  // What others wrote is shown at once where nothing was typed here.
  if (!dirty && view.revision !== saved.revision && (view.revision ?? 0) > (saved.revision ?? 0)) {
    setSaved({ record: view.record, revision: view.revision });
    setRecord(view.record);
  }
  /** What the server has, for who waits while it changes. */
  const kept = useRef(saved);
  useEffect(() => {
    now.current = record;
    kept.current = saved;
  }, [record, saved]);

  const put = useCallback(
    async (sent: PieceRecord, revision: number | null): Promise<boolean> => {
      const answer = await run({ pieceId: first.id, revision, record: sent as never });
      if (!answer.ok) return false;
      // At once, not with the next drawing: whoever waited for this one sends the next.
      kept.current = { record: sent, revision: answer.value.revision };
      setSaved(kept.current);
      return true;
    },
    [first.id, run],
  );
  const flush = useCallback(async (): Promise<boolean> => {
    if (running.current && !(await running.current)) return false;
    if (now.current === kept.current.record) return true;
    running.current = put(now.current, kept.current.revision).finally(() => {
      running.current = undefined;
    });
    return running.current;
  }, [put]);
  const stopped = issues.length > 0;
  useEffect(() => {
    if (!dirty || stopped) return undefined;
    const timer = setTimeout(() => void flush(), SOON_MS);
    return () => clearTimeout(timer);
  }, [dirty, stopped, flush, record]);
  // Whoever goes to another page of the shop takes nothing along that is not kept.
  useEffect(() => () => void flush(), [flush]);
  useEffect(() => {
    if (!dirty) return undefined;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [dirty]);

  return {
    view,
    record,
    change: useCallback(
      (make) => {
        setIssues([]);
        setRecord(make);
      },
      [setIssues],
    ),
    dirty,
    issues,
    conflict,
    settle: (whose) => {
      void refresh().then((newest) => {
        if (!newest) return;
        setIssues([]);
        setSaved({ record: newest.record, revision: newest.revision });
        if (whose === 'theirs') setRecord(newest.record);
      });
    },
    flush,
  };
}
