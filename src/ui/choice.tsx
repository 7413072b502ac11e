'use client';
/** A choice between few, all in sight. Each is a button that says whether it is chosen. */
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { ReactNode } from 'react';

export interface ChoiceProps<T extends string | number> {
  readonly label: string;
  readonly value: T | undefined;
  /** Each with its name, and what it is called aloud where the name is too short. */
  readonly options: readonly (readonly [value: T, name: ReactNode, aloud?: string])[];
  readonly onChange: (value: T) => void;
  /** Given where nothing may be chosen: the chosen one was pressed again. */
  readonly onClear?: () => void;
  readonly className?: string | undefined;
  readonly disabled?: boolean;
}

export function Choice<T extends string | number>({
  label,
  value,
  options,
  onChange,
  className,
  disabled = false,
  onClear,
}: ChoiceProps<T>) {
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={value ?? null}
      aria-label={label}
      className={className ?? ''}
      disabled={disabled}
      // The chosen one pressed again stays chosen, unless nothing may be.
      onChange={(_event, to: T | null) => (to === null ? onClear?.() : onChange(to))}
    >
      {options.map(([key, name, aloud]) => (
        <ToggleButton key={key} value={key} aria-label={aloud}>
          {name}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
