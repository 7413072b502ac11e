'use client';
/** Holds the desk's state, and keeps it in this browser and on the server as it changes. */
import { type Dispatch, type RefObject, type SetStateAction, useEffect, useRef, useState } from 'react';
import type { KeptDraftView, OrderView } from '@/contract/views';
import type { Unit } from '@/core/units/length';
import { type DeskState, firstState, withBrowser } from './desk-state';
import type { Draft } from './draft';
import { type Keeper, keeper, kept } from './keep';

export function useKeptDraft(
  order: OrderView | null,
  mine: KeptDraftView | null,
  fresh: Draft,
  unit: Unit,
  who: string,
): [DeskState, Dispatch<SetStateAction<DeskState>>, RefObject<Keeper | undefined>] {
  const [state, setState] = useState(() => firstState(order, mine, fresh));
  const key = order?.id ?? 'new';
  const keeping = useRef<Keeper | undefined>(undefined);
  const startUnit = useRef(unit);
  // The server drew what it keeps; what this browser has is looked at when it is here.
  useEffect(() => {
    const here = kept(key, who);
    // What was typed before an order was agreed is no change of it.
    const former = order?.state === 'accepted' && here?.base !== order.revision;
    if (here && !former) setState((before) => withBrowser(before, here, order, startUnit.current));
    const hands = keeper(key, who);
    keeping.current = hands;
    return () => hands.stop();
    // Only when the page has opened: later revisions of the order come through `changedElsewhere`.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, who]);
  const { history, active, base, version, saved } = state;
  /** The version that is kept already: what came with the page was not typed here. */
  const keptVersion = useRef(version);
  useEffect(() => {
    if (version === keptVersion.current) return;
    keptVersion.current = version;
    if (history.now !== saved) keeping.current?.put({ history, active, base, version });
  }, [history, active, base, version, saved]);
  return [state, setState, keeping];
}
