'use client';
/** A choice from a list, by MUI's select; a value that left the list is said, not lost. */
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { type ReactNode, useId } from 'react';
import { LISTED } from '@/words/screens/frame';
import styles from './fields.module.css';

export interface Option {
  readonly code: string;
  readonly name: ReactNode;
  readonly colour?: string;
}
interface ChooseProps {
  readonly label: ReactNode;
  readonly name: string;
  readonly value: string;
  readonly options: readonly Option[];
  readonly onChange: (code: string) => void;
  readonly disabled?: boolean;
}

const Named = ({ option }: { option: Option }) => (
  <span className={styles.chosen}>
    {option.colour && <i style={{ background: option.colour }} />}
    {option.name}
  </span>
);

export function Choose({ label, name, value, options, onChange, disabled = false }: ChooseProps) {
  const id = useId();
  const gone = !options.some((option) => option.code === value);
  return (
    <div className={styles.field}>
      <label id={id}>{label}</label>
      <Select
        fullWidth
        name={name}
        value={value}
        labelId={id}
        disabled={disabled}
        displayEmpty
        onChange={(event) => onChange(event.target.value)}
        renderValue={(code) => {
          const chosen = options.find((option) => option.code === code);
          return chosen ? <Named option={chosen} /> : code === '' ? LISTED.choose : LISTED.gone(code);
        }}
      >
        {gone && (
          <MenuItem value={value} disabled>
            {value || LISTED.choose}
          </MenuItem>
        )}
        {options.map((option) => (
          <MenuItem key={option.code} value={option.code}>
            <Named option={option} />
          </MenuItem>
        ))}
      </Select>
    </div>
  );
}
