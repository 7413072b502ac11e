'use client';
/**
 * A choice from a list: what was chosen stands on the line; the list is fetched when it is opened for the first time. A
 * value that left the list is said, not lost.
 */
import ButtonBase from '@mui/material/ButtonBase';
import dynamic from 'next/dynamic';
import { type KeyboardEvent, type ReactNode, useId, useState } from 'react';
import { LISTED } from '@/words/screens/listed';
import { Named, type Option } from './choose-option';
import styles from './fields.module.css';
import { focusNext } from './length-field';
import { patient } from './patient';

const ChooseList = dynamic(() => patient(() => import('./choose-list')).then((file) => file.ChooseList), {
  loading: () => null,
});

interface ChooseProps {
  readonly label: ReactNode;
  readonly name: string;
  readonly value: string;
  readonly options: readonly Option[];
  readonly onChange: (code: string) => void;
  readonly disabled?: boolean;
}

/** A blank opens as it opens any button, when it is let go: pressed, its other half would choose in the open list. */
const OPENING = ['ArrowDown', 'ArrowUp', 'Enter'];

export function Choose({ label, name, value, options, onChange, disabled = false }: ChooseProps) {
  const id = useId();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const chosen = options.find((option) => option.code === value);
  const open = (from: HTMLElement) => setAnchor(from);
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    if (!OPENING.includes(event.key)) return;
    event.preventDefault();
    // Where Enter walks from field to field, it passes; a blank or an arrow opens.
    if (event.key === 'Enter' && event.currentTarget.closest('[data-fields]')) focusNext(event.currentTarget);
    else open(event.currentTarget);
  };
  return (
    <div className={styles.field}>
      <label id={`${id}-label`} htmlFor={id}>
        {label}
      </label>
      <ButtonBase
        id={id}
        role="combobox"
        name={name}
        className={styles.choose ?? ''}
        disabled={disabled}
        aria-haspopup="listbox"
        aria-expanded={anchor !== null}
        aria-controls={`${id}-list`}
        aria-labelledby={`${id}-label ${id}`}
        onClick={(event) => open(event.currentTarget)}
        onKeyDown={onKeyDown}
      >
        {chosen ? <Named option={chosen} /> : <span>{value === '' ? LISTED.choose : LISTED.gone(value)}</span>}
        <i className={styles.down} aria-hidden="true" />
      </ButtonBase>
      {anchor && (
        <ChooseList
          id={`${id}-list`}
          labelledBy={`${id}-label`}
          anchor={anchor}
          value={value}
          options={options}
          onClose={() => setAnchor(null)}
          onChange={(code) => {
            setAnchor(null);
            onChange(code);
          }}
        />
      )}
    </div>
  );
}
