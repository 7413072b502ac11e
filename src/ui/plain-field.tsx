'use client';
/** A field by itself, outside a form: its label, its text, what is wrong with it below. */
import Input from '@mui/material/Input';
import dynamic from 'next/dynamic';
import { useId } from 'react';
import type { Issue } from '@/core/issue';
import styles from './fields.module.css';
import { focusNext } from './length-field';
import { useHydrated } from './use-hydrated';
import { patient } from './patient';

const Sentences = dynamic(() => patient(() => import('./sentences')).then((file) => file.Sentences), {
  loading: () => null,
});

interface Props {
  readonly label: string;
  readonly name: string;
  readonly value: string;
  readonly most: number;
  readonly onChange: (text: string) => void;
  readonly wrong?: Issue | undefined;
  readonly hint?: string | undefined;
  /** What it is called aloud, where its label changes. */
  readonly aloud?: string;
  readonly first?: boolean;
  /** The id of a list of what is usual. */
  readonly list?: string;
  /** What Enter does; else it goes on to the next field. */
  readonly onEnter?: () => void;
}

export function PlainField({
  label,
  name,
  value,
  most,
  onChange,
  wrong,
  hint,
  aloud,
  first = false,
  list,
  onEnter,
}: Props) {
  const id = useId();
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        name={name}
        value={value}
        fullWidth
        autoFocus={first}
        autoComplete="off"
        readOnly={!useHydrated()}
        error={wrong !== undefined}
        onFocus={(event) => event.target.select()}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          if (onEnter) onEnter();
          else focusNext(event.target as HTMLElement);
        }}
        onChange={(event) => onChange(event.target.value)}
        slotProps={{
          input: {
            maxLength: most,
            ...(list === undefined ? {} : { list }),
            ...(aloud === undefined ? {} : { 'aria-label': aloud }),
            'aria-invalid': wrong !== undefined,
            'aria-describedby': `${id}-says`,
          },
        }}
      />
      <div id={`${id}-says`} className={wrong ? styles.wrong : styles.hint}>
        {wrong ? <Sentences issues={[wrong]} /> : hint}
      </div>
    </div>
  );
}
