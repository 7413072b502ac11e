'use client';
/** Cells that are walked and edited as in a spreadsheet; only the rows in sight are drawn. */
import { useVirtualizer } from '@tanstack/react-virtual';
import { type ClipboardEvent, type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react';
import type { Issue } from '@/core/issue';
import { TABLE } from '@/words/screens/table';
import { type Place, type Selection, type TableRow, rangeOf } from './cells';
import { GridRow } from './grid-row';
import styles from './grid.module.css';

const ROW = 30;
const OVERSCAN = 12;
const PAGE = 15;

export interface GridActions {
  readonly type: (at: Place, text: string) => void;
  readonly paste: (selection: Selection, text: string) => void;
  readonly copy: (selection: Selection) => string;
  readonly clear: (selection: Selection) => void;
  readonly fillDown: (selection: Selection) => void;
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
}
interface Props extends GridActions {
  readonly label: string;
  readonly columns: readonly string[];
  /** Pixels of each column. */
  readonly widths: readonly number[];
  readonly rows: readonly TableRow[];
  readonly wrong: (row: TableRow) => ReadonlyMap<number, Issue> | undefined;
  readonly filters: Readonly<Record<number, string>>;
  readonly onFilter: (column: number, text: string) => void;
  readonly onPlace: (at: Place) => void;
  readonly onTouch: () => void;
}

const START: Selection = { from: { row: 0, column: 0 }, to: { row: 0, column: 0 } };

/** The cell that something happened in. */
function placeOf(target: EventTarget): Place | undefined {
  const cell = target instanceof HTMLElement ? target.closest('[role="gridcell"]') : null;
  const [, row, column] = /^cell-(\d+)-(\d+)$/.exec(cell?.id ?? '') ?? [];
  return row === undefined ? undefined : { row: Number(row), column: Number(column) };
}

export function CellGrid(props: Props) {
  const { label, columns, widths, rows, wrong, filters, onFilter, onPlace } = props;
  const frame = useRef<HTMLDivElement>(null);
  const field = useRef<HTMLInputElement>(null);
  const [selection, setSelection] = useState(START);
  const [editing, setEditing] = useState<string | undefined>();
  // The table can have become shorter by a filter or by going back.
  const last = Math.max(0, rows.length - 1);
  const within = ({ row, column }: Place): Place => ({ row: Math.min(row, last), column });
  const chosen: Selection = { from: within(selection.from), to: within(selection.to) };
  const at = chosen.to;
  const range = rangeOf(chosen);
  // eslint-disable-next-line react-hooks/incompatible-library -- the virtual list is read in this component only
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW,
    overscan: OVERSCAN,
  });
  const template = useMemo(
    () => ({ gridTemplateColumns: `56px ${widths.map((width) => `${width}px`).join(' ')}` }),
    [widths],
  );
  const canEdit = ({ row, column }: Place) => rows[row] !== undefined && (column > 0 || rows[row].was === undefined);

  const go = (to: Place, extend: boolean) => {
    const place = {
      row: Math.min(Math.max(0, to.row), last),
      column: Math.min(Math.max(0, to.column), columns.length - 1),
    };
    setSelection(extend ? { from: chosen.from, to: place } : { from: place, to: place });
    virtual.scrollToIndex(place.row, { align: 'auto' });
    onPlace(place);
  };
  const edit = (text: string) => canEdit(at) && setEditing(text);
  const commit = () => {
    if (editing !== undefined && rows[at.row]) props.type(at, editing.trim());
    setEditing(undefined);
    frame.current?.focus();
  };
  useEffect(() => {
    if (editing !== undefined) field.current?.focus();
  }, [editing]);

  const WALK: Readonly<Record<string, Place>> = {
    ArrowUp: { row: -1, column: 0 },
    ArrowDown: { row: 1, column: 0 },
    ArrowLeft: { row: 0, column: -1 },
    ArrowRight: { row: 0, column: 1 },
    PageUp: { row: -PAGE, column: 0 },
    PageDown: { row: PAGE, column: 0 },
  };
  const shortcut = (event: KeyboardEvent): boolean => {
    const key = event.key.toLowerCase();
    if (key === 'd') props.fillDown(chosen);
    else if (key === 'z') (event.shiftKey ? props.redo : props.undo)?.();
    else if (key === 'y') props.redo?.();
    else if (key === 'a') setSelection({ from: START.from, to: { row: last, column: columns.length - 1 } });
    else if (key === 'home') go({ row: 0, column: 0 }, event.shiftKey);
    else if (key === 'end') go({ row: last, column: columns.length - 1 }, event.shiftKey);
    else if (key === 'arrowdown') go({ row: last, column: at.column }, event.shiftKey);
    else if (key === 'arrowup') go({ row: 0, column: at.column }, event.shiftKey);
    else return false;
    return true;
  };
  const plainKey = (event: KeyboardEvent): boolean => {
    const walk = WALK[event.key];
    if (walk) go({ row: at.row + walk.row, column: at.column + walk.column }, event.shiftKey);
    else if (event.key === 'Home') go({ row: at.row, column: 0 }, event.shiftKey);
    else if (event.key === 'End') go({ row: at.row, column: columns.length - 1 }, event.shiftKey);
    else if (event.key === 'Enter' || event.key === 'F2') edit(rows[at.row]?.cells[at.column] ?? '');
    else if (event.key === 'Delete' || event.key === 'Backspace') props.clear(chosen);
    else if (event.key.length === 1) edit(event.key);
    else return false;
    return true;
  };
  const onKeyDown = (event: KeyboardEvent<HTMLDivElement>) => {
    if (editing !== undefined || event.target !== frame.current || event.altKey) return;
    const taken = event.ctrlKey || event.metaKey ? shortcut(event) : plainKey(event);
    if (taken) event.preventDefault();
  };
  const onFieldKey = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Escape') {
      setEditing(undefined);
      frame.current?.focus();
    } else if (event.key === 'Enter' || event.key === 'Tab') {
      commit();
      const by = event.shiftKey ? -1 : 1;
      go(
        event.key === 'Enter' ? { row: at.row + by, column: at.column } : { row: at.row, column: at.column + by },
        false,
      );
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const onClipboard = (event: ClipboardEvent<HTMLDivElement>) => {
    if (editing !== undefined || event.target !== frame.current || rows.length === 0) return;
    event.preventDefault();
    if (event.type === 'paste') return props.paste(chosen, event.clipboardData.getData('text/plain'));
    event.clipboardData.setData('text/plain', props.copy(chosen));
    if (event.type === 'cut') props.clear(chosen);
  };
  return (
    <div
      ref={frame}
      className={styles.frame}
      role="grid"
      tabIndex={0}
      aria-label={label}
      aria-rowcount={rows.length + 1}
      aria-colcount={columns.length}
      aria-multiselectable
      aria-activedescendant={rows.length > 0 ? `cell-${at.row}-${at.column}` : undefined}
      onFocus={props.onTouch}
      onKeyDown={onKeyDown}
      onPaste={onClipboard}
      onCopy={onClipboard}
      onCut={onClipboard}
    >
      <div role="row" aria-rowindex={1} className={styles.head} style={template}>
        <span role="columnheader">
          <span className="sr">{TABLE.row}</span>
        </span>
        {columns.map((column, place) => (
          <label key={column} role="columnheader">
            {column}
            <input
              type="search"
              value={filters[place] ?? ''}
              maxLength={80}
              placeholder={TABLE.filter}
              aria-label={TABLE.filterLong(column)}
              onChange={(event) => onFilter(place, event.target.value)}
            />
          </label>
        ))}
      </div>
      <div
        className={styles.body}
        style={{ height: virtual.getTotalSize() }}
        onMouseDown={(event) => {
          const place = placeOf(event.target);
          if (!place || event.target === field.current) return;
          if (editing !== undefined) commit();
          go(place, event.shiftKey);
        }}
        onMouseOver={(event) => {
          const place = event.buttons === 1 && editing === undefined ? placeOf(event.target) : undefined;
          if (place) setSelection({ from: chosen.from, to: place });
        }}
        onDoubleClick={() => edit(rows[at.row]?.cells[at.column] ?? '')}
      >
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index]!;
          const selected = index >= range.top && index <= range.bottom;
          const here = index === at.row;
          return (
            <GridRow
              key={row.id}
              row={row}
              index={index}
              top={start}
              template={template}
              issues={wrong(row)}
              left={selected ? range.left : -1}
              right={selected ? range.right : -1}
              here={here ? at.column : -1}
              field={
                here && editing !== undefined ? (
                  <input
                    ref={field}
                    value={editing}
                    maxLength={200}
                    aria-label={TABLE.cell(columns[at.column]!, index + 1)}
                    onChange={(event) => setEditing(event.target.value)}
                    onKeyDown={onFieldKey}
                    onBlur={commit}
                  />
                ) : undefined
              }
            />
          );
        })}
      </div>
    </div>
  );
}
