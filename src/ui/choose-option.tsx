/** One thing to choose, with its colour where it has one. */
import type { ReactNode } from 'react';
import styles from './fields.module.css';

export interface Option {
  readonly code: string;
  readonly name: ReactNode;
  readonly colour?: string;
}
export const Named = ({ option }: { option: Option }) => (
  <span className={styles.chosen}>
    {option.colour && <i style={{ background: option.colour }} />}
    <span>{option.name}</span>
  </span>
);
