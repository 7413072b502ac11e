'use client';
/** The open list of a choice; a long one is narrowed by typing above it. */
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
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
const textOf = ({ name, code }: Option) => (typeof name === 'string' ? `${name} ${code}` : code).toLowerCase();

export function ChooseList({ id, labelledBy, anchor, value, options, onChange, onClose }: Props) {
  const [text, setText] = useState('');
  const long = options.length > LONG;
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const left = options.filter((option) => words.every((word) => textOf(option).includes(word)));
  return (
    <Menu
      open
      anchorEl={anchor}
      onClose={onClose}
      autoFocus={!long}
      disableAutoFocusItem={long}
      slotProps={{
        list: { id, role: 'listbox', 'aria-labelledby': labelledBy },
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
