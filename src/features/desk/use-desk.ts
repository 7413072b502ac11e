'use client';
/** The desk's state: the draft with its history, kept in the browser, worked out at every change. */
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { OrderView, ShopView } from '@/contract/views';
import { type Edit, type History, type Path, begin, change, redo, set, undo } from '@/core/design/edit';
import type { BuildCode } from '@/core/builds';
import { givenIn, thaw } from '@/core/design/resolve';
import { withBuild } from '@/core/design/with-build';
import { type Issue, issue } from '@/core/issue';
import { catalogueOf } from '@/core/materials';
import { type OrderPrice, priceOrder } from '@/core/pricing/order-price';
import { defaultSettings } from '@/core/settings';
import type { Unit } from '@/core/units/length';
import { type WorkOutContext, type WorkedOut, workOut } from '@/core/work-out';
import { ask, send } from '@/ui/send';
import {
  type Draft,
  type DraftPiece,
  commitLength,
  draftOf,
  newDraft,
  newPiece,
  sameDraft,
  typeLength,
  unread,
} from './draft';
import { keep, keeper, kept } from './keep';

export interface Shown {
  /** The last design that could be worked out. */
  readonly worked: WorkedOut | undefined;
  /** Why the present one cannot, when it cannot. */
  readonly issues: readonly Issue[];
}

/** Works pieces out once per design and remembers the last that could be built, by piece. */
class Workbench {
  private readonly last = new Map<string, { design: unknown; shown: Shown }>();
  constructor(private readonly shop: WorkOutContext) {}

  of({ id, design }: DraftPiece): Shown {
    const before = this.last.get(id);
    if (before?.design === design) return before.shown;
    const result = workOut(design, this.shop);
    const shown: Shown = result.ok
      ? { worked: result.value, issues: [] }
      : { worked: before?.shown.worked, issues: result.issues };
    this.last.set(id, { design, shown });
    return shown;
  }
}

interface State {
  readonly history: History<Draft>;
  readonly active: number;
  readonly base: number | null;
  /** The draft as the server has it. */
  readonly saved: Draft | null;
  /** Kept typing that was begun from another revision than the server now has. */
  readonly stale: boolean;
}

function start(order: OrderView | null, shop: ShopView, unit: Unit): State {
  const mine = kept(order?.id ?? 'new');
  if (!order)
    return mine
      ? { ...mine, saved: null, stale: false }
      : { history: begin(newDraft(shop)), active: 0, base: null, saved: null, stale: false };
  const theirs = draftOf(order);
  if (!mine) return { history: begin(theirs), active: 0, base: order.revision, saved: theirs, stale: false };
  if (sameDraft(mine.history.now, theirs, unit))
    return { ...mine, history: { ...mine.history, now: theirs }, base: order.revision, saved: theirs, stale: false };
  return { ...mine, saved: theirs, stale: mine.base !== order.revision };
}

