'use client';
/** The fields of the desk: a measure, a text, a choice from a list, a choice between few. */
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Input from '@mui/material/Input';
import { useId } from 'react';
import type { Path } from '@/core/design/edit';
import type { Length, Unit } from '@/core/units/length';
import { Choice } from '@/ui/choice';
import { Choose } from '@/ui/choose';
import { LengthField, focusNext } from '@/ui/length-field';
import { type DraftPiece, keyOf, lengthAt, typedIssue } from './draft';
import styles from './desk.module.css';
import type { Desk } from './use-desk';
import { useHydrated } from '@/ui/use-hydrated';

interface MeasureProps {
  readonly label: string;
  readonly path: Path;
  readonly hint?: string;
  /** What counts while nothing is written. */
  readonly usual?: Length | undefined;
  readonly piece: DraftPiece;
  readonly unit: Unit;
  readonly desk: Pick<Desk, 'type' | 'commit'>;
}

export function Measure({ label, path, hint, usual, piece, unit, desk }: MeasureProps) {
  return (
    <LengthField
      label={label}
      name={keyOf(path)}
      value={lengthAt(piece, path) ?? usual}
      typed={piece.typed[keyOf(path)]}
      issue={typedIssue(piece, path, unit)}
      hint={hint}
      onType={(text) => desk.type(path, text)}
      onCommit={() => desk.commit(path)}
    />
  );
}

export function TextField({
  label,
  value,
  onChange,
  most: limit,
  name,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
  most: number;
  name: string;
}) {
  const id = useId();
  return (
    <div className={styles.text}>
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        name={name}
        value={value}
        fullWidth
        autoComplete="off"
        readOnly={!useHydrated()}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          focusNext(event.target as HTMLElement);
        }}
        onChange={(event) => onChange(event.target.value)}
        slotProps={{ input: { maxLength: limit } }}
      />
    </div>
  );
}

export function Tick({
  label,
  checked,
  onChange,
}: {
  label: string;
  checked: boolean;
  onChange: (on: boolean) => void;
}) {
  return (
    <FormControlLabel
      label={label}
      control={<Checkbox size="small" checked={checked} onChange={(event) => onChange(event.target.checked)} />}
    />
  );
}

/** A choice that may be left out. */
export function FromList({
  label,
  none,
  value,
  options,
  onChange,
}: {
  label: string;
  none: string;
  value: string | undefined;
  options: readonly { code: string; name: string; colour?: string }[];
  onChange: (code: string | undefined) => void;
}) {
  return (
    <Choose
      label={label}
      name={label}
      value={value ?? '-'}
      options={[{ code: '-', name: none }, ...options]}
      onChange={(code) => onChange(code === '-' ? undefined : code)}
    />
  );
}

export const Toggle = Choice;

export { Choose };
