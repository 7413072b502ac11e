'use client';
/** The day the order is promised for: said as people say it, chosen from a calendar that is only fetched when asked for. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { type Calendar, hoursOn } from '@/core/schedule/calendar';
import { DESK } from '@/words/screens/desk';
import { dayName } from '@/words/materials';
import styles from './desk.module.css';
import { patient } from '@/ui/patient';

const DayPicker = dynamic(() => patient(() => import('@/ui/day-picker')).then((file) => file.DayPicker), {
  loading: () => null,
});

export function Promised({
  day,
  today,
  calendar,
  onChange,
}: {
  day: string;
  today: string;
  calendar: Calendar;
  onChange: (day: string) => void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = () => setAnchor(null);
  return (
    <span className={styles.promised}>
      {DESK.promisedFor}{' '}
      <Button
        variant="text"
        aria-haspopup="dialog"
        aria-label={DESK.promisedForDay(dayName(day))}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <b>{dayName(day)}</b>
      </Button>
      {anchor && (
        <DayPicker
          anchor={anchor}
          label={DESK.promisedFor}
          day={day}
          least={today}
          may={(at) => hoursOn(calendar, at) !== undefined}
          onClose={close}
          onChange={(to) => {
            onChange(to);
            close();
          }}
        />
      )}
    </span>
  );
}
