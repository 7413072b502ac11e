'use client';
/** A list of the books as a table: changed cell by cell or by pasting, looked at, and taken as one edition. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useEffect, useMemo, useState } from 'react';
import type { ImportPreview } from '@/contract/views';
import type { ListName } from '@/core/supplier-list/names';
import type { Unit } from '@/core/units/length';
import { ask } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { TABLE } from '@/words/screens/table';
import { CellGrid } from './cell-grid';
import {
  type Block,
  type Place,
  type TableRow,
  changedRows,
  cleared,
  copied,
  filledDown,
  pasted,
  rowsOf,
  shownRows,
  withRow,
  written,
} from './cells';
import styles from './grid.module.css';
import { useHistory } from './use-history';
import { patient } from '@/ui/patient';

const Preview = dynamic(() => patient(() => import('../import/preview')).then((file) => file.Preview), {
  loading: () => null,
});
const CellFault = dynamic(() => patient(() => import('./cell-fault')).then((file) => file.CellFault), {
  loading: () => null,
});

const WIDTHS: Readonly<Record<string, number>> = {
  code: 104,
  name: 210,
  supplier: 160,
  finish: 120,
  unit: 60,
  per: 60,
};
const USUAL_WIDTH = 88;
type Tools = typeof import('./tools');
/** What a row that is new begins with, where the list asks for it. */
const startOf = (columns: readonly string[], home: Unit, list: ListName): readonly string[] => {
  const start: Readonly<Record<string, string>> = {
    unit: home,
    material: 'wood',
    profile: 'flat',
    colour: '#8a6a45',
    archival: 'yes',
    type: list === 'backings' ? 'foam' : 'glass',
    uv: 'no',
    coated: 'no',
    per: list === 'mouldings' ? (home === 'in' ? 'ft' : 'm') : home === 'in' ? 'sqft' : 'sqm',
  };
  return columns.map((column) => start[column] ?? '');
};

interface Looked {
  readonly text: string;
  readonly preview: ImportPreview;
}
interface Props {
  readonly list: ListName;
  /** The columns' names, then every row. */
  readonly cells: Block;
  readonly home: Unit;
  /** Something is typed that was not taken yet, or no more. */
  readonly onDirty: (dirty: boolean) => void;
  readonly onTaken: (edition: number) => void;
}
export function ListTable({ list, cells, home, onDirty, onTaken }: Props) {
  const columns = cells[0]!;
  const start = useMemo(() => startOf(columns, home, list), [columns, home, list]);
  const widths = useMemo(() => columns.map((column) => WIDTHS[column] ?? USUAL_WIDTH), [columns]);
  const [first] = useState(() => rowsOf(cells.slice(1)));
  const { now: rows, set, undo, redo } = useHistory<readonly TableRow[]>(first);
  const [filters, setFilters] = useState<Readonly<Record<number, string>>>({});
  const [at, setAt] = useState<Place>({ row: 0, column: 0 });
  const [looked, setLooked] = useState<Looked | undefined>();
  const [tools, setTools] = useState<Tools | undefined>();
  const { run, busy, issues, setIssues } = useCommand<'import-list', { edition: number }>('import-list');
  const shown = useMemo(() => shownRows(rows, filters), [rows, filters]);
  const inSight = useMemo(() => shown.map((place) => rows[place]!), [rows, shown]);
  const changed = useMemo(() => changedRows(rows), [rows]);
  const dirty = changed.length > 0;
  useEffect(() => onDirty(dirty), [dirty, onDirty]);
  const wrong = useMemo(
    () => new Map(tools ? changed.map((row) => [row.id, tools.wrongIn(list, row)]) : []),
    [tools, list, changed],
  );
  const wrongRows = [...wrong.values()].filter((one) => one.size > 0).length;
  const here = wrong.get(inSight[at.row]?.id ?? -1)?.get(at.column);
  const touch = async () => {
    const loaded = tools ?? (await import('./tools'));
    setTools(loaded);
    return loaded;
  };

  const look = async () => {
    const text = (await touch()).listText(columns, changed);
    const answer = await ask<ImportPreview>(`/api/import-preview?list=${list}`, {
      method: 'POST',
      body: text,
      headers: { 'content-type': 'text/csv', 'x-lopren-upload': 'list' },
    });
    const found = answer.ok ? answer.value.issues : answer.issues;
    setIssues(found);
    if (answer.ok && found.length === 0) setLooked({ text, preview: answer.value });
  };
  const take = async () => {
    if (!looked) return;
    const file = TABLE.file(changed.length);
    const answer = await run({ list, text: looked.text, edition: looked.preview.edition, file });
    if (answer.ok) onTaken(answer.value.edition);
  };
  if (looked)
    return (
      <div className={styles.looked}>
        <p>
          <Button variant="outlined" onClick={() => setLooked(undefined)}>
            {TABLE.goOn}
          </Button>
        </p>
        <Trouble issues={issues} />
        <Preview preview={looked.preview} busy={busy} onTake={() => void take()} />
      </div>
    );
  return (
    <>
      <CellGrid
        label={TABLE.names[list]}
        columns={columns}
        widths={widths}
        rows={inSight}
        wrong={(row) => wrong.get(row.id)}
        filters={filters}
        onFilter={(column, text) => setFilters({ ...filters, [column]: text })}
        onPlace={setAt}
        onTouch={() => void touch()}
        type={({ row, column }, text) => set(written(rows, [{ row: shown[row]!, column, text }]))}
        paste={(selection, text) =>
          void touch().then(({ blockOf }) => set(pasted(rows, shown, selection, blockOf(text), start)))
        }
        copy={(selection) => tools?.textOfBlock(copied(rows, shown, selection)) ?? ''}
        clear={(selection) => set(cleared(rows, shown, selection))}
        fillDown={(selection) => set(filledDown(rows, shown, selection))}
        undo={undo}
        redo={redo}
      />
      <footer className={styles.foot}>
        <p role="status">
          {here ? (
            <CellFault column={columns[at.column]!} issue={here} />
          ) : (
            <span className="soft">{wrongRows > 0 ? TABLE.wrong(wrongRows) : TABLE.keys}</span>
          )}
        </p>
        <Trouble issues={issues} />
        <Button variant="text" disabled={!undo} onClick={undo}>
          {TABLE.undo}
        </Button>
        <Button variant="text" disabled={!redo} onClick={redo}>
          {TABLE.redo}
        </Button>
        <Button variant="outlined" onClick={() => set(withRow(rows, start))}>
          {TABLE.add}
        </Button>
        <Button variant="contained" disabled={changed.length === 0 || wrongRows > 0} onClick={() => void look()}>
          {TABLE.look(changed.length)}
        </Button>
      </footer>
    </>
  );
}
