'use client';
/** The mouldings that are sold, with their profiles. */
import type { Moulding } from '@/core/materials';
import { Len } from '@/ui/figures';
import { ProfileMark } from '@/ui/profile-mark';
import { Cell, Row, SheetTable } from '@/ui/sheet-table';
import { BOOKS } from '@/words/screens/books';
import styles from './books.module.css';

const SHOWN = 300;

export function PriceList({ list, none }: { list: readonly Moulding[]; none: string }) {
  return (
    <div className={styles.scroll} tabIndex={0} role="region" aria-label={BOOKS.head}>
      <SheetTable label={BOOKS.head} columns={BOOKS.columns} sticky>
        {list.slice(0, SHOWN).map((moulding) => (
          <Row key={moulding.code}>
            <Cell>
              <ProfileMark moulding={moulding} size={30} />
            </Cell>
            <Cell>
              {moulding.name} <span className="soft">{moulding.code}</span>
            </Cell>
            <Cell className="soft">{moulding.supplier}</Cell>
            <Cell num>
              <Len value={moulding.faceWidth} bare />
            </Cell>
            <Cell num>
              <Len value={moulding.rabbetWidth} bare />
            </Cell>
            <Cell num>
              <Len value={moulding.rabbetDepth} bare />
            </Cell>
            <Cell num>{moulding.stick && <Len value={moulding.stick} bare />}</Cell>
            <Cell num>
              {moulding.cost?.amount}
              <span className="unit">{moulding.cost?.per}</span>
            </Cell>
          </Row>
        ))}
      </SheetTable>
      {list.length === 0 && <p className={styles.none}>{none}</p>}
      {list.length > SHOWN && <p className={styles.none}>{BOOKS.more(list.length - SHOWN)}</p>}
    </div>
  );
}
