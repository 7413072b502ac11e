'use client';
/**
 * A supplier's list: its columns put under ours, looked at row by row before anything changes, then taken whole or not
 * at all, and taken back as a whole.
 */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import { useState } from 'react';
import type { ImportPreview } from '@/contract/views';
import type { Issue } from '@/core/issue';
import { columnsMissing, guessColumns, underOurs } from '@/core/supplier-list/columns';
import { columnName, textOfCells } from '@/core/supplier-list/list';
import { listKind } from '@/core/supplier-list/lists';
import type { ColumnMap, ListName } from '@/core/supplier-list/names';
import { FileButton } from '@/ui/file-button';
import { useLateView } from '@/ui/query';
import { ask } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { IMPORT } from '@/words/screens/books';
import styles from '../books.module.css';
import own from './import.module.css';
import { ColumnsForm } from './columns-form';
import { Preview } from './preview';
import { type Cells, readFile } from './read-file';

interface Remembered {
  readonly supplier: string;
  readonly columns: ColumnMap;
}
/** A file under way: its cells, how its columns are named, and what it would do once it was looked at. */
interface Chosen {
  readonly name: string;
  readonly cells: Cells;
  readonly map: ColumnMap;
  readonly looked?: { readonly text: string; readonly preview: ImportPreview };
}
interface Taken {
  readonly added: number;
  readonly changed: number;
  readonly edition: number;
}

const look = (list: ListName, text: string) =>
  ask<ImportPreview>(`/api/import-preview?list=${list}`, {
    method: 'POST',
    body: text,
    headers: { 'content-type': 'text/csv', 'x-lopren-upload': 'list' },
  });

/** Lets a list that was just taken go again. */
function Done({ taken }: { taken: Taken }) {
  const { run, busy, issues } = useCommand<'undo-edition', { edition: number }>('undo-edition');
  const [undone, setUndone] = useState<number | undefined>();
  const undo = async () => {
    const answer = await run({ edition: taken.edition });
    if (answer.ok) setUndone(answer.value.edition);
  };
  return (
    <>
      <p className={styles.took} role="status">
        {undone === undefined ? IMPORT.done(taken) : IMPORT.undone(undone, taken.edition)}
      </p>
      {undone === undefined && (
        <p>
          <Button variant="outlined" disabled={busy} onClick={() => void undo()}>
            {IMPORT.undo}
          </Button>
        </p>
      )}
      <Trouble issues={issues} />
    </>
  );
}

export function ImportList({ list, onClose }: { list: ListName; onClose: () => void }) {
  const { run, busy, issues, setIssues } = useCommand<'import-list', Taken>('import-list');
  const memory = `/api/list-columns?list=${list}`;
  const remembered = useLateView<readonly Remembered[]>(memory, ['books']) ?? [];
  const [supplier, setSupplier] = useState('');
  const [looking, setLooking] = useState(false);
  const [chosen, setChosen] = useState<Chosen | undefined>();
  const [taken, setTaken] = useState<Taken | undefined>();
  const kind = listKind(list);
  const from = supplier.trim();

  const lookAt = async (name: string, cells: Cells, map: ColumnMap) => {
    const text = textOfCells(underOurs(cells, kind.columns, map));
    const answer = await look(list, text);
    const wrong: readonly Issue[] = answer.ok ? answer.value.issues : answer.issues;
    setIssues(wrong);
    const preview = answer.ok && wrong.length === 0 ? answer.value : undefined;
    const used = new Set(Object.values(map).map((source) => ('from' in source ? columnName(source.from) : '')));
    const ignored = (cells[0] ?? []).filter((column) => column.trim() !== '' && !used.has(columnName(column)));
    setChosen({ name, cells, map, ...(preview ? { looked: { text, preview: { ...preview, ignored } } } : {}) });
  };
  const working = async (work: () => Promise<void>) => {
    setLooking(true);
    await work().finally(() => setLooking(false));
  };
  const choose = (file: File) =>
    working(async () => {
      setTaken(undefined);
      setChosen(undefined);
      const read = await readFile(file);
      if ('wrong' in read) return setIssues([read.wrong]);
      // Asked anew: whoever is quick has chosen the file before what is remembered has come.
      const asked = await ask<readonly Remembered[]>(memory);
      if (!asked.ok) return setIssues(asked.issues);
      setIssues([]);
      const known = asked.value.find((one) => one.supplier.toLowerCase() === from.toLowerCase())?.columns;
      const map = guessColumns(kind, read.cells[0] ?? [], {
        ...(from !== '' && kind.columns.includes('supplier') ? { supplier: { same: from } } : {}),
        ...known,
      });
      if (columnsMissing(kind, map).length > 0) return setChosen({ name: file.name, cells: read.cells, map });
      await lookAt(file.name, read.cells, map);
    });
  const take = async () => {
    if (!chosen?.looked) return;
    const { text, preview } = chosen.looked;
    const answer = await run({
      list,
      text,
      edition: preview.edition,
      file: chosen.name.slice(0, 200),
      ...(from === '' ? {} : { remember: { supplier: from, columns: chosen.map } }),
    });
    if (!answer.ok) return;
    setTaken(answer.value);
    setChosen(undefined);
  };
  return (
    <main className={styles.books}>
      <header>
        <h1>{IMPORT.heads[list]}</h1>
        <p className="soft">{chosen ? IMPORT.file(chosen.name, chosen.cells.length - 1) : IMPORT.columnsOfExport}</p>
        <span className={styles.grow} />
        <Button variant="outlined" onClick={onClose}>
          {IMPORT.back}
        </Button>
      </header>
      <div className={styles.import}>
        <div className={own.from}>
          <Input
            value={supplier}
            placeholder={IMPORT.supplier}
            onChange={(event) => setSupplier(event.target.value)}
            slotProps={{ input: { 'aria-label': IMPORT.supplierLong, maxLength: 120, list: 'suppliers' } }}
          />
          <datalist id="suppliers">
            {remembered.map((one) => (
              <option key={one.supplier} value={one.supplier} />
            ))}
          </datalist>
          <FileButton
            label={IMPORT.theList}
            accept=".csv,.xlsx,text/csv,text/plain"
            variant={chosen ? 'outlined' : 'contained'}
            disabled={busy || looking}
            onFile={(file) => void choose(file)}
          >
            {chosen ? IMPORT.chooseOther : IMPORT.choose}
          </FileButton>
          {chosen?.looked && (
            <Button
              variant="text"
              onClick={() => setChosen({ name: chosen.name, cells: chosen.cells, map: chosen.map })}
            >
              {IMPORT.otherColumns}
            </Button>
          )}
          {looking && <span className="soft">{IMPORT.looking}</span>}
        </div>
        <Trouble issues={issues} />
        {taken && <Done taken={taken} />}
        {chosen && !chosen.looked && (
          <ColumnsForm
            key={chosen.name}
            list={list}
            cells={chosen.cells}
            start={chosen.map}
            busy={looking}
            onLook={(map) => void working(() => lookAt(chosen.name, chosen.cells, map))}
          />
        )}
        {chosen?.looked && (
          <Preview
            key={chosen.name + chosen.looked.text.length}
            preview={chosen.looked.preview}
            busy={busy}
            onTake={() => void take()}
          />
        )}
      </div>
    </main>
  );
}
