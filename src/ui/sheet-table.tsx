'use client';
/** A table of the shop: MUI's, with its heads given as data. A head without words is still named for screen readers. */
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { ReactNode } from 'react';

export interface Column {
  readonly name: string;
  readonly num?: true;
  /** Named only for who cannot see what stands below. */
  readonly unseen?: true;
}

interface Props {
  readonly label: string;
  readonly columns: readonly Column[];
  readonly className?: string | undefined;
  /** The heads are only named, where what stands below says itself. */
  readonly bare?: boolean;
  readonly sticky?: boolean;
  readonly children: ReactNode;
}

export function SheetTable({ label, columns, className, bare = false, sticky = false, children }: Props) {
  return (
    <Table size="small" className={className ?? ''} aria-label={label} stickyHeader={sticky}>
      <TableHead className={bare ? 'unseen' : ''}>
        <TableRow>
          {columns.map(({ name, num, unseen }) => (
            <TableCell key={name} align={num ? 'right' : 'left'}>
              {bare || unseen ? <span className="sr">{name}</span> : name}
            </TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>{children}</TableBody>
    </Table>
  );
}

export { TableRow as Row };
export function Cell({
  num,
  className,
  children,
}: {
  num?: true;
  className?: string | undefined;
  children?: ReactNode;
}) {
  return (
    <TableCell align={num ? 'right' : 'left'} className={`${num ? 'num' : ''} ${className ?? ''}`}>
      {children}
    </TableCell>
  );
}
