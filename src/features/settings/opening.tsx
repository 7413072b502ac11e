'use client';
/** When the shop is open, on which days it stays closed besides, and how long glue, paint and press take. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { WEEKDAYS } from '@/core/schedule/calendar';
import { Field } from '@/ui/form';
import { OPENING } from '@/words/screens/settings';
import styles from './settings.module.css';
import { patient } from '@/ui/patient';

const ClosedDays = dynamic(() => patient(() => import('./closed-days')).then((file) => file.ClosedDays), {
  loading: () => null,
});
const DayPicker = dynamic(() => patient(() => import('@/ui/day-picker')).then((file) => file.DayPicker), {
  loading: () => null,
});

interface Props {
  readonly today: string;
  readonly closed: readonly string[];
  readonly onClosed: (days: readonly string[]) => void;
}

/** The fields lie in the form round it; the closed days are its own. */
export function Opening({ today, closed, onClosed }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const coming = closed.filter((day) => day >= today);
  return (
    <>
      {WEEKDAYS.map((day) => (
        <div key={day} className={`${styles.row} ${styles.hours}`}>
          <Field name={day} label={OPENING.days[day]} most={20} />
        </div>
      ))}
      <p className="soft">{OPENING.say}</p>
      <h3>{OPENING.closed}</h3>
      <div className={styles.closed}>
        {coming.length > 0 && (
          <ClosedDays
            days={coming}
            year={Number(today.slice(0, 4))}
            onOpen={(day) => onClosed(closed.filter((other) => other !== day))}
          />
        )}
        {coming.length === 0 && <span className="soft">{OPENING.noneClosed}</span>}
        <Button variant="text" aria-haspopup="dialog" onClick={(event) => setAnchor(event.currentTarget)}>
          {OPENING.addClosed}
        </Button>
      </div>
      {anchor && (
        <DayPicker
          anchor={anchor}
          label={OPENING.addClosed}
          day={today}
          least={today}
          onClose={() => setAnchor(null)}
          onChange={(day) => {
            setAnchor(null);
            if (!closed.includes(day)) onClosed([...closed, day].sort());
          }}
        />
      )}
    </>
  );
}
