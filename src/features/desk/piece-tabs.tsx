'use client';
/** The pieces of an order. One piece has its name; several have tabs, which are fetched when there are several. */
import dynamic from 'next/dynamic';
import { panelOf } from '@/ui/panel';
import { DESK } from '@/words/screens/desk';
import styles from './desk.module.css';
import { patient } from '@/ui/patient';

const Tabs = dynamic(() => patient(() => import('@/ui/tabs')).then((file) => file.Tabs<number>), {
  loading: () => null,
});
const PIECES = 'pieces';

interface Props {
  readonly titles: readonly string[];
  readonly active: number;
  readonly onChoose: (index: number) => void;
}

export function PieceTabs({ titles, active, onChoose }: Props) {
  const name = (title: string, index: number) => title || DESK.piece(index + 1);
  if (titles.length === 1) return <span className={styles.onePiece}>{name(titles[0]!, 0)}</span>;
  return (
    <Tabs
      id={PIECES}
      label={DESK.pieces}
      className={styles.tabs ?? ''}
      value={active}
      options={titles.map((title, index) => [index, name(title, index)] as const)}
      onChange={onChoose}
    />
  );
}

/** What the drawing of a piece is to its tab; of a single piece, a region of its own. */
export const piecePanel = (pieces: number, active: number) =>
  pieces === 1 ? ({ role: 'region', 'aria-label': DESK.drawing } as const) : panelOf(PIECES, active);
