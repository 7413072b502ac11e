'use client';
/** The four lists of the books as tables, each with what goes out and comes in. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import type { ListTablesView } from '@/contract/views';
import { LIST_NAMES, type ListName } from '@/core/supplier-list/names';
import { useView } from '@/ui/query';
import { Tabs } from '@/ui/tabs';
import { BOOKS } from '@/words/screens/books';
import { TABLE } from '@/words/screens/table';
import styles from './grid.module.css';
import { patient } from '@/ui/patient';

const ListTable = dynamic(() => patient(() => import('./list-table')).then((file) => file.ListTable), {
  loading: () => null,
  ssr: false,
});
const ImportList = dynamic(() => patient(() => import('../import/import-list')).then((file) => file.ImportList), {
  loading: () => null,
});

export function Lists({ first }: { first: ListTablesView }) {
  const { view: newest } = useView('/api/list-tables', first, ['books']);
  const [dirty, setDirty] = useState(false);
  const [view, setView] = useState(newest);
  // While something is typed the table stays under the hands; what came meanwhile is looked at with the changes.
  if (!dirty && view !== newest) setView(newest);
  useEffect(() => {
    if (!dirty) return undefined;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [dirty]);
  const unlessTyped = (go: () => void) => (dirty ? setSaid(TABLE.unsaved) : go());
  const [list, setList] = useState<ListName>('mouldings');
  const [importing, setImporting] = useState(false);
  const [said, setSaid] = useState('');
  if (importing) return <ImportList list={list} onClose={() => setImporting(false)} />;
  return (
    <main className={styles.page}>
      <header>
        <h1>{TABLE.head}</h1>
        <a href="/books">{TABLE.back}</a>
        <p role="status" className={styles.said}>
          {said}
        </p>
        <a href={`/api/v1/export/${list}.csv`}>{BOOKS.export}</a>
        <a href={`/api/v1/export/${list}.xlsx`} aria-label={BOOKS.exportWorkbook}>
          {BOOKS.workbook}
        </a>
        <Button variant="outlined" onClick={() => unlessTyped(() => setImporting(true))}>
          {BOOKS.import}
        </Button>
      </header>
      <Tabs
        id="lists"
        label={TABLE.lists}
        value={list}
        options={LIST_NAMES.map((name) => [name, TABLE.names[name]] as const)}
        onChange={(to) => unlessTyped(() => setList(to))}
      />
      <div id="lists-panel" role="tabpanel" aria-labelledby={`lists-tab-${list}`} className={styles.panel}>
        <ListTable
          key={`${list} ${view.edition}`}
          list={list}
          cells={view.tables[list]}
          home={view.home}
          onDirty={setDirty}
          onTaken={(edition) => {
            setDirty(false);
            setSaid(TABLE.taken(edition));
          }}
        />
      </div>
    </main>
  );
}
