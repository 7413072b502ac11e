'use client';
/** The open list of a choice; a long one is narrowed by typing above it. */
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { type KeyboardEvent, useRef, useState } from 'react';
import { LISTED } from '@/words/screens/listed';
import { Named, type Option } from './choose-option';
import styles from './fields.module.css';

interface Props {
  readonly id: string;
  readonly labelledBy: string;
  readonly anchor: HTMLElement;
  readonly value: string;
  readonly options: readonly Option[];
  readonly onChange: (code: string) => void;
  readonly onClose: () => void;
}

/** A list longer than this does not fit on a screen: it is searched. */
const LONG = 20;
/** After so long without a letter a name is begun anew. */
const PAUSE_MS = 1000;
const textOf = ({ name, code }: Option) => (typeof name === 'string' ? `${name} ${code}` : code).toLowerCase();

/** Letters, with the blanks between them, lead to the name that begins with them; a blank by itself chooses. */
function useTyped(options: readonly Option[]) {
  const typed = useRef({ text: '', at: 0, blank: false });
  const onKeyDownCapture = (event: KeyboardEvent<HTMLElement>) => {
    const { key, timeStamp: now } = event;
    if (key.length !== 1 || event.ctrlKey || event.metaKey || event.altKey) return;
    const going = now - typed.current.at < PAUSE_MS ? typed.current.text : '';
    if (key === ' ' && going === '') return;
    event.preventDefault();
    event.stopPropagation();
    const text = going + key.toLowerCase();
    typed.current = { text, at: now, blank: key === ' ' };
    const found = options.findIndex((option) => textOf(option).startsWith(text));
    event.currentTarget.querySelectorAll<HTMLElement>('[role=option]')[found]?.focus();
  };
  // A list item chooses when a blank is let go.
  const onKeyUpCapture = (event: KeyboardEvent<HTMLElement>) => {
    if (event.key !== ' ' || !typed.current.blank) return;
    typed.current.blank = false;
    event.preventDefault();
    event.stopPropagation();
  };
  return { onKeyDownCapture, onKeyUpCapture };
}

export function ChooseList({ id, labelledBy, anchor, value, options, onChange, onClose }: Props) {
  const [text, setText] = useState('');
  const long = options.length > LONG;
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const byLetters = useTyped(options);
  const left = options.filter((option) => words.every((word) => textOf(option).includes(word)));
  return (
    <Menu
      open
      anchorEl={anchor}
      onClose={onClose}
      autoFocus={!long}
      disableAutoFocusItem={long}
      slotProps={{
        list: { id, role: 'listbox', 'aria-labelledby': labelledBy, ...(long ? {} : byLetters) },
        paper: { style: { minWidth: anchor.clientWidth, maxHeight: '60vh' } },
      }}
    >
      {long && (
        <li className={styles.search} role="presentation">
          <input
            autoFocus
            type="search"
            value={text}
            placeholder={LISTED.search}
            aria-label={LISTED.search}
            onChange={(event) => setText(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' && left[0]) onChange(left[0].code);
              // Letters are for the field; the arrows go down into the list, Escape closes it.
              if (!['ArrowDown', 'Escape', 'Tab'].includes(event.key)) event.stopPropagation();
            }}
          />
          {left.length === 0 && <p>{LISTED.nothing}</p>}
        </li>
      )}
      {left.map((option) => (
        <MenuItem
          key={option.code}
          role="option"
          selected={option.code === value}
          aria-selected={option.code === value}
          onClick={() => onChange(option.code)}
        >
          <Named option={option} />
        </MenuItem>
      ))}
    </Menu>
  );
}
