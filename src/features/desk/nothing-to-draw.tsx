'use client';
/** In the place of the drawing, where nothing can be drawn: no moulding is in the books, or nothing is measured. */
import Button from '@mui/material/Button';
import type { ShopView } from '@/contract/views';
import { NOTHING } from '@/words/screens/nothing';
import styles from './desk.module.css';

export function NothingToDraw({ shop }: { shop: ShopView }) {
  const empty = shop.lists.mouldings.length === 0;
  return (
    <div className={styles.empty}>
      <p>{empty ? NOTHING.noPriceList : NOTHING.nothingToDraw}</p>
      {empty && (
        <Button variant="contained" href="/books">
          {NOTHING.importList}
        </Button>
      )}
    </div>
  );
}
