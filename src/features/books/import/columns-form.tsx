'use client';
/** Which column of the file is which of ours, or what is the same in every row. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import { useState } from 'react';
import { columnsMissing } from '@/core/supplier-list/columns';
import { columnName } from '@/core/supplier-list/list';
import { listKind } from '@/core/supplier-list/lists';
import type { ColumnMap, ListName } from '@/core/supplier-list/names';
import { Choose } from '@/ui/choose';
import { IMPORT } from '@/words/screens/books';
import styles from './import.module.css';
import type { Cells } from './read-file';

interface Props {
  readonly list: ListName;
  readonly cells: Cells;
  readonly start: ColumnMap;
  readonly busy: boolean;
  readonly onLook: (map: ColumnMap) => void;
}
const SAME = '=same';
const NONE = '=none';
const EXAMPLES = 3;

export function ColumnsForm({ list, cells, start, busy, onLook }: Props) {
  const [map, setMap] = useState<ColumnMap>(start);
  const kind = listKind(list);
  const [head = [], ...rows] = cells;
  const missing = columnsMissing(kind, map);
  const options = [
    { code: NONE, name: IMPORT.notThere },
    { code: SAME, name: IMPORT.sameInAll },
    ...head.flatMap((name, index) => (name.trim() === '' ? [] : [{ code: `${index}`, name }])),
  ];
  const valueOf = (column: string): string => {
    const source = map[column];
    if (!source) return NONE;
    if ('same' in source) return SAME;
    return String(head.findIndex((name) => columnName(name) === columnName(source.from)));
  };
  const set = (column: string, code: string) => {
    const { [column]: _before, ...rest } = map;
    if (code === NONE) setMap(rest);
    else setMap({ ...rest, [column]: code === SAME ? { same: '' } : { from: head[Number(code)]! } });
  };
  const examples = (column: string) => {
    const value = valueOf(column);
    if (value === NONE || value === SAME) return '';
    return rows
      .slice(0, EXAMPLES)
      .map((row) => row[Number(value)] ?? '')
      .filter(Boolean)
      .join(' · ');
  };
  return (
    <section className={styles.map} aria-label={IMPORT.whichColumn}>
      <p>{IMPORT.whichSay}</p>
      <ul>
        {kind.columns.map((column) => {
          const source = map[column];
          return (
            <li key={column} data-missing={missing.includes(column) || undefined}>
              <Choose
                label={column}
                name={column}
                value={valueOf(column)}
                options={options}
                onChange={(code) => set(column, code)}
              />
              {source && 'same' in source ? (
                <Input
                  value={source.same}
                  onChange={(event) => setMap({ ...map, [column]: { same: event.target.value } })}
                  slotProps={{ input: { 'aria-label': IMPORT.sameIs(column), maxLength: 120 } }}
                />
              ) : (
                <p className="soft">{examples(column)}</p>
              )}
            </li>
          );
        })}
      </ul>
      <div className={styles.look}>
        {missing.length > 0 && <p className={styles.missing}>{IMPORT.missing(missing)}</p>}
        <Button variant="contained" disabled={busy || missing.length > 0} onClick={() => onLook(map)}>
          {IMPORT.look}
        </Button>
      </div>
    </section>
  );
}
