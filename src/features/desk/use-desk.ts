'use client';
/** The desk: the draft with its history, worked out at every change, saved as a quote, settled with what others did. */
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { KeptDraftView, OrderView, ShopView } from '@/contract/views';
import { begin, change, set, unwound } from '@/core/design/edit';
import { givenIn } from '@/core/design/resolve';
import { type Issue, issue } from '@/core/issue';
import { type OrderPrice, priceOrder } from '@/core/pricing/order-price';
import type { Unit } from '@/core/units/length';
import { ask } from '@/ui/send';
import { useCommand } from '@/ui/use-command';
import { useDeskActions } from './desk-actions';
import { activeOf } from './desk-state';
import { type Draft, type DraftPiece, draftOf, sameDraft, unread } from './draft';
import { keep } from './keep';
import { useKeptDraft } from './use-kept-draft';
import { type Shown, Workbench } from './workbench';

export interface DeskStart {
  readonly order: OrderView | null;
  /** What this person typed before and has not saved. */
  readonly mine: KeptDraftView | null;
  /** What an order that was never begun starts with. */
  readonly fresh: Draft;
  /** What it begins with instead, in the place of what was typed; one step back brings that again. */
  readonly begins?: Draft | undefined;
  /** It is agreed and is changed: it is not saved as a quote. */
  readonly changing?: boolean | undefined;
  /** Whose desk it is, by id. */
  readonly who: string;
}

/** What the order comes to, when every piece of it is measured and can be built. */
function pricedOf(shown: readonly Shown[], shop: ShopView): OrderPrice | undefined {
  const pieces = shown.flatMap(({ worked, issues }) => (worked?.price && issues.length === 0 ? [worked.price] : []));
  if (pieces.length < shown.length) return undefined;
  const priced = priceOrder(pieces, shop.prices);
  return priced.ok ? priced.value : undefined;
}

const payloadOf = (draft: Draft, base: number | null, customerId: string) => ({
  orderId: draft.orderId,
  revision: base,
  customerId,
  promised: draft.promised,
  ...(draft.wall ? { wall: draft.wall as never } : {}),
  pieces: draft.pieces.map(({ id, design, letter, others = [] }: DraftPiece) => ({
    id,
    design,
    ...(letter === undefined ? {} : { letter }),
    ...(others.length === 0 ? {} : { others: others.map(({ typed: _typed, ...other }) => other) }),
  })),
});

export function useDesk({ order, mine, fresh, who, changing }: DeskStart, shop: ShopView, unit: Unit) {
  const router = useRouter();
  const [state, setState, keeping] = useKeptDraft(order, mine, fresh, unit, who);
  const { run, busy, issues, setIssues } = useCommand<'save-quote', { number: number; revision: number }>('save-quote');
  const [bench] = useState(() => new Workbench(shop, changing ? order?.pieces : []));
  const clearIssues = useCallback(() => setIssues([]), [setIssues]);
  const actions = useDeskActions(setState, clearIssues, shop, unit);

  const { history, base, saved, version } = state;
  const latest = useRef(state);
  useEffect(() => {
    latest.current = state;
  });
  const draft = history.now;
  const active = activeOf(state);
  const shown = draft.pieces.map((piece) => bench.of(piece));
  const measured = draft.pieces.every((piece) => unread(piece, unit).length === 0);
  const price = measured ? pricedOf(shown, shop) : undefined;

  /** Saves the quote; answers its number and revision, or undefined when it was refused (and says why). */
  const save = useCallback(
    async (pin?: string): Promise<{ number: number; revision: number } | undefined> => {
      if (!measured) return void setIssues([issue('measure-first')]);
      if (!draft.customer) return void setIssues([issue('customer-unknown')]);
      const answer = await run({ ...payloadOf(draft, base, draft.customer.id), ...(pin === undefined ? {} : { pin }) });
      if (!answer.ok) {
        if (answer.issues[0]?.code === 'order-stale') setState((before) => ({ ...before, stale: true }));
        return undefined;
      }
      const { number, revision } = answer.value;
      setState((before) => ({ ...before, base: revision, saved: draft, stale: false }));
      // What was typed while it was on its way, or waited for a connection, is of the order that is there now.
      const { history, active, version: last } = latest.current;
      const more = last !== version;
      if (!more || !order) keeping.current?.forget(last);
      keep(draft.orderId, who, { history, active, base: revision, version: more ? last : 0 });
      if (order) router.refresh();
      else router.replace(`/desk/${number}`);
      return answer.value;
    },
    [base, draft, keeping, measured, order, router, run, setIssues, setState, version, who],
  );

  /** To the photos and condition of the piece; what is typed here is kept first, so that it is known there. */
  const toRecord = useCallback(async () => {
    await keeping.current?.now({ history, active, base, version });
    router.push(`/pieces/${draft.pieces[active]!.id}`);
  }, [active, base, draft, history, keeping, router, version]);
  const newest = useCallback(
    async () => (order ? await ask<OrderView>(`/api/orders/${order.number}`) : undefined),
    [order],
  );
  /** After a change elsewhere: goes on from the newest, with what both come to. */
  const settle = useCallback(
    ({ order: newer, draft: after }: { order: OrderView; draft: Draft }) => {
      clearIssues();
      const theirs = draftOf(newer);
      const now = { base: newer.revision, saved: theirs, stale: false };
      const same = sameDraft(after, theirs, unit);
      if (same) keeping.current?.forget(version);
      setState((before) =>
        same
          ? { ...before, ...now, history: begin(theirs), version: 0 }
          : {
              ...before,
              ...now,
              history: change(before.history, set(before.history.now, [], after)),
              version: before.version + 1,
            },
      );
      router.refresh();
    },
    [clearIssues, keeping, router, setState, unit, version],
  );
  /** Something happened to this order elsewhere. */
  const changedElsewhere = useCallback(async () => {
    const answer = await newest();
    if (!answer?.ok) return;
    const { state: now, revision } = answer.value;
    // What is agreed is shown as it is now; what is changed of it stays, and is compared with that.
    if (now !== 'quoted') return router.refresh();
    const theirs = draftOf(answer.value);
    setState((before) => {
      if (before.base === revision) return before;
      const untouched = before.history.now === before.saved;
      if (untouched || sameDraft(before.history.now, theirs, unit))
        return { ...before, history: begin(theirs), base: revision, saved: theirs, stale: false };
      return { ...before, stale: true };
    });
  }, [newest, router, setState, unit]);

  return {
    draft,
    piece: draft.pieces[active]!,
    active,
    shown,
    /** Any design worked out, and remembered by its id. */
    work: useCallback((one: DraftPiece) => bench.of(one), [bench]),
    price,
    dirty: draft !== saved,
    /** What was typed here began from, where that is known. */
    began: order && order.revision === base ? (saved ?? undefined) : unwound(history),
    stale: state.stale,
    other: state.other,
    held: draft.pieces.some((piece) => givenIn(piece.design).length > 0),
    base,
    issues: issues as readonly Issue[],
    busy,
    complete: measured && shown.every(({ worked, issues }) => worked && issues.length === 0),
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    ...actions,
    save,
    settle,
    toRecord,
    changedElsewhere,
    forget: useCallback(() => keeping.current?.forget(version), [keeping, version]),
  };
}
export type Desk = ReturnType<typeof useDesk>;
