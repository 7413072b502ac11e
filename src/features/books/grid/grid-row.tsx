'use client';
/** One row of the table; drawn again only when something in it changed. */
import { memo, type CSSProperties, type ReactNode } from 'react';
import type { Issue } from '@/core/issue';
import { type TableRow, isChanged } from './cells';
import styles from './grid.module.css';

interface Props {
  readonly row: TableRow;
  readonly index: number;
  /** Pixels from the top. */
  readonly top: number;
  readonly template: CSSProperties;
  readonly issues: ReadonlyMap<number, Issue> | undefined;
  /** The selected columns, where this row is selected; −1 where it is not. */
  readonly left: number;
  readonly right: number;
  /** The column one stands on; −1 in all other rows. */
  readonly here: number;
  /** Stands in its place while a cell is changed. */
  readonly field: ReactNode;
}

export const GridRow = memo(function GridRow({ row, index, top, template, issues, left, right, here, field }: Props) {
  return (
    <div
      role="row"
      aria-rowindex={index + 2}
      className={styles.row}
      data-changed={isChanged(row) || undefined}
      style={{ ...template, transform: `translateY(${top}px)` }}
    >
      <span role="rowheader">{index + 1}</span>
      {row.cells.map((text, column) => (
        <span
          key={column}
          id={`cell-${index}-${column}`}
          role="gridcell"
          aria-selected={column >= left && column <= right}
          aria-invalid={issues?.has(column) || undefined}
          aria-readonly={(column === 0 && row.was !== undefined) || undefined}
          data-here={column === here || undefined}
        >
          {column === here && field ? field : text}
        </span>
      ))}
    </div>
  );
});
