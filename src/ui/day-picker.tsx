'use client';
/** A calendar over the page, for one day. Weeks begin on Monday; days are the shop's, without a time. */
import Popover from '@mui/material/Popover';
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import { DateCalendar } from '@mui/x-date-pickers/DateCalendar';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import dayjs from 'dayjs';

interface Props {
  readonly anchor: HTMLElement | null;
  readonly label: string;
  /** YYYY-MM-DD. */
  readonly day: string;
  /** Days before it cannot be chosen. */
  readonly least?: string;
  /** Days that can be chosen; all where it is left out. */
  readonly may?: (day: string) => boolean;
  readonly onChange: (day: string) => void;
  readonly onClose: () => void;
}

export function DayPicker({ anchor, label, day, least, may, onChange, onClose }: Props) {
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': label } }}
    >
      <LocalizationProvider dateAdapter={AdapterDayjs}>
        <DateCalendar
          autoFocus
          value={dayjs(day)}
          {...(least === undefined ? {} : { minDate: dayjs(least) })}
          {...(may ? { shouldDisableDate: (at: dayjs.Dayjs) => !may(at.format('YYYY-MM-DD')) } : {})}
          onChange={(chosen, how) => how === 'finish' && chosen && onChange(chosen.format('YYYY-MM-DD'))}
        />
      </LocalizationProvider>
    </Popover>
  );
}