export function useDesk(order: OrderView | null, shop: ShopView, unit: Unit) {
  const router = useRouter();
  const [state, setState] = useState(() => start(order, shop, unit));
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [busy, setBusy] = useState(false);
  const [bench] = useState(
    () =>
      new Workbench({
        settings: defaultSettings(shop.homeUnit),
        catalogue: catalogueOf(shop.lists),
        prices: shop.prices,
      }),
  );
  const { history, base, saved, stale } = state;
  const draft = history.now;
  const active = Math.min(state.active, draft.pieces.length - 1);
  const piece = draft.pieces[active]!;
  const dirty = draft !== saved;

  const keeping = useRef<ReturnType<typeof keeper> | undefined>(undefined);
  useEffect(() => {
    const mine = keeper(order?.id ?? 'new');
    keeping.current = mine;
    return () => mine.stop();
  }, [order?.id]);
  useEffect(() => {
    if (history.now === saved) return;
    keeping.current?.put({ history, active, base });
  }, [history, active, base, saved]);

  const edit = useCallback((make: (draft: Draft, active: number) => Edit, join = false) => {
    setIssues([]);
    setState((before) => {
      const next = change(
        before.history,
        make(before.history.now, Math.min(before.active, before.history.now.pieces.length - 1)),
        join,
      );
      return next === before.history ? before : { ...before, history: next };
    });
  }, []);

  const actions = useMemo(
    () => ({
      type: (path: Path, text: string) => edit((now, index) => typeLength(now, index, path, text, unit), true),
      commit: (path: Path) => edit((now, index) => commitLength(now, index, path, unit), true),
      put: (path: Path, value: unknown, join = false) =>
        edit((now, index) => set(now, ['pieces', index, 'design', ...path], value), join),
      /** The piece built another way. */
      build: (to: BuildCode) =>
        edit((now, index) =>
          set(
            now,
            ['pieces', index, 'design'],
            withBuild(now.pieces[index]!.design, to, defaultSettings(shop.homeUnit), shop.defaults),
          ),
        ),
      apply: (way: Edit) =>
        edit((_now, index) => way.map((change) => ({ ...change, path: ['pieces', index, 'design', ...change.path] }))),
      putOrder: (key: 'customer' | 'promised', value: unknown) => edit((now) => set(now, [key], value)),
      addPiece: () => {
        edit((now) => set(now, ['pieces'], [...now.pieces, newPiece(shop)]));
        setState((before) => ({ ...before, active: before.history.now.pieces.length - 1 }));
      },
      removePiece: (index: number) =>
        edit((now) =>
          set(
            now,
            ['pieces'],
            now.pieces.filter((_, at) => at !== index),
          ),
        ),
      choose: (index: number) => setState((before) => ({ ...before, active: index })),
      /** Back to the books: the materials cost what they cost today. */
      takeToday: () =>
        edit((now) =>
          set(
            now,
            ['pieces'],
            now.pieces.map((piece) => ({ ...piece, design: thaw(piece.design) })),
          ),
        ),
      undo: () => setState((before) => ({ ...before, history: undo(before.history) })),
      redo: () => setState((before) => ({ ...before, history: redo(before.history) })),
    }),
    [edit, shop, unit],
  );

  const shown = draft.pieces.map((piece) => bench.of(piece));
  const measured = draft.pieces.every((piece) => unread(piece, unit).length === 0);
  const complete = measured && shown.every((shown) => shown.worked && shown.issues.length === 0);
  const priced = complete
    ? priceOrder(
        shown.map((shown) => shown.worked!.price!),
        shop.prices,
      )
    : undefined;
  const price: OrderPrice | undefined = priced?.ok ? priced.value : undefined;

  /** Saves the quote; answers its number and revision, or undefined when it was refused (and says why). */
  const save = useCallback(async (): Promise<{ number: number; revision: number } | undefined> => {
    if (!measured) return void setIssues([issue('measure-first')]);
    if (!draft.customer) return void setIssues([issue('customer-unknown')]);
    setBusy(true);
    const payload = {
      orderId: draft.orderId,
      revision: base,
      customerId: draft.customer.id,
      promised: draft.promised,
      pieces: draft.pieces.map(({ id, design }) => ({ id, design })),
    };
    const answer = await send<{ number: number; revision: number }>('save-quote', payload);
    setBusy(false);
    if (!answer.ok) {
      setIssues(answer.issues);
      if (answer.issues[0]?.code === 'order-stale') setState((before) => ({ ...before, stale: true }));
      return undefined;
    }
    setIssues([]);
    setState((before) => ({ ...before, base: answer.value.revision, saved: draft, stale: false }));
    if (!order) {
      keeping.current?.forget();
      keep(draft.orderId, { history, active, base: answer.value.revision });
      router.replace(`/desk/${answer.value.number}`);
    } else router.refresh();
    return answer.value;
  }, [active, base, draft, history, measured, order, router]);

  /** After a change elsewhere: keep what is typed here as a change of the newest, or drop it. */
  const settle = useCallback(
    async (whose: 'mine' | 'theirs') => {
      if (!order) return;
      const newest = await ask<OrderView>(`/api/orders/${order.number}`);
      if (!newest.ok) return;
      setIssues([]);
      const theirs = draftOf(newest.value);
      if (whose === 'theirs') {
        keeping.current?.forget();
        setState({ history: begin(theirs), active: 0, base: newest.value.revision, saved: theirs, stale: false });
      } else setState((before) => ({ ...before, base: newest.value.revision, saved: theirs, stale: false }));
      router.refresh();
    },
    [order, router],
  );

  /** Something happened to this order elsewhere. */
  const changedElsewhere = useCallback(async () => {
    const newest = order && (await ask<OrderView>(`/api/orders/${order.number}`));
    if (!newest?.ok) return;
    if (newest.value.state !== 'quoted') return router.refresh();
    setState((before) => {
      if (before.base === newest.value.revision) return before;
      const theirs = draftOf(newest.value);
      const untouched = before.history.now === before.saved;
      if (untouched || sameDraft(before.history.now, theirs, unit))
        return { ...before, history: begin(theirs), base: newest.value.revision, saved: theirs, stale: false };
      return { ...before, stale: true };
    });
  }, [order, router, unit]);

  const held = draft.pieces.some((piece) => givenIn(piece.design).length > 0);
  const forget = useCallback(() => keeping.current?.forget(), []);

  return {
    draft,
    piece,
    active,
    shown,
    price,
    dirty,
    stale,
    held,
    base,
    issues,
    setIssues,
    busy,
    measured,
    complete,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    ...actions,
    save,
    settle,
    changedElsewhere,
    forget,
  };
}
export type Desk = ReturnType<typeof useDesk>;
