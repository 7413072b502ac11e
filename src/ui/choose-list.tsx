'use client';
/** The open list of a choice; a long one is searched by typing. */
import Autocomplete from '@mui/material/Autocomplete';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import type { PopperProps } from '@mui/material/Popper';
import Popover from '@mui/material/Popover';
import TextField from '@mui/material/TextField';
import { LISTED } from '@/words/screens/frame';
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

export const ChooseList = (props: Props) =>
  props.options.length > LONG ? <SearchedList {...props} /> : <ShortList {...props} />;

function ShortList({ id, labelledBy, anchor, value, options, onChange, onClose }: Props) {
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

/** The list stands under its search field, not over the page. */
const Under = ({ children }: PopperProps) => (
  <div className={styles.searched}>{typeof children === 'function' ? null : children}</div>
);
const textOf = ({ name, code }: Option) => (typeof name === 'string' ? `${name} ${code}` : code);

function SearchedList({ id, labelledBy, anchor, value, options, onChange, onClose }: Props) {
  return (
    <Popover
      open
      anchorEl={anchor}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      onClose={onClose}
      slotProps={{ paper: { style: { width: Math.max(anchor.clientWidth, 260) } } }}
    >
      <Autocomplete
        open
        disableCloseOnSelect
        options={options}
        value={options.find(({ code }) => code === value) ?? null}
        getOptionLabel={textOf}
        getOptionKey={({ code }) => code}
        noOptionsText={LISTED.nothing}
        slots={{ popper: Under }}
        slotProps={{ listbox: { id, 'aria-labelledby': labelledBy } }}
        renderOption={({ key, ...line }, option) => (
          <li key={key} {...line}>
            <Named option={option} />
          </li>
        )}
        renderInput={(input) => (
          <TextField
            {...input}
            autoFocus
            size="small"
            placeholder={LISTED.search}
            onFocus={(event) => event.target.select()}
          />
        )}
        onChange={(_event, option) => option && onChange(option.code)}
        onClose={(_event, reason) => {
          if (reason === 'escape') onClose();
        }}
      />
    </Popover>
  );
}
