'use client';
/** A supplier's list: looked at row by row before anything changes, then taken whole or not at all. */
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { LARGEST_LIST } from '@/contract/commands';
import type { ImportPreview } from '@/contract/views';
import { type Issue, issue } from '@/core/issue';
import { FractionText } from '@/ui/figures';
import { ask, send } from '@/ui/send';
import { Note, Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { sayIssue } from '@/words/issues';
import styles from './books.module.css';

const DOES = { refuse: 'Refused', add: 'Added', change: 'Changed', same: 'As it is' } as const;
const ORDER = ['refuse', 'change', 'add', 'same'] as const;

interface Chosen {
  readonly name: string;
  readonly text: string;
  readonly preview: ImportPreview;
  readonly id: string;
}

function Rows({ preview, only }: { preview: ImportPreview; only: string | undefined }) {
  const { unit } = useUnit();
  const rows = only ? preview.rows.filter((row) => row.does === only) : preview.rows;
  return (
    <table className={styles.rows}>
      <thead>
        <tr>
          <th className="num">Row</th>
          <th>Code</th>
          <th>Name</th>
          <th />
          <th>Why, or what changes</th>
        </tr>
      </thead>
      <tbody>
        {rows.slice(0, 500).map((row) => (
          <tr key={row.row} data-does={row.does}>
            <td className="num">{row.row}</td>
            <td>{row.code || '—'}</td>
            <td>{row.name}</td>
            <td>
              <span className={styles.does}>{DOES[row.does]}</span>
            </td>
            <td>
              {row.issues.map((issue, index) => (
                <p key={index}>
                  {issue.path && <b>{issue.path}: </b>}
                  <FractionText text={sayIssue(issue, unit)} />
                </p>
              ))}
              {row.changes.map((change) => (
                <p key={change.field}>
                  <b>{change.field}: </b>
                  {change.from || 'nothing'} → {change.to || 'nothing'}
                </p>
              ))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

export function ImportList({ onClose }: { onClose: () => void }) {
  const router = useRouter();
  const field = useRef<HTMLInputElement>(null);
  const [chosen, setChosen] = useState<Chosen | undefined>();
  const [only, setOnly] = useState<string | undefined>();
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [done, setDone] = useState<{ added: number; changed: number; edition: number } | undefined>();
  const [busy, setBusy] = useState(false);

  const choose = async (file: File | undefined) => {
    setDone(undefined);
    setChosen(undefined);
    setOnly(undefined);
    if (!file) return;
    if (file.size > LARGEST_LIST)
      return setIssues([issue('file-too-large', { name: file.name, megabytes: (file.size / 1e6).toFixed(1) })]);
    setBusy(true);
    const text = await file.text();
    const answer = await ask<ImportPreview>('/api/import-preview', {
      method: 'POST',
      body: text,
      headers: { 'content-type': 'text/csv', 'x-lopren-upload': 'list' },
    });
    setBusy(false);
    if (!answer.ok) return setIssues(answer.issues);
    setIssues(answer.value.issues);
    if (answer.value.issues.length === 0)
      setChosen({ name: file.name, text, preview: answer.value, id: crypto.randomUUID() });
  };
  const take = async () => {
    if (!chosen) return;
    setBusy(true);
    const answer = await send<{ added: number; changed: number; edition: number }>(
      'import-mouldings',
      { text: chosen.text, edition: chosen.preview.edition, file: chosen.name.slice(0, 200) },
      chosen.id,
    );
    setBusy(false);
    setIssues(answer.ok ? [] : answer.issues);
    if (!answer.ok) return;
    setDone(answer.value);
    setChosen(undefined);
    router.refresh();
  };
  const count = (does: string) => chosen?.preview.rows.filter((row) => row.does === does).length ?? 0;
  const refused = count('refuse');
  const fresh = count('add') + count('change');
  return (
    <main className={styles.books}>
      <header>
        <h1>Import a list</h1>
        <p className="soft">
          {chosen ? `${chosen.name}, ${chosen.preview.rows.length} rows` : 'CSV with the columns of the export'}
        </p>
        <span className={styles.grow} />
        <Button variant="outlined" onClick={onClose}>
          Back to the price list
        </Button>
        <input
          ref={field}
          type="file"
          accept=".csv,text/csv,text/plain"
          className="sr"
          aria-label="The list as CSV"
          tabIndex={-1}
          onChange={(event) =>
            void choose(event.target.files?.[0]).finally(() => field.current && (field.current.value = ''))
          }
        />
        <Button variant={chosen ? 'outlined' : 'contained'} disabled={busy} onClick={() => field.current?.click()}>
          {chosen ? 'Choose another file' : 'Choose the file'}
        </Button>
      </header>
      <div className={styles.import}>
        <Trouble issues={issues} />
        {done && (
          <p className={styles.took}>
            Edition {done.edition}: {done.added} added, {done.changed} changed. They can be chosen at the desk now.
          </p>
        )}
        {chosen && (
          <>
            <div className={styles.counts} role="group" aria-label="Show only">
              {ORDER.filter((does) => count(does) > 0).map((does) => (
                <button
                  key={does}
                  type="button"
                  aria-pressed={only === does}
                  data-does={does}
                  onClick={() => setOnly(only === does ? undefined : does)}
                >
                  <b>{count(does)}</b> {DOES[does].toLowerCase()}
                </button>
              ))}
              <span className={styles.grow} />
              {refused === 0 && (
                <Button variant="contained" disabled={busy || fresh === 0} onClick={() => void take()}>
                  {fresh === 0 ? 'Nothing new' : `Take all ${fresh}`}
                </Button>
              )}
            </div>
            {refused > 0 && (
              <Note tone="refuse">
                {refused} {refused === 1 ? 'row is' : 'rows are'} refused, so nothing is taken: a list comes in whole or
                not at all. Mend the file and choose it again.
              </Note>
            )}
            {chosen.preview.ignored.length > 0 && (
              <Note tone="advise">Columns that are not used: {chosen.preview.ignored.join(', ')}</Note>
            )}
            <Rows preview={chosen.preview} only={only} />
          </>
        )}
      </div>
    </main>
  );
}
