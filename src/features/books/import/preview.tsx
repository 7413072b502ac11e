'use client';
/** What a list would do, row by row, before it does it. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import ToggleButton from '@mui/material/ToggleButton';
import { useState } from 'react';
import type { ImportPreview } from '@/contract/views';
import { FractionText } from '@/ui/figures';
import { Cell, Row, SheetTable } from '@/ui/sheet-table';
import { Note } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { sayIssue } from '@/words/issues';
import { IMPORT } from '@/words/screens/books';
import styles from '../books.module.css';
import own from './import.module.css';

const ORDER = ['refuse', 'change', 'add', 'same'] as const;
type Shown = (typeof ORDER)[number] | 'jump';
const USUAL_JUMP = '20';

type PreviewRow = ImportPreview['rows'][number];
const jumps = (row: PreviewRow, limit: number) => row.jump !== undefined && Math.abs(row.jump) > limit;

function Rows({ rows, limit }: { rows: readonly PreviewRow[]; limit: number }) {
  const { unit } = useUnit();
  return (
    <SheetTable label={IMPORT.rows} columns={IMPORT.columns} className={styles.rows}>
      {rows.map((row) => (
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
                {change.field === 'cost' && jumps(row, limit) && (
                  <span className={own.jump}> {IMPORT.jump(row.jump ?? 0)}</span>
                )}
              </p>
            ))}
          </Cell>
        </Row>
      ))}
    </SheetTable>
  );
}

interface Props {
  readonly preview: ImportPreview;
  readonly busy: boolean;
  readonly onTake: () => void;
}
export function Preview({ preview, busy, onTake }: Props) {
  const [only, setOnly] = useState<Shown | undefined>();
  const [typed, setTyped] = useState(USUAL_JUMP);
  const limit = /^\d{1,4}$/.test(typed) ? Number(typed) : Number(USUAL_JUMP);
  const { counts } = preview;
  const jumping = preview.jumps.filter((jump) => Math.abs(jump) > limit).length;
  const fresh = counts.add + counts.change;
  const rows = preview.rows.filter((row) =>
    only === undefined ? true : only === 'jump' ? jumps(row, limit) : row.does === only,
  );
  const toggle = (shown: Shown, count: number, name: string) => (
    <ToggleButton
      key={shown}
      value={shown}
      selected={only === shown}
      data-does={shown}
      onChange={() => setOnly(only === shown ? undefined : shown)}
    >
      <b>{count}</b>&nbsp;{name}
    </ToggleButton>
  );
  return (
    <>
      <div className={styles.counts} role="group" aria-label={IMPORT.showOnly}>
        {ORDER.filter((does) => counts[does] > 0).map((does) =>
          toggle(does, counts[does], IMPORT.does[does].toLowerCase()),
        )}
        {preview.jumps.length > 0 && (
          <>
            {toggle('jump', jumping, IMPORT.jumpOver(limit))}
            <Input
              className={own.limit ?? ''}
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
              endAdornment={<span className="soft">%</span>}
              slotProps={{ input: { 'aria-label': IMPORT.jumpLimit, inputMode: 'numeric', maxLength: 4 } }}
            />
          </>
        )}
        <span className={styles.grow} />
        {counts.refuse === 0 && (
          <Button variant="contained" disabled={busy || fresh === 0} onClick={onTake}>
            {fresh === 0 ? IMPORT.nothingNew : IMPORT.takeAll(fresh)}
          </Button>
        )}
      </div>
      {counts.refuse > 0 && <Note tone="refuse">{IMPORT.refused(counts.refuse)}</Note>}
      {preview.ignored.length > 0 && <Note tone="advise">{IMPORT.ignored(preview.ignored)}</Note>}
      <Rows rows={rows} limit={limit} />
    </>
  );
}
