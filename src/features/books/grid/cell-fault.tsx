'use client';
/** What is wrong in the cell that one stands on. */
import type { Issue } from '@/core/issue';
import { FractionText } from '@/ui/figures';
import { useUnit } from '@/ui/units';
import { sayIssue } from '@/words/issues';
import styles from './grid.module.css';

export function CellFault({ column, issue }: { column: string; issue: Issue }) {
  const { unit } = useUnit();
  return (
    <span className={styles.wrong}>
      {column}: <FractionText text={sayIssue(issue, unit)} />
    </span>
  );
}
