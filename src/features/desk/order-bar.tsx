'use client';
/** Which order, whose, its pieces, and when it is promised. */
import Button from '@mui/material/Button';
import type { Calendar } from '@/core/schedule/calendar';
import { DESK } from '@/words/screens/desk';
import styles from './desk.module.css';
import { PieceTabs } from './piece-tabs';
import { Promised } from './promised';
import type { Desk } from './use-desk';

export function OrderBar({
  desk,
  number,
  calendar,
  today,
  onCustomer,
  onCompare,
}: {
  desk: Desk;
  number: number | undefined;
  calendar: Calendar;
  today: string;
  onCustomer: () => void;
  onCompare: () => void;
}) {
  const { draft, active } = desk;
  return (
    <div className={styles.order}>
      <h1>{number ? DESK.order(number) : DESK.newOrder}</h1>
      <Button variant="text" className={styles.customer ?? ''} onClick={onCustomer}>
        {draft.customer ? (
          <>
            {draft.customer.name} <span className="soft">{draft.customer.phone}</span>
          </>
        ) : (
          DESK.chooseCustomer
        )}
      </Button>
      <PieceTabs titles={draft.pieces.map(({ design }) => design.piece.title)} active={active} onChoose={desk.choose} />
      <span className={styles.acts}>
        <Button variant="text" onClick={desk.addPiece}>
          {DESK.addPiece}
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
      <span className={styles.undo}>
        <Button variant="text" disabled={!desk.canUndo} onClick={desk.undo}>
          {DESK.undo} <kbd>{DESK.undoKey}</kbd>
        </Button>
        <Button variant="text" disabled={!desk.canRedo} onClick={desk.redo}>
          {DESK.redo} <kbd>{DESK.redoKey}</kbd>
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
