'use client';
/** Figures to be read from where the hands are. */
import type { Length, Size } from '@/core/units/length';
import { Len } from '@/ui/figures';
import styles from './bench.module.css';

export const Big = ({ value }: { value: Length }) => (
  <span className={styles.big}>
    <Len value={value} bare fine />
  </span>
);
export const BigSize = ({ of: size }: { of: Size }) => (
  <span className={styles.bigSize}>
    <Len value={size.w} bare fine /> <i>×</i> <Len value={size.h} bare fine />
  </span>
);
