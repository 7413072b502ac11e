'use client';
/** Tabs with their panel: arrow keys walk them, and each names the panel it opens. */
import Tab from '@mui/material/Tab';
import MuiTabs from '@mui/material/Tabs';
import type { ReactNode } from 'react';

interface TabsProps<T extends string | number> {
  /** Distinguishes these tabs from others on the page. */
  readonly id: string;
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [T, ReactNode])[];
  readonly onChange: (value: T) => void;
  readonly className?: string;
}

export function Tabs<T extends string | number>({ id, label, value, options, onChange, className }: TabsProps<T>) {
  return (
    <MuiTabs
      value={value}
      aria-label={label}
      variant="scrollable"
      scrollButtons="auto"
      className={className ?? ''}
      onChange={(_event, to: T) => onChange(to)}
    >
      {options.map(([key, name]) => (
        <Tab key={key} value={key} label={name} id={`${id}-tab-${key}`} aria-controls={`${id}-panel`} />
      ))}
    </MuiTabs>
  );
}
