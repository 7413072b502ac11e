'use client';
/**
 * A field for a length as people write it. It keeps what was typed, right or wrong; the last good value stays in
 * force; what is wrong stands below. Enter goes on to the next field.
 */
import InputBase from '@mui/material/Input';
import dynamic from 'next/dynamic';
import { memo, useId } from 'react';
import type { Issue } from '@/core/issue';
import { FINEST, fieldText } from '@/core/units/format-length';
import type { Length, Unit } from '@/core/units/length';
import styles from './fields.module.css';
import { useUnit } from './units';
import { useHydrated } from './use-hydrated';
import { patient } from './patient';

const Sentences = dynamic(() => patient(() => import('./sentences')).then((file) => file.Sentences), {
  loading: () => null,
});

export interface LengthFieldProps {
  readonly label: string;
  /** Undefined where it may be left empty. */
  readonly value: Length | undefined;
  /** What was typed, while it is not yet (or not exactly) what the value shows. */
  readonly typed?: string | undefined;
  readonly issue?: Issue | undefined;
  readonly onType: (text: string) => void;
  readonly onCommit: () => void;
  readonly hint?: string | undefined;
  readonly name: string;
  readonly disabled?: boolean | undefined;
}

/** Moves to the next field of the same form, as the talk goes: past rows of buttons and ticks, which Tab comes to. */
export function focusNext(from: HTMLElement): void {
  const root = from.closest('[data-fields]') ?? document.body;
  const fields = [
    ...root.querySelectorAll<HTMLElement>('input:not([disabled], [type=checkbox]), textarea, [role=combobox]'),
  ];
  fields[fields.indexOf(from) + 1]?.focus();
}

/** Whether the field can show the value exactly in this unit. */
export const showsExactly = (value: Length, unit: Unit): boolean => value % FINEST[unit] === 0;

export const LengthField = memo(function LengthField({
  label,
  value,
  typed,
  issue,
  onType,
  onCommit,
  hint,
  name,
  disabled,
}: LengthFieldProps) {
  const { unit } = useUnit();
  const id = useId();
  const text = typed ?? (value === undefined ? '' : fieldText(value, unit));
  const near = typed === undefined && value !== undefined && !showsExactly(value, unit);
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <InputBase
        id={id}
        name={name}
        value={text}
        fullWidth
        disabled={disabled ?? false}
        readOnly={!useHydrated()}
        error={issue !== undefined}
        autoComplete="off"
        onChange={(event) => onType(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={onCommit}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          onCommit();
          focusNext(event.target as HTMLElement);
        }}
        slotProps={{ input: { 'aria-describedby': `${id}-says`, inputMode: 'text', spellCheck: false } }}
        endAdornment={
          <span className="unit">
            {near ? '≈ ' : ''}
            {unit}
          </span>
        }
      />
      <div id={`${id}-says`} className={issue ? styles.wrong : styles.hint}>
        {issue ? <Sentences issues={[issue]} /> : hint}
      </div>
    </div>
  );
});
