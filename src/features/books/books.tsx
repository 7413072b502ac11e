'use client';
/** The books: the price list with its profiles, a supplier's list coming in or going out, and the people. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { PersonView, ShopView } from '@/contract/views';
import { useView } from '@/ui/query';
import { BOOKS } from '@/words/screens/books';
import styles from './books.module.css';
import { People } from './people';
import { PriceList } from './price-list';
import { PriceRules } from './price-rules';
import { useHydrated } from '@/ui/use-hydrated';
import { patient } from '@/ui/patient';

const ImportList = dynamic(() => patient(() => import('./import/import-list')).then((file) => file.ImportList), {
  loading: () => null,
});

interface BooksView {
  readonly shop: ShopView;
  readonly people: readonly PersonView[];
}

export function Books({ owner, first, find = '' }: { first: BooksView; owner: boolean; find?: string }) {
  const {
    view: { shop, people },
  } = useView<BooksView>('/api/shop', first, ['books', 'staff']);
  const [text, setText] = useState(find);
  const [importing, setImporting] = useState(false);
  const hydrated = useHydrated();
  const { mouldings } = shop.lists;
  const list = useMemo(() => {
    const words = text.toLowerCase().split(/\s+/).filter(Boolean);
    return mouldings.filter((moulding) =>
      words.every((word) =>
        `${moulding.code} ${moulding.name} ${moulding.supplier} ${moulding.profile}`.toLowerCase().includes(word),
      ),
    );
  }, [mouldings, text]);
  if (importing) return <ImportList list="mouldings" onClose={() => setImporting(false)} />;
  return (
    <main className={styles.books}>
      <header>
        <h1>{BOOKS.head}</h1>
        <p className="soft">{BOOKS.edition(mouldings.length, shop.prices.edition)}</p>
        <Input
          className={styles.search ?? ''}
          type="search"
          value={text}
          readOnly={!hydrated}
          placeholder={BOOKS.search}
          onChange={(event) => setText(event.target.value)}
          slotProps={{ input: { 'aria-label': BOOKS.searchLong, maxLength: 80 } }}
        />
        <a className={styles.export} href="/interface">
          {BOOKS.interface}
        </a>
        <a className={styles.export} href="/api/v1/export/mouldings.csv">
          {BOOKS.export}
        </a>
        <a className={styles.export} href="/api/v1/export/mouldings.xlsx" aria-label={BOOKS.exportWorkbook}>
          {BOOKS.workbook}
        </a>
        {owner && (
          <Button variant="contained" onClick={() => setImporting(true)}>
            {BOOKS.import}
          </Button>
        )}
      </header>
      <div className={styles.columns}>
        <PriceList list={list} none={mouldings.length === 0 ? BOOKS.empty : BOOKS.noneFound} />
        <aside>
          <PriceRules shop={shop} owner={owner} />
          <People people={people} owner={owner} />
        </aside>
      </div>
    </main>
  );
}
