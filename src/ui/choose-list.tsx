'use client';
/** The open list of a choice. */
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { Named, type Option } from './choose-option';

interface Props {
  readonly id: string;
  readonly labelledBy: string;
  readonly anchor: HTMLElement;
  readonly value: string;
  readonly options: readonly Option[];
  readonly onChange: (code: string) => void;
  readonly onClose: () => void;
}

export function ChooseList({ id, labelledBy, anchor, value, options, onChange, onClose }: Props) {
  return (
    <Menu
      open
      anchorEl={anchor}
      onClose={onClose}
      slotProps={{
        list: { id, role: 'listbox', 'aria-labelledby': labelledBy },
        paper: { style: { minWidth: anchor.clientWidth, maxHeight: '60vh' } },
      }}
    >
      {options.map((option) => (
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
