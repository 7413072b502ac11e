'use client';
/** What can be done to the draft by hand: each an edit with its place in the history. */
import { type Dispatch, type SetStateAction, useMemo } from 'react';
import type { ShopView } from '@/contract/views';
import type { BuildCode } from '@/core/builds';
import { type Edit, type Path, apply, redo, set, undo } from '@/core/design/edit';
import { thaw } from '@/core/design/resolve';
import { type Choosing, inAll } from '@/core/design/candidates';
import type { Design } from '@/core/design/design';
import { withBuild, withInside } from '@/core/design/with-build';
import { defaultSettings } from '@/core/settings';
import type { Unit } from '@/core/units/length';
import type { WallChoice } from '@/core/wall/wall';
import { type DeskState, committed, edited, moved } from './desk-state';
import { type Draft, commitLength, newPiece, typeLength } from './draft';

/** What a board inside depends on. */
const BRINGING: ReadonlySet<string | number> = new Set(['own', 'several']);

type SetState = Dispatch<SetStateAction<DeskState>>;

export function useDeskActions(setState: SetState, clearIssues: () => void, shop: ShopView, unit: Unit) {
  return useMemo(() => {
    type Make = (draft: Draft, active: number) => Edit;
    const everywhere =
      (make: Make): Make =>
      (now, index) =>
        inAll(now, ['pieces', index], make(now, index));
    const edit = (make: Make, join = false) => {
      clearIssues();
      setState((before) => edited(before, everywhere(make), join));
    };
    const inPiece = (index: number, path: Path): Path => ['pieces', index, 'design', ...path];
    /** The boards inside that come and go with what was chosen. */
    const broughtBy = (change: Edit, now: Draft, index: number): Edit => {
      const after = apply(now, change);
      const { innerBoard, sideBoard } = withInside(after.pieces[index]!.design, shop.defaults);
      return [
        ...set(after, inPiece(index, ['innerBoard']), innerBoard),
        ...set(after, inPiece(index, ['sideBoard']), sideBoard),
      ].filter(({ from, to }) => from !== to);
    };
    return {
      type: (path: Path, text: string) => edit((now, index) => typeLength(now, index, path, text, unit), true),
      commit: (path: Path) => {
        clearIssues();
        setState((before) =>
          committed(
            before,
            everywhere((now, index) => commitLength(now, index, path, unit)),
          ),
        );
      },
      put: (path: Path, value: unknown, join = false) =>
        edit((now, index) => {
          const change = set(now, inPiece(index, path), value);
          return BRINGING.has(path[0]!) ? [...change, ...broughtBy(change, now, index)] : change;
        }, join),
      /** The piece built another way. */
      build: (to: BuildCode) =>
        edit((now, index) =>
          set(
            now,
            inPiece(index, []),
            withBuild(now.pieces[index]!.design, to, defaultSettings(shop.homeUnit), shop.defaults),
          ),
        ),
      /** A discount on the piece that is shown, or one for each piece, and its lines priced by hand; one step back. */
      discount: (each: readonly Design['discount'][], overrides: Design['overrides']) =>
        edit((now, index) => {
          const at = each.length > 1 ? now.pieces.map((_, place) => place) : [index];
          return [
            ...at.flatMap((place, one) => set(now, inPiece(place, ['discount']), each[one])),
            ...set(now, inPiece(index, ['overrides']), overrides),
          ];
        }),
      apply: (wayOut: Edit) =>
        edit((_now, index) => wayOut.map((change) => ({ ...change, path: inPiece(index, change.path) }))),
      putOrder: (key: 'customer' | 'promised', value: unknown) => edit((now) => set(now, [key], value)),
      putWall: (wall: WallChoice) => edit((now) => set(now, ['wall'], wall), true),
      /** Something is done with the designs of the piece that is shown. */
      choosing: (make: <P extends Choosing>(piece: P) => P) =>
        edit((now, index) => {
          const before = now.pieces[index]!;
          const after = make(before);
          return after === before ? [] : set(now, ['pieces', index], after);
        }),
      addPiece: () => {
        edit((now) => set(now, ['pieces'], [...now.pieces, newPiece(shop)]));
        setState((before) => ({ ...before, active: before.history.now.pieces.length - 1 }));
      },
      /** The piece that is shown once more, with its name and its designs. */
      copyPiece: () => {
        edit((now, index) => {
          const copy = { ...now.pieces[index]!, id: crypto.randomUUID() };
          return set(now, ['pieces'], [...now.pieces, copy]);
        });
        setState((before) => ({ ...before, active: before.history.now.pieces.length - 1 }));
      },
      /** Pieces of these designs besides those that are there. */
      addPieces: (designs: readonly Design[]) =>
        edit((now) => {
          const more = designs.map((design) => ({ id: crypto.randomUUID(), design, typed: {} }));
          return set(now, ['pieces'], [...now.pieces, ...more]);
        }),
      /** A new order in the place of what was typed; one step back brings that again. */
      afresh: (fresh: Draft) => {
        edit((now) => set(now, [], { ...fresh, orderId: now.orderId }));
        setState((before) => ({ ...before, active: 0 }));
      },
      removePiece: (index: number) =>
        edit((now) =>
          set(
            now,
            ['pieces'],
            now.pieces.filter((_, place) => place !== index),
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
      undo: () => setState((before) => moved(before, undo(before.history))),
      redo: () => setState((before) => moved(before, redo(before.history))),
      /** What was typed in this browser, instead of what another one kept. */
      takeOther: () =>
        setState((before) =>
          before.other ? { ...before, ...before.other, version: before.version + 1, other: undefined } : before,
        ),
      leaveOther: () => setState((before) => ({ ...before, other: undefined })),
    };
  }, [setState, clearIssues, shop, unit]);
}
