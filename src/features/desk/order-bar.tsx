'use client';
/** Which order, whose, its pieces, and when it is promised. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Calendar } from '@/core/schedule/calendar';
import { useHydrated } from '@/ui/use-hydrated';
import { DESK } from '@/words/screens/desk';
import styles from './desk.module.css';
import { keptScreen } from './kept-screen';
import { PieceTabs } from './piece-tabs';
import { Promised } from './promised';
import type { Desk } from './use-desk';
import { patient } from '@/ui/patient';

const Showing = dynamic(() => patient(() => import('./showing')).then((file) => file.Showing), { loading: () => null });

export function OrderBar({
  desk,
  number,
  calendar,
  today,
  onCustomer,
  onCompare,
  onWall,
  onPiece,
  turned,
  onTurn,
  changing,
}: {
  desk: Desk;
  number: number | undefined;
  calendar: Calendar;
  today: string;
  onCustomer: () => void;
  onCompare: () => void;
  onWall: () => void;
  /** Something that brings another piece, which is then named. */
  onPiece: (bring: () => void) => void;
  turned: boolean;
  onTurn: () => void;
  /** It is agreed: whose it is and how many pieces it has stays. */
  changing: boolean | undefined;
}) {
  const { draft, active } = desk;
  const [shows, setShows] = useState(false);
  const hydrated = useHydrated();
  return (
    <div className={styles.order}>
      <h1>{number ? DESK.order(number) : DESK.newOrder}</h1>
      <Button variant="text" className={styles.customer ?? ''} disabled={changing} onClick={onCustomer}>
        {draft.customer ? (
          <>
            {draft.customer.name} <span className="soft">{draft.customer.phone}</span>
          </>
        ) : (
          DESK.chooseCustomer
        )}
      </Button>
      <PieceTabs titles={draft.pieces.map(({ design }) => design.piece.title)} active={active} onChoose={desk.choose} />
      <span className={styles.acts} hidden={changing}>
        <Button variant="text" onClick={() => onPiece(desk.addPiece)}>
          {DESK.addPiece}
        </Button>
        <Button variant="text" onClick={() => onPiece(desk.copyPiece)}>
          {DESK.copyPiece}
        </Button>
        {draft.pieces.length > 1 && (
          <Button variant="text" onClick={() => desk.removePiece(active)}>
            {DESK.remove}
          </Button>
        )}
      </span>
      <Button variant="text" onClick={onCompare}>
        {DESK.compare} <kbd>c</kbd>
      </Button>
      <Button variant="text" onClick={onWall}>
        {DESK.wall} <kbd>w</kbd>
      </Button>
      <Button variant={turned ? 'contained' : 'text'} aria-pressed={turned} onClick={onTurn}>
        {turned ? DESK.turnBack : DESK.turn} <kbd>t</kbd>
      </Button>
      {shows || (hydrated && keptScreen() !== null) ? (
        <Showing
          order={number === undefined ? 'new' : draft.orderId}
          piece={draft.pieces[active]!.id}
          onClose={() => setShows(false)}
        />
      ) : (
        <Button variant="text" onClick={() => setShows(true)}>
          {DESK.screen}
        </Button>
      )}
      <span className={styles.undo}>
        <Button variant="text" disabled={!desk.canUndo} onClick={desk.undo} title={DESK.undoKey}>
          {DESK.undo}
        </Button>
        <Button variant="text" disabled={!desk.canRedo} onClick={desk.redo} title={DESK.redoKey}>
          {DESK.redo}
        </Button>
      </span>
      <Promised
        day={draft.promised}
        today={today}
        calendar={calendar}
        onChange={(day) => desk.putOrder('promised', day)}
      />
    </div>
  );
}
