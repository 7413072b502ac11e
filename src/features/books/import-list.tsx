'use client';
/** A supplier's list: looked at row by row before anything changes, then taken whole or not at all. */
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import { useState } from 'react';
import type { ImportPreview } from '@/contract/views';
import { LARGEST_LIST } from '@/contract/limits';
import { type Issue, issue } from '@/core/issue';
import { FileButton } from '@/ui/file-button';
import { FractionText } from '@/ui/figures';
import { ask } from '@/ui/send';
import { Cell, Row, SheetTable } from '@/ui/sheet-table';
import { Note, Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { useCommand } from '@/ui/use-command';
import { sayIssue } from '@/words/issues';
import { IMPORT } from '@/words/screens/books';
import styles from './books.module.css';

const ORDER = ['refuse', 'change', 'add', 'same'] as const;
type Does = (typeof ORDER)[number];
const SHOWN = 500;

interface Chosen {
  readonly name: string;
  readonly text: string;
  readonly preview: ImportPreview;
}
type ReadFile = { readonly chosen: Chosen } | { readonly issues: readonly Issue[] };

/** Looks at a file without changing anything. */
async function look(file: File): Promise<ReadFile> {
  if (file.size > LARGEST_LIST)
    return { issues: [issue('file-too-large', { name: file.name, megabytes: (file.size / 1e6).toFixed(1) })] };
  const text = await file.text();
  const answer = await ask<ImportPreview>('/api/import-preview', {
    method: 'POST',
    body: text,
    headers: { 'content-type': 'text/csv', 'x-lopren-upload': 'list' },
  });
  if (!answer.ok) return { issues: answer.issues };
  if (answer.value.issues.length > 0) return { issues: answer.value.issues };
  return { chosen: { name: file.name, text, preview: answer.value } };
}

function Rows({ preview, only }: { preview: ImportPreview; only: Does | undefined }) {
  const { unit } = useUnit();
  const rows = only ? preview.rows.filter((row) => row.does === only) : preview.rows;
  return (
    <SheetTable label={IMPORT.rows} columns={IMPORT.columns} className={styles.rows}>
      {rows.slice(0, SHOWN).map((row) => (
        <Row key={row.row} data-does={row.does}>
          <Cell num>{row.row}</Cell>
          <Cell>{row.code || '—'}</Cell>
          <Cell>{row.name}</Cell>
          <Cell>
            <span className={styles.does}>{IMPORT.does[row.does]}</span>
          </Cell>
          <Cell>
            {row.issues.map((one, index) => (
              <p key={index}>
                {one.path && <b>{one.path}: </b>}
                <FractionText text={sayIssue(one, unit)} />
              </p>
            ))}
            {row.changes.map((change) => (
              <p key={change.field}>
                <b>{change.field}: </b>
                {IMPORT.change(change.from, change.to)}
              </p>
            ))}
          </Cell>
        </Row>
      ))}
    </SheetTable>
  );
}

function Preview({ chosen, busy, onTake }: { chosen: Chosen; busy: boolean; onTake: () => void }) {
  const [only, setOnly] = useState<Does | undefined>();
  const { preview } = chosen;
  const count = (does: Does) => preview.rows.filter((row) => row.does === does).length;
  const refused = count('refuse');
  const fresh = count('add') + count('change');
  return (
    <>
      <div className={styles.counts} role="group" aria-label={IMPORT.showOnly}>
        {ORDER.filter((does) => count(does) > 0).map((does) => (
          <ToggleButton
            key={does}
            value={does}
            selected={only === does}
            data-does={does}
            onChange={() => setOnly(only === does ? undefined : does)}
          >
            <b>{count(does)}</b>&nbsp;{IMPORT.does[does].toLowerCase()}
          </ToggleButton>
        ))}
        <span className={styles.grow} />
        {refused === 0 && (
          <Button variant="contained" disabled={busy || fresh === 0} onClick={onTake}>
            {fresh === 0 ? IMPORT.nothingNew : IMPORT.takeAll(fresh)}
          </Button>
        )}
      </div>
      {refused > 0 && <Note tone="refuse">{IMPORT.refused(refused)}</Note>}
      {preview.ignored.length > 0 && <Note tone="advise">{IMPORT.ignored(preview.ignored)}</Note>}
      <Rows preview={preview} only={only} />
    </>
  );
}

export function ImportList({ onClose }: { onClose: () => void }) {
  const { run, busy, issues, setIssues } = useCommand<
    'import-mouldings',
    { added: number; changed: number; edition: number }
  >('import-mouldings');
  const [looking, setLooking] = useState(false);
  const [chosen, setChosen] = useState<Chosen | undefined>();
  const [done, setDone] = useState('');
  const choose = async (file: File) => {
    setDone('');
    setLooking(true);
    const read = await look(file);
    setLooking(false);
    setChosen('chosen' in read ? read.chosen : undefined);
    setIssues('issues' in read ? read.issues : []);
  };
  const take = async () => {
    if (!chosen) return;
    const { text, name, preview } = chosen;
    const answer = await run({ text, edition: preview.edition, file: name.slice(0, 200) });
    if (!answer.ok) return;
    setDone(IMPORT.done(answer.value));
    setChosen(undefined);
  };
  return (
    <main className={styles.books}>
      <header>
        <h1>{IMPORT.head}</h1>
        <p className="soft">{chosen ? IMPORT.file(chosen.name, chosen.preview.rows.length) : IMPORT.columnsOfExport}</p>
        <span className={styles.grow} />
        <Button variant="outlined" onClick={onClose}>
          {IMPORT.back}
        </Button>
        <FileButton
          label={IMPORT.listAsCsv}
          accept=".csv,text/csv,text/plain"
          variant={chosen ? 'outlined' : 'contained'}
          disabled={busy || looking}
          onFile={(file) => void choose(file)}
        >
          {chosen ? IMPORT.chooseOther : IMPORT.choose}
        </FileButton>
      </header>
      <div className={styles.import}>
        <Trouble issues={issues} />
        {done && (
          <p className={styles.took} role="status">
            {done}
          </p>
        )}
        {chosen && (
          <Preview key={chosen.name + chosen.text.length} chosen={chosen} busy={busy} onTake={() => void take()} />
        )}
      </div>
    </main>
  );
}
