'use client';
/** The fields of the desk: a measure, a text, a choice from a list, a choice between few. */
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useContext } from 'react';
import type { Path } from '@/core/design/edit';
import type { Length, Unit } from '@/core/units/length';
import { Choice } from '@/ui/choice';
import { Choose } from '@/ui/choose';
import { LengthField } from '@/ui/length-field';
import { PlainField } from '@/ui/plain-field';
import { type DraftPiece, keyOf, lengthAt, typedIssue } from './draft';
import { RefusedAt } from './refused-at';
import type { Desk } from './use-desk';

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
  const refused = useContext(RefusedAt);
  return (
    <LengthField
      label={label}
      name={keyOf(path)}
      value={lengthAt(piece, path) ?? usual}
      typed={piece.typed[keyOf(path)]}
      issue={typedIssue(piece, path, unit) ?? refused.find((issue) => issue.path === keyOf(path))}
      hint={hint}
      onType={(text) => desk.type(path, text)}
      onCommit={() => desk.commit(path)}
    />
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

export { Choose, PlainField as TextField };
